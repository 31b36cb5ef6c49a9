import {
  brokenExample,
  faultsToFind,
  lineToLookOver,
  nameOfQuestion,
  nextInDrill,
  NOTHING_WRONG,
  questionNamed,
  rightAnswer,
  ruleIds,
  shownJob,
  type AnswerOf,
  type benchContracts,
  type FaultQuestion,
} from '@gewinde/core';
import type { Knex } from 'knex';
import { AppError } from '../errors/app-error.js';
import { answersOf } from './answers-store.js';

/** How often nothing is wrong: who is told that something always is looks until it is found. */
const SOUND = 0.25;

/** The line to look over next: rules that were missed come back more often. */
export async function nextLine(
  db: Knex,
  apprentice: string,
  chances?: readonly [number, number],
): Promise<AnswerOf<typeof benchContracts.nextLine>> {
  const [which, sound] = chances ?? [Math.random(), Math.random()];
  const answers = await answersOf(db, 'fault_answers', apprentice);
  const rule = nextInDrill(faultsToFind(), answers, which) as FaultQuestion['rule'];
  const question: FaultQuestion = { rule, faulty: sound >= SOUND };
  const { judged, said, choices } = lineToLookOver(question);
  return {
    id: nameOfQuestion(question),
    job: JSON.parse(JSON.stringify(shownJob(judged))) as AnswerOf<typeof benchContracts.nextLine>['job'],
    said: said.map(([about, words]) => ({ about, said: words })),
    choices: [...choices],
  };
}

/** @throws {AppError} not-found for a question that was never asked, bad-value for an answer that is no rule */
export async function answerFault(
  db: Knex,
  apprentice: string,
  name: string,
  answer: string,
): Promise<AnswerOf<typeof benchContracts.answerFault>> {
  const question = questionNamed(name);
  if (!question) throw new AppError('not-found', 'This line was not asked about.', { field: 'question' });
  if (answer !== NOTHING_WRONG && !(ruleIds as readonly string[]).includes(answer))
    throw new AppError('bad-value', `There is no rule "${answer}".`, { field: 'answer' });
  const truth = rightAnswer(question);
  const right = answer === truth;
  await db('fault_answers').insert({ apprentice, truth, answer, right, at: new Date() });
  const found = truth === NOTHING_WRONG ? undefined : brokenExample(question.rule).findings.find((f) => f.rule === truth);
  return { right, truth, answer, message: found?.message ?? '' };
}
