import type { TSchema } from 'typebox';
import { Compile, type Validator } from 'typebox/compile';
import { checkJobFileContent } from './check-content.js';
import { JobFileError } from './job-file-error.js';
import { JOB_FILE_VERSION, JobFileSchema, type JobFile } from './job-file-schema.js';
import { limitProblem, wordsProblem } from '../../schema/index.js';
import type { PortThread } from '../port-thread.js';
import { upgradeJobFile } from './upgrade-job-file.js';

/** A file that holds together, in the newest version's words. */
export interface ReadJobFile {
  readonly file: JobFile;
  /** What is known of the thread of every port, by its key. */
  readonly connectors: ReadonlyMap<string, PortThread>;
}

/**
 * Reads a job file of any version: what kind of file it is, upgraded step by step, its shape, its content.
 *
 * @param knownParts ids of fittings the shop has besides those of the file
 * @throws {JobFileError} with the place in the file
 */
export function readJobFile(value: unknown, knownParts: ReadonlySet<string>): ReadJobFile {
  checkHeader(value);
  const upgraded = upgradeJobFile(value, knownParts);
  checkShape(upgraded);
  return { file: upgraded, connectors: checkJobFileContent(upgraded, knownParts) };
}

function checkHeader(value: unknown): asserts value is Record<string, unknown> & { version: number } {
  const header = value as { format?: unknown; version?: unknown } | null;
  if (typeof header !== 'object' || header === null || header.format !== 'gewinde-job')
    throw new JobFileError('job-file-format', 'This is not a job file: it does not begin with "format": "gewinde-job".', 'format');
  if (typeof header.version !== 'number' || !Number.isInteger(header.version) || header.version < 1)
    throw new JobFileError('job-file-format', 'The job file does not say its version.', 'version');
  if (header.version > JOB_FILE_VERSION)
    throw new JobFileError(
      'job-file-newer',
      `The file was written by a newer version of the app (file version ${header.version}; this app reads up to ${JOB_FILE_VERSION}). Update the app, then import it.`,
      'version',
    );
}

/** Built when the first file is read: it takes longer to build than to read a file without it. */
let shape: Validator | undefined;

function checkShape(value: unknown): asserts value is JobFile {
  shape ??= Compile<TSchema>(JobFileSchema);
  const [first] = shape.Errors(value);
  if (!first) return;
  const path = first.instancePath.slice(1);
  const problem =
    first.message === 'schema is false'
      ? 'is not known here'
      : ((first.keyword === 'pattern' ? wordsProblem(first.params.pattern) : undefined) ??
        limitProblem(first.keyword, first.params) ??
        first.message);
  throw new JobFileError('job-file-content', `${path || 'The file'} ${problem}.`, path);
}
