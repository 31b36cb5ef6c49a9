import {
  CutFigureError,
  OrderFigureError,
  planCuts,
  planGroup,
  planOrder,
  singleSuppliers,
  sparesSet,
  type AnswerOf,
  type BodyOf,
  type planContracts,
} from '@gewinde/core';
import type { Knex } from 'knex';
import { AppError } from '../errors/app-error.js';

type Asked<K extends keyof typeof planContracts> = BodyOf<(typeof planContracts)[K]>;
type Told<K extends keyof typeof planContracts> = AnswerOf<(typeof planContracts)[K]>;

/** Seconds for a part; what is found until then is shown with its bound. */
const SECONDS = 1.5;

/** What each part is cut from. @throws {AppError} bad-value */
export async function planCutsOf(_: Knex, { groups, rules }: Asked<'planCuts'>): Promise<Told<'planCuts'>> {
  return inWords(async () => {
    const plans = [];
    for (const group of groups)
      plans.push(
        await planGroup(
          {
            ...group,
            offers: group.offers.map(({ id, mm, oneLength }) => ({ id, mm, ...(oneLength ? { oneLength } : {}) })),
            lengths: group.lengths,
          },
          rules,
          (problem) => planCuts(problem, undefined, SECONDS),
        ),
      );
    return { plans };
  });
}

/** Who is ordered what, by each of the goals, and of each supplier alone. @throws {AppError} bad-value */
export async function planOrdersOf(_: Knex, { problem }: Asked<'planOrders'>): Promise<Told<'planOrders'>> {
  return inWords(async () => {
    const full = problem as Omit<Parameters<typeof planOrder>[0], 'goal'>;
    return {
      cost: await planOrder({ ...full, goal: 'cost' }),
      soonest: await planOrder({ ...full, goal: 'soonest' }),
      fewest: await planOrder({ ...full, goal: 'fewest' }),
      singles: await singleSuppliers({ ...full, goal: 'cost' }),
    };
  });
}

export async function planSparesOf(_: Knex, { lines, carried }: Asked<'planSpares'>): Promise<Told<'planSpares'>> {
  return sparesSet(lines, carried);
}

async function inWords<T>(work: () => Promise<T>): Promise<T> {
  try {
    return await work();
  } catch (error) {
    if (error instanceof CutFigureError || error instanceof OrderFigureError)
      throw new AppError('bad-value', error.message, { field: error.field });
    throw error;
  }
}
