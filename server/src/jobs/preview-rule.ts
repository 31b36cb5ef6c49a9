import {
  holds,
  judgeJob,
  placeKey,
  ruleValueProblem,
  shopRuleById,
  shopRules,
  type AnswerOf,
  type Finding,
  type JudgingSchools,
  type RuleValue,
  type shopContracts,
} from '@gewinde/core';
import type { Knex } from 'knex';
import { partsToJudge, readSchools } from '../catalogue/parts-to-judge.js';
import { lots } from '../database/lots.js';
import { AppError } from '../errors/app-error.js';
import { partsNamedInAll, readDocuments } from './read-document.js';

type RulePreview = AnswerOf<typeof shopContracts.previewRule>;

const FIELD_OF = { judging: 'limits', flow: 'flow', seals: 'seals' } as const;
const AT_ONCE = 20;

/** What a rule of the shop would change in the jobs that are open, before it is set. @throws {AppError} bad-value */
export async function previewRule(db: Knex, rule: string, value: RuleValue): Promise<RulePreview> {
  if (!shopRules.some((e) => e.id === rule)) throw new AppError('bad-value', `There is no shop rule "${rule}".`);
  const entry = shopRuleById(rule);
  const problem = ruleValueProblem(entry, value);
  if (problem) throw new AppError('bad-value', problem);
  const group = FIELD_OF[entry.group as keyof typeof FIELD_OF];
  const ids = await db('jobs').where({ archived: false }).orderBy('number').pluck<string[]>('id');
  // what only ranks, cuts and orders is no matter of findings
  if (!group) return { jobs: ids.length, changed: [] };
  const shop = await readSchools(db);
  const then = { ...shop, [group]: { ...shop[group], [entry.field]: value } } as JudgingSchools;
  const changed: RulePreview['changed'][number][] = [];
  for (const some of lots(ids, AT_ONCE)) {
    const read = await readDocuments(db as Knex, some);
    const parts = await partsToJudge(db, partsNamedInAll(read.map(({ document }) => document)));
    for (const { document } of read) {
      const [before, after] = [shop, then].map((schools) => judgeJob(document, parts, undefined, schools).findings);
      const [gone, new_] = [differing(before!, after!), differing(after!, before!)];
      const { id, number, name } = document.job;
      if (gone + new_ > 0)
        changed.push({
          id,
          number,
          name,
          gone,
          new: new_,
          holdsBefore: before!.filter(holds).length,
          holdsAfter: after!.filter(holds).length,
        });
    }
  }
  return { jobs: ids.length, changed };
}

/** How many findings of one list the other does not have, in the same weight and words. */
function differing(list: readonly Finding[], other: readonly Finding[]): number {
  const keyOf = (f: Finding): string => `${f.rule} ${f.severity} ${placeKey(f.at)} ${f.message}`;
  const there = new Set(other.map(keyOf));
  return list.filter((f) => !there.has(keyOf(f))).length;
}
