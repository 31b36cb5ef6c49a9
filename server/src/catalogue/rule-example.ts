import {
  brokenExample,
  examples,
  partsNamedIn,
  ruleIds,
  soundExample,
  type AnswerOf,
  type JudgedJob,
  type RuleId,
  type shopContracts,
} from '@gewinde/core';
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
    sound: shown(soundExample(id)),
    broken: shown(broken),
  };
}

function shown({ document, catalogue }: JudgedJob): Example['sound'] {
  const named = partsNamedIn(document);
  const used = <P extends { readonly id: string }>(parts: readonly P[]): P[] => parts.filter(({ id }) => named.has(id));
  const plain = { document, fittings: used(catalogue.fittings), hoses: used(catalogue.hoses), hoseEnds: used(catalogue.hoseEnds) };
  return JSON.parse(JSON.stringify(plain)) as Example['sound'];
}
