import { isHonestMistake, howToTell, nextInDrill, parseThread, type DrillVerdict } from '@gewinde/core';
import type { Knex } from 'knex';
import { AppError } from '../errors/app-error.js';
import { fittingOnTray, mysteryTray, type MysteryFitting } from '../stand-ins/calliper/mystery-tray.js';
import { answersOf } from './answers-store.js';

/** The fitting to measure next: weak pairs come back more often. */
export async function nextFitting(db: Knex, apprentice: string, chance: () => number = Math.random): Promise<MysteryFitting> {
  const thread = nextInDrill(
    mysteryTray.map((fitting) => fitting.thread),
    await answersOf(db, 'drill_answers', apprentice),
    chance(),
  );
  const those = mysteryTray.filter((fitting) => fitting.thread === thread);
  return those[Math.min(those.length - 1, Math.floor(chance() * those.length))]!;
}

/** @throws {AppError} for a fitting that is not on the tray; {@link UnknownThreadError} for a name that is no thread */
export async function recordAnswer(db: Knex, apprentice: string, fittingId: string, said: string): Promise<DrillVerdict> {
  const fitting = fittingOnTray(fittingId);
  if (!fitting) throw new AppError('not-found', 'This fitting is not on the tray.', { field: 'fitting' });
  const truth = parseThread(fitting.thread);
  const answer = sameByMeasure(parseThread(said).designation);
  const right = answer === sameByMeasure(truth.designation);
  await db('drill_answers').insert({ apprentice, fitting: fittingId, truth: truth.designation, answer, right, at: new Date() });
  return {
    right,
    truth: truth.designation,
    answer,
    lookAlike: !right && isHonestMistake(truth.designation, answer),
    ...(right ? {} : { howToTell: howToTell(truth, parseThread(answer), fitting.side) }),
  };
}

/** No measurement tells NPTF from NPT, nor an Rp hole from a G one: either name is right. */
function sameByMeasure(designation: string): string {
  return designation.replace('NPTF', 'NPT').replace(/^Rp /, 'G ');
}
