import { sealUseOf } from '../../lines/index.js';
import { specify, type SealRules, type SealUse, type Specified } from '../../supplies/index.js';
import type { Consumable } from '../../seals/index.js';
import type { Catalogue } from '../../job/index.js';
import { PRACTICE, rulesOf } from '../rule.js';

/** Rings, washers, gaskets, sealants and clamps: whether there is one that bears what is there. */
export const sealRules = rulesOf(
  'flow',
  {
    'seal-not-certain': {
      title: 'No seal that is known to do',
      area: 'seal material',
      severity: 'risk',
      before: 'order',
      why: 'A ring that swells, hardens or is stiff at a cold start leaks, whatever it is tightened to.',
      hint: 'Ask the maker of the ring, or take another seal there.',
      source: 'ISO 3601-5 classes of compounds, from memory; the maker of the ring goes first',
    },
    'torque-not-known': {
      title: 'Cannot be judged: how tight is not known',
      area: 'make-up',
      severity: 'open',
      before: 'start',
      why: 'Too little leaks, too much strips the softer side.',
      hint: 'Ask the maker of the part, and write it on the joint.',
      source: PRACTICE,
    },
  },
  ({ line: { line, joints }, question: { job } }, say) => {
    const use = sealUseOf(line, job.document.job);
    for (const { id, number, mating, way } of joints) {
      const at = { lineId: line.id, joint: id, ...(way === undefined ? {} : { way }) };
      if (mating.outcome === 'seals' && !mating.makeUp) say('torque-not-known', at, `Joint ${number}: no figure is known for it.`);
      for (const consumable of mating.seal?.consumables ?? []) {
        const { doubt } = known(consumable, use, job.catalogue, job.shop.seals);
        if (doubt) say('seal-not-certain', at, `Joint ${number}: ${doubt}`);
      }
    }
  },
);

const answers = new WeakMap<object, WeakMap<object, Map<string, Specified>>>();

/** The same question is asked of hundreds of joints. */
function known(consumable: Consumable, use: SealUse, { supplies }: Catalogue, rules: SealRules): Specified {
  const bySupplies = answers.get(supplies) ?? new WeakMap<object, Map<string, Specified>>();
  answers.set(supplies, bySupplies);
  const notes = bySupplies.get(rules) ?? new Map<string, Specified>();
  bySupplies.set(rules, notes);
  const key = JSON.stringify([consumable.item, consumable.size, use]);
  const found = notes.get(key) ?? specify(consumable, use, supplies, rules);
  notes.set(key, found);
  return found;
}
