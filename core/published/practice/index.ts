export { fails } from './fails.js';
export { judged, type SetUp } from './set-up.js';
export { works } from './works.js';
