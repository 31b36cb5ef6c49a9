export { drillWeights, nextInDrill, weakPairs, isHonestMistake, type DrillAnswer, type WeakPair } from './drill.js';
export {
  DrillResultsSchema,
  DrillVerdictSchema,
  FittingSeenSchema,
  JawsSchema,
  PlaceSchema,
  ReadingSchema,
  type DrillResults,
  type DrillVerdict,
  type FittingSeen,
  type Jaws,
  type Place,
  type Reading,
} from './bench-schemas.js';
