import { ApiError } from './errors/apiError.ts';

/** A zero byte or half of a surrogate pair, written as an escape. */
const DOUBTFUL = /\\u(0000|[dD][89abAB][0-9a-fA-F]{2}|[dD][c-fC-F][0-9a-fA-F]{2})/;

/**
 * Reads a JSON body. Throws `request/invalid` for what is no JSON, and for text that no database can keep: a
 * zero byte, half a character.
 */
export function readBody(text: string): unknown {
  if (text.includes('\0')) throw refusal('text holds a zero byte');
  try {
    return JSON.parse(text, DOUBTFUL.test(text) ? refuseHalves : undefined);
  } catch (error) {
    if (error instanceof ApiError) throw error;
    throw refusal('expected JSON');
  }
}

function refuseHalves(key: string, value: unknown): unknown {
  for (const text of [key, value])
    if (typeof text === 'string' && (text.includes('\0') || !text.isWellFormed()))
      throw refusal('text holds a zero byte or half a character');
  return value;
}

const refusal = (reason: string): ApiError => new ApiError('request/invalid', [], { reason });
