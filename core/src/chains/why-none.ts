import type { ChainQuery } from './chain.js';
import { constraintsSet, type ChainConstraints } from './chain-constraints.js';
import { solveChains } from './solve-chains.js';
import { quantity } from '../units/index.js';

/** A wish that stands in the way by itself: without it there are chains. */
export interface InTheWay {
  readonly constraint: keyof ChainConstraints | 'takeOffs' | 'maxFittings';
  /** `Without the limit of 20 mm on the stack there is a way of 2 joints; its stack is 31.4 mm.` */
  readonly words: string;
}

/** For a query without an answer: which single wish would have to give way, and what would then be possible. */
export function whyNone(query: ChainQuery): InTheWay[] {
  const { constraints = {}, takeOffs = [], maxFittings = 3 } = query;
  const found: InTheWay[] = [];
  const attempt = (constraint: InTheWay['constraint'], less: Partial<ChainQuery>, without: string): void => {
    const best = solveChains({ ...query, ...less, limit: 1 }).chains[0];
    if (!best) return;
    const figure = constraint === 'mostStackMm' ? `; its stack is ${quantity(best.lengthMm, 'mm')}` : '';
    found.push({ constraint, words: `Without ${without} there is a way of ${best.jointCount} joints${figure}.` });
  };
  for (const key of constraintsSet(constraints)) {
    const { [key]: _, ...rest } = constraints;
    attempt(key, { constraints: rest }, inWords(key, constraints));
  }
  if (takeOffs.length > 0) attempt('takeOffs', { takeOffs: [] }, takeOffs.length === 1 ? 'the branch' : 'the branches');
  if (found.length === 0 && maxFittings < 4)
    attempt('maxFittings', { maxFittings: 4 }, `the limit of ${maxFittings} ${maxFittings === 1 ? 'fitting' : 'fittings'}`);
  return found;
}

function inWords(key: keyof ChainConstraints, constraints: ChainConstraints): string {
  switch (key) {
    case 'turnDeg':
      return constraints.turnDeg === 0 ? 'the wish that it runs straight' : `the wish that it turns ${constraints.turnDeg}°`;
    case 'leastBoreMm':
      return `the wish for a bore of ${quantity(constraints.leastBoreMm ?? 0, 'mm')}`;
    case 'mostStackMm':
      return `the limit of ${quantity(constraints.mostStackMm ?? 0, 'mm')} on the stack`;
    case 'materials':
      return `the limit to ${constraints.materials!.join(' and ')}`;
    case 'use':
      return `the wish to use ${constraints.use!.length === 1 ? 'the named part' : 'the named parts'}`;
    case 'avoid':
      return 'the parts to be avoided';
  }
}
