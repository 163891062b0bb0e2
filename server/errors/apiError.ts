import type { FastifyError } from 'fastify';
import { describeIssue } from '@azulejo/core/messages/en/issues';
import type { Issue } from '@azulejo/core/result';
import { ERRORS, type ErrorCode } from './catalogue.ts';

/** An error of the catalogue on its way to the client. */
export class ApiError extends Error {
  readonly code: ErrorCode;
  readonly issues: readonly Issue[];
  readonly details: Readonly<Record<string, unknown>>;

  constructor(code: ErrorCode, issues: readonly Issue[] = [], details: Readonly<Record<string, unknown>> = {}) {
    super(ERRORS[code].message);
    this.code = code;
    this.issues = issues;
    this.details = details;
  }
}

/** What the client receives. */
export interface ErrorBody {
  readonly code: ErrorCode;
  readonly message: string;
  readonly issues: readonly { readonly path: Issue['path']; readonly code: string; readonly message: string }[];
}

/** Puts an error into the words of the catalogue. */
export function errorBody(error: ApiError): ErrorBody {
  const issues = error.issues.map((found) => ({ path: found.path, code: found.code, message: describeIssue(found) }));
  return { code: error.code, message: ERRORS[error.code].message, issues, ...error.details };
}

/** PostgreSQL says 53100 for a full disk; the file system says ENOSPC or EDQUOT. */
const DISK_FULL = /^(53100|ENOSPC|EDQUOT)$|no space left|disk.*full|could not extend/i;

/** PostgreSQL's class XX is damage found in its files: a page that fails its checksum, a broken index. */
const DAMAGED = /^XX00[012]$/;

/** PostgreSQL's class 08 is a connection that failed, 57P a server that stops or starts; the rest is said by the network. */
const UNREACHABLE =
  /^(08...|57P0[123]|ECONNREFUSED|ECONNRESET|EPIPE|ETIMEDOUT|ENOTFOUND|EHOSTUNREACH)$|connection terminated|timeout exceeded when trying to connect/i;

/** PostgreSQL's class 22 is data that no column takes: text with a zero byte, a figure too large, a time that is none. */
const UNREADABLE = /^22...$/;

/** Finds the catalogue entry for anything that was thrown. */
export function toApiError(error: FastifyError | Error): ApiError {
  if (error instanceof ApiError) return error;
  const code = 'code' in error ? String(error.code) : '';
  if (DISK_FULL.test(code) || DISK_FULL.test(error.message)) return new ApiError('storage/full');
  if (DAMAGED.test(code)) return new ApiError('storage/damaged');
  if (UNREACHABLE.test(code) || UNREACHABLE.test(error.message)) return new ApiError('storage/unreachable');
  const status = 'statusCode' in error ? Number(error.statusCode) : 500;
  if (code === 'FST_ERR_VALIDATION') return new ApiError('request/invalid', [], { reason: error.message });
  if (status === 413) return new ApiError('request/too-large');
  if (status === 408) return new ApiError('request/too-slow');
  if (status === 415) return new ApiError('request/unsupported');
  if (status === 429) return new ApiError('request/too-many');
  // Data nested so deep that reading it runs out of stack is no better.
  if (UNREADABLE.test(code) || error instanceof RangeError)
    return new ApiError('request/invalid', [], { reason: 'expected plain text and figures' });
  return new ApiError(status >= 400 && status < 500 ? 'request/invalid' : 'server/failed');
}
