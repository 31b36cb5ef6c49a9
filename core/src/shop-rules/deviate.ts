import type { Deviation, FlowRules } from '../job/index.js';
import type { SealRules } from '../supplies/index.js';
import { shopRules } from './entries.js';
import { ruleValueProblem } from './rule-problem.js';
import type { JudgingRules } from './judging-rules.js';

/** What the shop does its own way, where it bears on how a job is judged. */
export interface Schools {
  readonly seals: SealRules;
  readonly flow: FlowRules;
  readonly limits: JudgingRules;
}

const FIELD_OF = { judging: 'limits', flow: 'flow', seals: 'seals' } as const;
const known = new WeakMap<Schools, WeakMap<readonly Deviation[], Schools>>();

/** The schools by which a job is judged: the shop's, but for what the job does another way. The same question has the same answer. */
export function schoolsOfJob(deviations: readonly Deviation[] | undefined, shop: Schools): Schools {
  if (!deviations || deviations.length === 0) return shop;
  const before = known.get(shop) ?? new WeakMap<readonly Deviation[], Schools>();
  known.set(shop, before);
  const found = before.get(deviations) ?? deviations.reduce(deviated, shop);
  before.set(deviations, found);
  return found;
}

function deviated(schools: Schools, { rule, value }: Deviation): Schools {
  const entry = shopRules.find((e) => e.id === rule && e.perJob);
  // what came in with a file may say anything
  if (!entry || !(entry.group in FIELD_OF) || ruleValueProblem(entry, value)) return schools;
  const row = FIELD_OF[entry.group as keyof typeof FIELD_OF];
  return { ...schools, [row]: { ...schools[row], [entry.field]: value } };
}
