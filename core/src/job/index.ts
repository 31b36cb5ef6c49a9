export * from './job-schema.js';
export { findFitting, findHose, findHoseEnd, type Catalogue } from './catalogue.js';
export { userOfPort, type PortUser } from './port-user.js';
export { services, serviceById, type Service } from './services.js';
export { jobEntities, jobEntityTypes, type EntityEntry, type JobEntities, type JobEntity, type JobEntityType } from './entities.js';
export { applyChange, ChangeHead, differenceOf, JobChangeSchema, JobEntitySchema, rowsOf, withRows, type JobChange } from './change.js';
export { newsOf, receive, replicaOf, type Progress, type Replica } from './replica.js';
export * from './file/index.js';
