import type { RuleId } from '../registry.js';
import type { Example } from './example.js';
import { examplesOfFlow } from './of-flow.js';
import { examplesOfLines } from './of-lines.js';

/** One for each rule: what it is shown by, and proved with. */
export const examples: { readonly [R in RuleId]: Example } = { ...examplesOfLines, ...examplesOfFlow };
