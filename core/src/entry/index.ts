export { matchingPorts, portChoices, type PortChoice } from './port-choices.js';
export { readLine, readLines, type LineAsk, type LineRead } from './read-line.js';
export { lineFrom, type LineDrawn } from './line-from.js';
