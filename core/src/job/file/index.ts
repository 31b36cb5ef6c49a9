export { JobFileSchema, JOB_FILE_VERSION, OLDEST_JOB_FILE_VERSION, type JobFile } from './job-file-schema.js';
export { JobFileError } from './job-file-error.js';
export { writeJobFile } from './write-job-file.js';
export { readJobFile, type ReadJobFile } from './read-job-file.js';
export { differsFrom, joinsInWords, withPartsNamed } from './parts-differ.js';
export { documentOfFile } from './document-of-file.js';
