import type { Severity } from './finding.js';

/** What a rule looks at. */
export const areas = [
  'thread',
  'seal face',
  'seal material',
  'make-up',
  'stack',
  'hose',
  'length',
  'fluid',
  'flow',
  'drain',
  'direction',
  'system',
  'sensor',
  'loose ends',
  'order of the hands',
  'as found, provisional',
  'parts and orders',
  'people and papers',
] as const;
export type Area = (typeof areas)[number];

/** What cannot go on while it stands there: the saw, the order, the start of the engine. */
export type Before = 'saw' | 'order' | 'start';

/** All that a rule says by itself, whatever it finds. */
export interface RuleWords {
  readonly title: string;
  readonly area: Area;
  readonly severity: Severity;
  readonly before: Before;
  /** What happens where it is broken. */
  readonly why: string;
  /** What to do about it. */
  readonly hint: string;
  /** A standard by its number, or `common practice`. */
  readonly source: string;
  /** Nothing is there to be looked at yet: the line is not whole. */
  readonly undecided?: true;
}
