import { brokenExample, examples, ruleIds, shownJob, soundExample, type AnswerOf, type RuleId, type shopContracts } from '@gewinde/core';
import type { Knex } from 'knex';
import { AppError } from '../errors/app-error.js';

type Example = AnswerOf<typeof shopContracts.readExample>;

/** How a rule looks, right and wrong, with the parts that are drawn. @throws {AppError} not-found */
export async function ruleExample(_db: Knex, rule: string): Promise<Example> {
  if (!(ruleIds as readonly string[]).includes(rule)) throw new AppError('not-found', `There is no rule "${rule}".`);
  const id = rule as RuleId;
  const broken = brokenExample(id);
  return {
    words: examples[id].words,
    message: broken.findings.find((f) => f.rule === id)?.message ?? '',
    sound: shownJob(soundExample(id)),
    broken: shownJob(broken),
  };
}
