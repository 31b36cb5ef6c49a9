export * from './job-schema.js';
export { findFitting, findHose, findHoseEnd, type Catalogue } from './catalogue.js';
export { JobFileSchema, JOB_FILE_VERSION, OLDEST_JOB_FILE_VERSION, type JobFile } from './job-file-schema.js';
export { JobFileError } from './job-file-error.js';
export { writeJobFile } from './write-job-file.js';
export { checkJobFileHeader, checkJobFileContent } from './check-job-file.js';
