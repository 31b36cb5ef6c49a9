import { endForm } from '../connectors/index.js';
import { lengthBetween, turnBetween, type Fitting } from '../fittings/index.js';
import type { ChainQuery } from './chain.js';
import { ChainConstraintError } from './chain-constraint-error.js';
import { quantity } from '../units/index.js';

/**
 * Finds wishes that contradict one another before anything is searched for.
 * @throws {ChainConstraintError} in words for the fabricator
 */
export function checkConstraints(query: ChainQuery, maxFittings: number): void {
  const { constraints = {}, fittings } = query;
  const { use = [], avoid = [], leastBoreMm, mostStackMm, materials = [], turnDeg } = constraints;
  const wanted = use.map((id) => requiredPart(id, fittings));
  const both = use.find((id) => avoid.includes(id));
  if (both) fail(`"${both}" is both to be used and to be avoided.`, 'avoid', 'Take it off one of the two lists.');
  if (wanted.length > maxFittings)
    fail(
      `${wanted.length} parts are to be used, but the chain may have no more than ${maxFittings}.`,
      'use',
      'Allow more fittings, or ask for fewer.',
    );
  for (const part of wanted) {
    if (leastBoreMm !== undefined && part.boreMm !== undefined && part.boreMm < leastBoreMm)
      fail(
        `${part.name} passes ${quantity(part.boreMm, 'mm')}, and the chain must pass ${quantity(leastBoreMm, 'mm')}.`,
        'leastBoreMm',
        'Ask for less bore, or another part.',
      );
    if (materials.length > 0 && !materials.includes(part.material ?? ''))
      fail(
        `${part.name} is ${part.material ? `of ${part.material}` : 'of a metal that is not stated'}, which is not allowed.`,
        'materials',
        'Allow its metal, or ask for another part.',
      );
  }
  const stack = wanted.reduce((sum, part) => sum + shortest(part), 0);
  if (mostStackMm !== undefined && stack > mostStackMm)
    fail(
      `The parts to be used are ${quantity(round(stack), 'mm')} long together, and the stack may be ${quantity(mostStackMm, 'mm')}.`,
      'mostStackMm',
      'Allow a longer stack.',
    );
  const turned = wanted.reduce((sum, part) => sum + (part.ends.length === 2 ? turnBetween(part, 0, 1) : 0), 0);
  if (turnDeg !== undefined && turned > turnDeg)
    fail(
      `The parts to be used turn ${turned}° already, and the chain is to turn ${turnDeg}°.`,
      'turnDeg',
      'Allow the larger angle, or ask for other parts.',
    );
  if (leastBoreMm !== undefined)
    for (const [words, end] of [
      ['The port', query.from],
      ['The hose end', query.to],
    ] as const)
      if (endForm(end).boreMm < leastBoreMm - 0.05)
        fail(
          `${words} itself passes about ${quantity(round(endForm(end).boreMm), 'mm')}; no adapter makes it ${quantity(leastBoreMm, 'mm')}.`,
          'leastBoreMm',
          'Take a larger port or hose end.',
        );
}

function requiredPart(id: string, fittings: readonly Fitting[]): Fitting {
  const part = fittings.find((f) => f.id === id && !f.retired);
  if (!part) fail(`"${id}" is to be used, but it is not in the catalogue.`, 'use', 'Take it off the list, or put it back.');
  if (part.ends.length < 2) fail(`${part.name} has one end only: nothing passes through it.`, 'use', 'Take it off the list.');
  return part;
}

function shortest(part: Fitting): number {
  let best = Infinity;
  part.ends.forEach((_, i) => part.ends.forEach((__, j) => (best = i === j ? best : Math.min(best, lengthBetween(part, i, j)))));
  return best;
}

function fail(message: string, field: string, hint: string): never {
  throw new ChainConstraintError(message, field, hint);
}

function round(mm: number): number {
  return Math.round(mm * 10) / 10;
}
