export * from './job-schema.js';
export * from './line-schema.js';
export * from './waiver-schema.js';
export {
  CataloguePartSchema,
  checkPart,
  origins,
  PartEntrySchemas,
  type CataloguePart,
  type Origin,
  type PartEntry,
  type PartKind,
  type PartProblem,
} from './catalogue-part.js';
export {
  catalogueOf,
  entriesOf,
  endOfAngle,
  endsForHose,
  findFitting,
  findHose,
  findHoseEnd,
  findSupply,
  hosesOfSize,
  type Catalogue,
} from './catalogue.js';
export {
  entriesIn,
  entryFrom,
  fieldsOf,
  figuresIn,
  findEntry,
  findInSection,
  headOf,
  partSections,
  sectionOf,
  soldByLength,
  cutToLength,
  agesOnTheRack,
  writtenField,
  type PartHead,
  type PartSection,
} from './part-sections.js';
export { withShelves, type ShelvesLeft } from './list-shelves.js';
export {
  guessPlainColumns,
  plainColumns,
  readPlainList,
  writePlainList,
  type PlainColumn,
  type PlainMapping,
  type PlainSection,
  type ReadPlainList,
} from './plain-list.js';
export { branchesIn, branchPorts, endsOn, fittingsNamed, partsOfWay, placedIn, reversedWay } from './line-path.js';
export { fluidNamed, fluidOfPort } from './port-fluid.js';
export { portDigestKey, portMoved } from './checked.js';
export { stackOf, tapedOver, withTapedOver } from './taped-over.js';
export { foundActions, foundStates, FoundSchema, type Found } from './line-schema.js';
export { besides, branchKeys, hoseJointId, jointId, jointIdsIn, keyedWay } from './joint-ids.js';
export { pathOfEnds, type OldHoses, type OldLine } from './line-of-ends.js';
export {
  MOST_CASES,
  MOST_PORT_NOTATION,
  formatPortThread,
  parsePortThread,
  portCases,
  portThreadName,
  type PortThread,
} from './port-thread.js';
export * from './flow-schema.js';
export { componentKindOf } from './component-kind.js';
export { userOfPort, type PortUser } from './port-user.js';
export { fluidOf, services, serviceById, type Service } from './services.js';
export { jobEntities, jobEntityTypes, type EntityEntry, type JobEntities, type JobEntity, type JobEntityType } from './entities.js';
export { applyChange, ChangeHead, differenceOf, JobChangeSchema, JobEntitySchema, rowsOf, withRows, type JobChange } from './change.js';
export { newsOf, receive, replicaOf, type Progress, type Replica } from './replica.js';
export { partsNamedBy, partsNamedIn } from './parts-named.js';
export { bestFound, findablesOf, hasWords, searchWords, wordsIn, type Findable } from './find-in-job.js';
export * from './file/index.js';
export { labelCode, readLabelCode, type LabelRead } from './label-code.js';
