/** One of the things that may turn out: a port's thread, or the angle the mock-up asks for. */
export interface PossibleCase {
  readonly id: string;
  readonly name: string;
  /** How likely it is; they add up to one, or are brought there. */
  readonly share: number;
  readonly parts: readonly { readonly part: string; readonly quantity: number }[];
}

/** What a part costs, when it comes, and on what terms it goes back. */
export interface CasePart {
  readonly part: string;
  readonly priceMinor: number;
  readonly leadDays: number;
  /** What is lost of its price when it is sent back; all of it where it cannot be. */
  readonly lostWhenReturned: number;
}

export interface EitherOrPlan {
  /** Cases whose parts are bought now: the job goes on at once in these. */
  readonly ready: readonly string[];
  readonly buyNow: readonly { readonly part: string; readonly quantity: number; readonly common: boolean }[];
  readonly nowMinor: number;
  /** What it comes to on average: bought, sent back, and waited for. */
  readonly expectedMinor: number;
  /** Longest the job may stand, days. */
  readonly worstDays: number;
}

export interface EitherOr {
  readonly best: EitherOrPlan;
  /** Nothing bought that is not common to all until it is known. */
  readonly waiting: EitherOrPlan;
  /** Everything for all cases. */
  readonly all: EitherOrPlan;
  /** Parts without a price: they are in no sum. */
  readonly unpriced: readonly string[];
}

/**
 * What to buy while it is not known what will be needed, so that the job goes on at least cost: for each choice of cases to be ready for, what is bought
 * now, what is lost on sending back what was not needed, and what a day's standing still costs in the cases that were not bought for.
 *
 * @param dayMinor what a day of waiting costs the shop
 * @throws {RangeError} for no case, or more than six
 */
export function eitherOr(cases: readonly PossibleCase[], parts: readonly CasePart[], dayMinor: number): EitherOr {
  if (cases.length === 0 || cases.length > 6) throw new RangeError(`One to six cases are weighed, not ${cases.length}.`);
  const sum = cases.reduce((s, c) => s + Math.max(0, c.share), 0);
  const shares = cases.map((c) => (sum > 0 ? Math.max(0, c.share) / sum : 1 / cases.length));
  const priced = new Map(parts.map((p) => [p.part, p]));
  const needOf = (c: PossibleCase): Map<string, number> => {
    const need = new Map<string, number>();
    for (const { part, quantity } of c.parts) need.set(part, (need.get(part) ?? 0) + quantity);
    return need;
  };
  const needs = cases.map(needOf);
  const every = [...new Set(needs.flatMap((n) => [...n.keys()]))];
  const common = new Map(every.map((part) => [part, Math.min(...needs.map((n) => n.get(part) ?? 0))]));
  const planFor = (ready: readonly number[]): EitherOrPlan => {
    const now = new Map(every.map((part) => [part, Math.max(common.get(part)!, ...ready.map((c) => needs[c]!.get(part) ?? 0))]));
    const money = (part: string, n: number): number => n * (priced.get(part)?.priceMinor ?? 0);
    const nowMinor = every.reduce((s, part) => s + money(part, now.get(part)!), 0);
    let expectedMinor = nowMinor;
    let worstDays = 0;
    cases.forEach((_, c) => {
      let [later, wait] = [0, 0];
      for (const part of every) {
        const wanted = needs[c]!.get(part) ?? 0;
        const has = now.get(part)!;
        if (has > wanted) later -= (has - wanted) * ((priced.get(part)?.priceMinor ?? 0) - (priced.get(part)?.lostWhenReturned ?? 0));
        if (wanted > has) {
          later += money(part, wanted - has);
          wait = Math.max(wait, priced.get(part)?.leadDays ?? 0);
        }
      }
      expectedMinor += shares[c]! * (later + wait * dayMinor);
      if (shares[c]! > 0) worstDays = Math.max(worstDays, wait);
    });
    return {
      ready: ready.map((c) => cases[c]!.id),
      buyNow: every.flatMap((part) =>
        now.get(part)! > 0 ? [{ part, quantity: now.get(part)!, common: now.get(part) === common.get(part) }] : [],
      ),
      nowMinor,
      expectedMinor: Math.round(expectedMinor),
      worstDays,
    };
  };
  const subsets = Array.from({ length: 2 ** cases.length }, (_, bits) => cases.flatMap((__, c) => ((bits >> c) & 1 ? [c] : [])));
  const plans = subsets.map(planFor);
  const best = plans.reduce((a, b) =>
    b.expectedMinor < a.expectedMinor || (b.expectedMinor === a.expectedMinor && b.worstDays < a.worstDays) ? b : a,
  );
  return { best, waiting: plans[0]!, all: plans[plans.length - 1]!, unpriced: every.filter((part) => !priced.has(part)) };
}
