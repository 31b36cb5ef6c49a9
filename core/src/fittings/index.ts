export { endName, hexOf, isClosing, isPlain, kindOf, materials, metalNames, openEnds, type Fitting, type Material } from './fitting.js';
export { BodySchema, EndIndex, endFacings, MOST_ENDS, passageWays, type Body, type EndPlace, type Passage } from './body-schema.js';
export { circuitsInside, joinsInside, leadsTo, positionsOf } from './passages.js';
export { cross, dot, endFrames, legOf, lengthBetween, plus, scaled, turnBetween, type EndFrame, type Vector } from './end-frames.js';
export { commonBody } from './standard/common-body.js';
export { formatBody, formatPassages, formatPlaces, readBody, readPassages, readPlaces } from './part-list/body-notation.js';
export { fittingKind, fittingKinds, kindGroups, type FittingKind, type FittingKindId } from './fitting-kinds.js';
export { FittingSchema, rarities, type Rarity } from './fitting-schema.js';
export { adapter, adapterId } from './standard/adapter.js';
export { commonAdapters, coverageOf, type Coverage, type CoverageRow } from './coverage.js';
export { endRating, partRating, type Rating } from './ratings.js';
export { isSpanner, spannerFor } from './spanners.js';
export { series, type Series, type SizedEnd } from './standard/series.js';
export { commonFittings, standardFittings } from './standard/standard-fittings.js';
export { checkFitting, isKnownConnector, type FittingProblem } from './check-fitting.js';
export {
  bodyColumns,
  ColumnMappingSchema,
  endColumns,
  guessColumns,
  partColumns,
  type BodyColumn,
  type ColumnMapping,
  type PartColumn,
} from './part-list/columns.js';
export { LineErrorSchema, newPart, readParts, type GivenPart, type LineError, type ReadParts } from './part-list/read-parts.js';
export { writeParts } from './part-list/write-parts.js';
export { findParts, type PartFilter } from './find-parts.js';
export { BuyingFields, PriceMinor } from './buying-fields.js';
export { NamedOnce } from './part-list/named-once.js';
export {
  formatListed,
  ListedPriceSchema,
  ListMoneySchema,
  otherCurrencies,
  otherCurrencyCodes,
  pricesIn,
  withListing,
  type ListedPrice,
  type ListMoney,
  type OtherCurrency,
} from './listed-price.js';
export { inEuros } from './part-list/list-money.js';
export {
  CellError,
  otherMoney,
  readEnd,
  readListed,
  readMoney,
  readOneOf,
  readQuantity,
  readWhole,
  readWords,
} from './part-list/read-cell.js';
export { postFaces } from './standard/stack-fittings.js';
export { missingOf, wantedParts, type WantedPart } from './wanted-parts.js';
export { fittingFluidProblem, fittingsFor, isMetal } from './fluid-fit.js';
