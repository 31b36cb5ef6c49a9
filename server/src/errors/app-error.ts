import type { ErrorBody } from '@gewinde/core';

/** Every error the API answers with, by code. The text is a default; a thrower may say it more precisely. */
export const errorCatalogue = {
  'not-found': { status: 404, message: 'This no longer exists.' },
  'bad-request': { status: 400, message: 'The request cannot be read.' },
  held: { status: 409, message: 'Something stands against it.' },
  'bad-value': { status: 400, message: 'A value is out of bounds.' },
  'connector-syntax': { status: 400, message: 'The notation cannot be read.' },
  'unknown-thread': { status: 400, message: 'No thread of this name is known.' },
  'wrong-jaws': { status: 400, message: 'These jaws do not reach that thread.' },
  'too-many': { status: 409, message: 'There is no room for more.' },
  'id-taken': { status: 409, message: 'There is a row with this id already.' },
  'not-enough': { status: 409, message: 'There is not enough of it.' },
  'price-changed': { status: 409, message: 'Prices have changed since it was planned.' },
  'wrong-order': { status: 409, message: 'This is about another order.' },
  'number-taken': { status: 409, message: 'This job number is taken.' },
  'same-port': { status: 400, message: 'A line cannot run from a port to itself.' },
  'port-in-use': { status: 409, message: 'The port is already used by another line.' },
  'component-in-use': { status: 409, message: 'A port of this component is used by a line.' },
  'code-taken': { status: 409, message: 'Another part has this code.' },
  'part-taken': { status: 409, message: 'The catalogue has this part already.' },
  'part-unsound': { status: 400, message: 'The part does not hold together.' },
  'list-unreadable': { status: 400, message: 'The list cannot be read.' },
  'list-errors': { status: 400, message: 'Some lines of the list cannot be read; nothing was taken in.' },
  conflict: { status: 409, message: 'Somebody else has changed this in the meantime.' },
  'nothing-to-undo': { status: 409, message: 'There is nothing to undo.' },
  'nothing-to-redo': { status: 409, message: 'There is nothing to redo.' },
  'cannot-undo': { status: 409, message: 'This cannot be undone: it has been changed since.' },
  'job-file-format': { status: 400, message: 'This is not a job file.' },
  'job-file-newer': { status: 400, message: 'The job file is newer than this app.' },
  'job-file-content': { status: 400, message: 'The job file does not hold together.' },
  'foreign-host': { status: 403, message: 'This server is not here under that name. Name it in GEWINDE_HOSTS, or ask for 127.0.0.1.' },
  'foreign-origin': { status: 403, message: 'Changes are taken from the pages of this server only.' },
  'too-large': { status: 413, message: 'The file is too large.' },
  'too-many-requests': { status: 429, message: 'Too many requests; wait a moment.' },
  'server-busy': { status: 503, message: 'Too much of this is being worked on already. Nothing was changed; try again in a moment.' },
  'took-too-long': { status: 503, message: 'This took longer than it may, and was ended. Nothing was changed; ask for less at once.' },
  'database-away': {
    status: 503,
    message: 'The database does not answer. Nothing was changed; the change is kept on the screen and tried again.',
  },
  'database-busy': { status: 503, message: 'The database is busy. Nothing was changed; the change is kept on the screen and tried again.' },
  'key-used': { status: 409, message: 'Something else was saved under this key already. Nothing was changed; make the change anew.' },
  'parts-differ': { status: 409, message: 'The file brings parts under names that are ours, and they are not the same.' },
  'not-known': {
    status: 503,
    message: 'The database went away while this was being saved: whether it was is not known yet. It is asked again.',
  },
  internal: { status: 500, message: 'Something went wrong on the server. Nothing was changed.' },
} as const;

export type ErrorCode = keyof typeof errorCatalogue;

/** What an error says beside its code and its words. */
export type ErrorDetails = Readonly<Partial<Omit<ErrorBody, 'code' | 'message'>>>;

export class AppError extends Error {
  constructor(
    readonly code: ErrorCode,
    message?: string,
    readonly details: ErrorDetails = {},
  ) {
    super(message ?? errorCatalogue[code].message);
    this.name = 'AppError';
  }

  get status(): number {
    return errorCatalogue[this.code].status;
  }
}
