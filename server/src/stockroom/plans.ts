import {
  CutFigureError,
  Deadline,
  OrderFigureError,
  planCuts,
  planCutsAtOnce,
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

/** Seconds for a plan of one part, and for all that are asked for at once; what is found until then is shown with its bound. */
const SECONDS = 1.5;
const CUTS_S = 12;
/** Seconds for the order that costs least, for each of the two others, and for all suppliers alone. */
const ORDER_S = { cost: 2.5, soonest: 1.5, fewest: 1.5, singles: 1.5 } as const;

/** What each part is cut from. @throws {AppError} bad-value */
export async function planCutsOf(_: Knex, { groups, rules }: Asked<'planCuts'>): Promise<Told<'planCuts'>> {
  return inWords(async () => {
    const plans = [];
    const time = new Deadline(CUTS_S);
    for (const [at, group] of groups.entries()) {
      const share = Math.min(SECONDS, time.left() / (groups.length - at));
      plans.push(
        await planGroup(
          {
            ...group,
            offers: group.offers.map(({ id, mm, oneLength }) => ({ id, mm, ...(oneLength ? { oneLength } : {}) })),
            lengths: group.lengths,
          },
          rules,
          // where the time is over the first plan is still a plan
          async (problem) => (time.over ? planCutsAtOnce(problem) : planCuts(problem, undefined, share)),
        ),
      );
    }
    return { plans };
  });
}

/** Who is ordered what, by each of the goals, and of each supplier alone. @throws {AppError} bad-value */
export async function planOrdersOf(_: Knex, { problem }: Asked<'planOrders'>): Promise<Told<'planOrders'>> {
  return inWords(async () => {
    const full = problem as Omit<Parameters<typeof planOrder>[0], 'goal'>;
    return {
      cost: await planOrder({ ...full, goal: 'cost' }, undefined, ORDER_S.cost),
      soonest: await planOrder({ ...full, goal: 'soonest' }, undefined, ORDER_S.soonest),
      fewest: await planOrder({ ...full, goal: 'fewest' }, undefined, ORDER_S.fewest),
      singles: await singleSuppliers({ ...full, goal: 'cost' }, undefined, ORDER_S.singles),
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
