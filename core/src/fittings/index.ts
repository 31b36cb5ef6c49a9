export {
  isClosing,
  isPlain,
  kindOf,
  lengthBetween,
  materials,
  openEnds,
  turnBetween,
  type Fitting,
  type Material,
} from './fitting.js';
export { fittingKind, fittingKinds, type FittingKind, type FittingKindId } from './fitting-kinds.js';
export { FittingSchema } from './fitting-schema.js';
export { adapter, adapterId } from './standard/adapter.js';
export { standardFittings } from './standard/standard-fittings.js';
export { checkFitting, type FittingProblem } from './check-fitting.js';
export { endColumns, guessColumns, partColumns, type ColumnMapping, type PartColumn } from './part-list/columns.js';
export { newPart, readParts, type LineError, type ReadParts } from './part-list/read-parts.js';
export { writeParts } from './part-list/write-parts.js';
