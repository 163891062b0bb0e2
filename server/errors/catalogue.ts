/** Every error the server answers with: its HTTP status and what it says. Documented in docs/server.md. */
export const ERRORS = {
  'request/invalid': { status: 400, message: 'The request is not as expected.' },
  'request/foreign-origin': { status: 403, message: 'The request came from another site, or by a name that is not this server’s.' },
  'request/unsupported': { status: 415, message: 'Expected JSON.' },
  'request/too-large': { status: 413, message: 'The request is too large: a change goes up to 8 MB, a job file up to 64 MB.' },
  'request/too-slow': { status: 408, message: 'The request did not arrive whole within its time.' },
  'request/too-many': { status: 429, message: 'Too many requests; try again in a minute.' },
  'route/not-found': { status: 404, message: 'There is nothing at this address.' },
  'job/not-found': { status: 404, message: 'There is no such job. It may have been deleted in another window.' },
  'job/changed-elsewhere': { status: 409, message: 'The job was changed in another window meanwhile. Nothing was overwritten.' },
  'job/nothing-to-undo': { status: 409, message: 'There is nothing to undo.' },
  'job/nothing-to-redo': { status: 409, message: 'There is nothing to redo.' },
  'job/built-upon': { status: 409, message: 'Others changed the same after it: it stays as it is.' },
  'job/refused': { status: 422, message: 'The job would not be true with this change. Nothing was saved.' },
  'file/refused': { status: 422, message: 'The file is no job as Azulejo writes it. Nothing was read in.' },
  'surface/not-found': { status: 404, message: 'The job has no such surface.' },
  'photo/not-found': { status: 404, message: 'The job has no such photo.' },
  'piece/not-found': { status: 404, message: 'No cut piece of this surface has that label.' },
  'export/not-found': { status: 404, message: 'There is no such export.' },
  'work/too-long': { status: 503, message: 'The computation took too long and was given up. Nothing else was touched.' },
  'work/failed': { status: 500, message: 'It could not be computed. Nothing else was touched.' },
  'copy/not-found': { status: 404, message: 'There is no such copy.' },
  'server/starting': { status: 503, message: 'The server is starting; it answers in a moment.' },
  'server/busy': { status: 503, message: 'The server has too much to do; try again in a moment.' },
  'storage/full': { status: 507, message: 'The disk is full. Nothing was saved; free some space and try again.' },
  'storage/damaged': {
    status: 500,
    message:
      'A part of the data can’t be read. Start the server again: it rescues what can be read and takes the rest from the daily copies.',
  },
  'storage/unreachable': { status: 503, message: 'The database does not answer. Nothing was saved; try again in a moment.' },
  'server/failed': { status: 500, message: 'Something went wrong on the server. Nothing was saved.' },
} as const;

/** A code of the catalogue. */
export type ErrorCode = keyof typeof ERRORS;
