export type { Example } from './example.js';
export { examples } from './examples.js';
export { jobOfSetUp, ordinary, type SetUp, type SetUpLine } from './set-up.js';
export { sideBySide, standsBeside } from './several.js';
export { brokenExample, soundExample, soundJob } from './show.js';
export { soundSetUps, type SoundName } from './set-ups.js';
