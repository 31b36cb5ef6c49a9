/** A job file that cannot be taken in: where in the file, and why, in plain words. */
export class JobFileError extends Error {
  constructor(
    readonly code: 'job-file-format' | 'job-file-newer' | 'job-file-content',
    message: string,
    /** Path in the file, for example `lines/2/endA/port`. */
    readonly field?: string,
  ) {
    super(message);
    this.name = 'JobFileError';
  }
}
