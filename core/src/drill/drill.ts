import { lookAlikesOf, parseThread } from '../threads/index.js';

/** One answer of an apprentice: what the fitting was, and what it was called. */
export interface DrillAnswer {
  readonly truth: string;
  readonly answer: string;
  readonly right: boolean;
}

/** A pair that was mixed up. */
export interface WeakPair {
  readonly truth: string;
  readonly answer: string;
  readonly times: number;
  /** Right answers on the truth since it was last mixed up. */
  readonly rightSince: number;
}

const LEAST_WEIGHT = 0.4;
const MOST_WEIGHT = 9;

/**
 * How often each thread should come up: 1 at first; a mistake doubles it and adds one, and calls up what it was taken for; a right
 * answer takes a third off. So weak pairs return until they are known.
 * @param threads designations in the tray
 * @param answers oldest first
 */
export function drillWeights(threads: readonly string[], answers: readonly DrillAnswer[]): Map<string, number> {
  const weights = new Map(threads.map((thread) => [thread, 1]));
  const change = (thread: string, by: (weight: number) => number): void => {
    const weight = weights.get(thread);
    if (weight !== undefined) weights.set(thread, Math.min(MOST_WEIGHT, Math.max(LEAST_WEIGHT, by(weight))));
  };
  for (const { truth, answer, right } of answers) {
    if (right) change(truth, (w) => (w * 2) / 3);
    else {
      change(truth, (w) => 2 * w + 1);
      change(answer, (w) => w + 1);
    }
  }
  return weights;
}

/**
 * The next thread of the tray by its weight, never the one that came last if there is another.
 * @param chance 0 to 1, drawn by the caller
 */
export function nextInDrill(threads: readonly string[], answers: readonly DrillAnswer[], chance: number): string | undefined {
  const last = answers[answers.length - 1]?.truth;
  const others = [...new Set(threads)].filter((thread) => thread !== last);
  const pool = others.length > 0 ? others : threads;
  const weights = drillWeights(pool, answers);
  const total = [...weights.values()].reduce((sum, w) => sum + w, 0);
  let left = Math.min(Math.max(chance, 0), 1) * total;
  for (const [thread, weight] of weights) {
    left -= weight;
    if (left <= 0) return thread;
  }
  return pool[pool.length - 1];
}

/** The pairs mixed up, those still weak first. */
export function weakPairs(answers: readonly DrillAnswer[]): WeakPair[] {
  const pairs = new Map<string, WeakPair>();
  for (const { truth, answer, right } of answers) {
    if (right) {
      for (const [key, pair] of pairs) if (pair.truth === truth) pairs.set(key, { ...pair, rightSince: pair.rightSince + 1 });
    } else {
      const key = `${truth}|${answer}`;
      pairs.set(key, { truth, answer, times: (pairs.get(key)?.times ?? 0) + 1, rightSince: 0 });
    }
  }
  return [...pairs.values()].sort((a, b) => a.rightSince - b.rightSince || b.times - a.times);
}

/** Whether mixing the two up is an honest mistake: they look alike. @throws {UnknownThreadError} */
export function isHonestMistake(truth: string, answer: string): boolean {
  const taken = parseThread(answer).designation;
  return lookAlikesOf(parseThread(truth)).some((other) => other.designation === taken);
}
