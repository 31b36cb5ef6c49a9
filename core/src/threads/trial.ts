import { taperEngagement } from './engagement.js';
import { fit } from './fit.js';
import { parseThread } from './parse-thread.js';
import { threadSystem } from './thread-systems.js';
import { UnknownThreadError, type Thread } from './thread.js';
import type { Side } from './thread-library.js';

/** What a known part does on the thread that is sought, by hand. */
export const trialResults = ['runs', 'rocks', 'binds', 'slides-in', 'no-entry'] as const;
export type TrialResult = (typeof trialResults)[number];

/** A known part tried on the unknown thread: it has the other side. */
export interface ThreadTrial {
  /** Designation of the known thread. */
  readonly known: string;
  readonly result: TrialResult;
  /** Turns by hand until it stopped, where it binds; left out where they were not counted. */
  readonly turns?: number;
}

/** What is to be expected of a trial, were the thread this one. */
export interface TrialOutcome {
  readonly result: TrialResult;
  readonly turns?: number;
}

/** Turns that a fitting usually has: what would bind later goes all the way. Common practice. */
const TURNS_OF_A_FITTING = 7;
/** Play at the first thread that the fingers feel as rocking, mm. Common practice. */
const FELT_PLAY_MM = 0.35;
/** How often a thing is felt that is not so: dirt, a burr, a worn thread, a crooked start. An estimate of ours. */
const MISFELT = 0.02;
/** Spread of the turns at which a thread binds, as the tolerances of both spread the play: a share of them. An estimate of ours. */
const TURNS_SPREAD = 0.4;
const MOST_TURNS = 12;

type Chances = Record<TrialResult, number>;

/**
 * How likely a trial ends as it did, were the sought thread `thread`: by the computed fit of the two, blurred by what fingers misfeel.
 * Where turns were counted it is a density per turn.
 * @throws {UnknownThreadError} for a known thread that is none
 */
export function trialLikelihood(thread: Thread, side: Side, { known, result, turns }: ThreadTrial): number {
  const { chances, turns: expected } = chancesOf(...pair(thread, side, known));
  if (result !== 'binds' || turns === undefined) return chances[result];
  const sure = expected === undefined ? 1 / MOST_TURNS : logNormal(turns, expected);
  return (chances.binds - MISFELT) * sure + MISFELT / MOST_TURNS;
}

/** How likely a trial ends as it did on a thread that nobody knows. */
export function strangerLikelihood({ turns }: ThreadTrial): number {
  return 1 / trialResults.length / (turns === undefined ? 1 : MOST_TURNS);
}

/** What a trial with a known part would most likely show. @throws {UnknownThreadError} */
export function expectedTrial(thread: Thread | string, side: Side, known: string): TrialOutcome {
  const { chances, turns } = chancesOf(...pair(typeof thread === 'string' ? parseThread(thread) : thread, side, known));
  const result = trialResults.reduce((best, r) => (chances[r] > chances[best] ? r : best));
  return { result, ...(result === 'binds' && turns !== undefined ? { turns } : {}) };
}

/** The outcome of a trial in words, to follow "a known M20×1.5 would". */
export function trialInWords({ result, turns }: TrialOutcome, side: Side): string {
  switch (result) {
    case 'runs':
      return 'run on freely';
    case 'rocks':
      return 'go on and rock';
    case 'binds': {
      const halves = turns === undefined ? undefined : Math.max(0.5, Math.round(turns * 2) / 2);
      return halves === undefined ? 'bind' : `bind after about ${halves} ${halves === 1 ? 'turn' : 'turns'}`;
    }
    case 'slides-in':
      return side === 'external' ? 'slip over it' : 'slide in';
    case 'no-entry':
      return 'not start';
  }
}

/** Why a thread cannot be the known one of a trial; undefined where it can. */
export function trialProblem(known: string, side: Side): string | undefined {
  let thread: Thread;
  try {
    thread = parseThread(known);
  } catch (error) {
    if (error instanceof UnknownThreadError) return error.message;
    throw error;
  }
  const other = side === 'external' ? 'internal' : 'external';
  if (threadSystem(thread.system).sides.includes(other)) return undefined;
  const [is, needed] = other === 'internal' ? ['an outside', 'a nut or a hole'] : ['an inside', 'a bolt or a male fitting'];
  return `${thread.designation} is always ${is} thread: what is tried here is ${needed}.`;
}

function pair(thread: Thread, side: Side, known: string): [external: Thread, internal: Thread] {
  const other = parseThread(known);
  return side === 'external' ? [thread, other] : [other, thread];
}

function chancesOf(external: Thread, internal: Thread): { readonly chances: Chances; readonly turns?: number } {
  const { verdict, playMm, turnsToBind } = fit(external, internal);
  switch (verdict) {
    case 'same': {
      // a taper made for its hole stops at its gauge plane: that is how it should be
      const turns = taperEngagement(external.designation)?.byHandTurns;
      return turns === undefined ? { chances: among({ runs: 1 }) } : { chances: among({ binds: 0.9, runs: 0.1 }), turns };
    }
    case 'loose':
      return { chances: among(allTheWay(playMm)) };
    case 'slides-in':
      return { chances: among({ 'slides-in': 1 }) };
    case 'no-entry':
      return { chances: among({ 'no-entry': 1 }) };
    case 'binds': {
      const turns = turnsToBind!;
      const through = logistic((turns - TURNS_OF_A_FITTING) / 1.2);
      const refused = (1 - through) * logistic((0.6 - turns) / 0.15);
      const { runs, rocks } = allTheWay(playMm);
      return { chances: among({ runs: through * runs, rocks: through * rocks, binds: 1 - through - refused, 'no-entry': refused }), turns };
    }
  }
}

function allTheWay(playMm: number): { readonly runs: number; readonly rocks: number } {
  const rocks = logistic((playMm - FELT_PLAY_MM) / 0.06);
  return { runs: 1 - rocks, rocks };
}

/** The shares of what would be felt, with a little of everything. */
function among(shares: Partial<Chances>): Chances {
  const left = 1 - trialResults.length * MISFELT;
  return Object.fromEntries(trialResults.map((result) => [result, MISFELT + left * (shares[result] ?? 0)])) as Chances;
}

function logistic(x: number): number {
  return 1 / (1 + Math.exp(-x));
}

/** Density per turn at which a thread binds. */
function logNormal(turns: number, expected: number): number {
  const z = Math.log(Math.max(turns, 0.1) / expected) / TURNS_SPREAD;
  return Math.exp(-0.5 * z * z) / (Math.max(turns, 0.1) * TURNS_SPREAD * Math.sqrt(2 * Math.PI));
}
