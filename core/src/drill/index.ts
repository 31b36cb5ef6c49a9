export { drillWeights, nextInDrill, weakPairs, isHonestMistake, type DrillAnswer, type WeakPair } from './drill.js';
