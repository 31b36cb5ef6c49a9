import type { HoseLength, StoreRules } from '../stock/index.js';
import type { CutProblem } from './cut-problem.js';
import type { CutPlan } from './plan-cuts.js';

/** Hose that can be bought: packs of a length; several come as one where it is sold off the reel. */
export interface NewLength {
  readonly id: string;
  readonly mm: number;
  readonly oneLength?: boolean;
}

/** A length of the rack; one that was sawn today has a square end. */
export type RackLength = Pick<HoseLength, 'id' | 'kind' | 'mm'> & { readonly square?: boolean };

/** What is to be cut of one part, and from what. */
export interface GroupProblem {
  readonly part: string;
  readonly pieces: readonly { readonly id: string; readonly lengthMm: number }[];
  readonly lengths: readonly RackLength[];
  readonly offers: readonly NewLength[];
}

export type CutRules = Pick<StoreRules, 'kerfMm' | 'endTrimMm' | 'leastOffcutMm' | 'offcutsFirst'>;

/** One length with the pieces that come off it, in the order of the saw: the longest first. */
export interface Bar {
  /** The length on the rack, or the offer of which a new one is bought. */
  readonly from: string;
  readonly kind: HoseLength['kind'] | 'new';
  /** `new 1`, `new 2`: apart where several are bought. */
  readonly key: string;
  readonly lengthMm: number;
  /** Packs to be bought for it. */
  readonly packs?: number;
  readonly trimMm: number;
  readonly pieces: readonly { readonly id: string; readonly lengthMm: number }[];
  readonly remainderMm: number;
  /** Long enough to go back to the rack. */
  readonly useful: boolean;
}

export interface GroupPlan {
  readonly part: string;
  /** In the order of the hands: offcuts, then lengths and reels, then what is bought. */
  readonly bars: readonly Bar[];
  /** No plan opens less. */
  readonly proven: boolean;
  /** What is opened of reels, lengths and new hose, mm, and below which no plan can be. */
  readonly openedMm: number;
  readonly boundMm: number;
  /** Pieces that nothing is long enough for; a piece is never joined. */
  readonly unmet: readonly string[];
}

/** What is bought where nobody says how it is sold: by the metre, in one length. */
export const BY_THE_METRE: NewLength = { id: 'by the metre', mm: 1000, oneLength: true };
/** Off one reel there is no more, mm: common practice for a drum of hose. */
const LONGEST_REEL_MM = 50_000;

const NOTHING: CutPlan = { cuts: [], usedMm: 0, provenOptimal: true, boundMm: 0, unmet: [] };

/**
 * The plan of one part, as the problems it comes to one after another: what offcuts give first, by rule of the house; then reels and lengths on the
 * rack; what is left is bought. Each problem is asked for and its plan expected.
 */
export function* groupStages({ part, pieces, lengths, offers }: GroupProblem, rules: CutRules): Generator<CutProblem, GroupPlan, CutPlan> {
  const bars: Bar[] = [];
  const { kerfMm, endTrimMm, leastOffcutMm } = rules;
  const lengthOf = new Map(pieces.map((p) => [p.id, p.lengthMm]));
  let left = [...pieces];
  let [openedMm, boundMm, proven] = [0, 0, true];
  const demand = (): CutProblem['demand'] => left.map((p) => ({ id: p.id, lengthMm: p.lengthMm, quantity: 1 }));
  const taken = (plan: CutPlan, of: (stockId: string) => Omit<Bar, 'pieces' | 'remainderMm' | 'useful'>): void => {
    for (const cut of plan.cuts) {
      const longest = cut.pieces.map((id) => ({ id, lengthMm: lengthOf.get(id)! })).sort((a, b) => b.lengthMm - a.lengthMm);
      bars.push({ ...of(cut.stockId), pieces: longest, remainderMm: cut.remainderMm, useful: cut.remainderMm >= leastOffcutMm });
    }
    const missing = new Set(plan.unmet);
    left = left.filter((p) => missing.has(p.id));
  };
  const trimOf = ({ square }: RackLength): number => (square ? 0 : endTrimMm);
  const rack = function* (some: readonly RackLength[], leaveOut: 'fewest' | 'shortest'): Generator<CutProblem, CutPlan, CutPlan> {
    const stock = some.filter((l) => l.mm > trimOf(l)).map((l) => ({ id: l.id, lengthMm: l.mm - trimOf(l), quantity: 1 }));
    if (stock.length === 0 || left.length === 0) return { ...NOTHING, unmet: left.map((p) => p.id) };
    const plan = yield { stock, kerfMm, demand: demand(), leastOffcutMm, leaveOut };
    taken(plan, (id) => {
      const length = some.find((l) => l.id === id)!;
      return { from: id, key: id, kind: length.kind, lengthMm: length.mm, trimMm: trimOf(length) };
    });
    proven &&= plan.provenOptimal;
    return plan;
  };
  const offcuts = lengths.filter((l) => l.kind === 'offcut');
  const others = lengths.filter((l) => l.kind !== 'offcut');
  const fixed = offers.filter((o) => !o.oneLength && o.mm > endTrimMm);
  const reel = offers.find((o) => o.oneLength) ?? (fixed.length === 0 ? BY_THE_METRE : undefined);
  // where offcuts do not come first, rack and new lengths are one choice
  const withNew = !rules.offcutsFirst && fixed.length > 0;
  if (rules.offcutsFirst) yield* rack(offcuts, 'shortest');
  if (!withNew) {
    const opened = yield* rack(rules.offcutsFirst ? others : lengths, 'fewest');
    openedMm += opened.usedMm;
    boundMm += opened.boundMm;
  }
  if (left.length > 0 && fixed.length > 0) {
    const fresh = fixed.map((o) => ({ id: o.id, lengthMm: o.mm - endTrimMm, quantity: null }));
    const hung = withNew ? lengths.filter((l) => l.mm > trimOf(l)) : [];
    const stock = [...fresh, ...hung.map((l) => ({ id: l.id, lengthMm: l.mm - trimOf(l), quantity: 1 }))];
    const longest = Math.max(...stock.map((s) => s.lengthMm));
    const off = reel ? left.filter((p) => p.lengthMm > longest) : [];
    left = left.filter((p) => !off.includes(p));
    const plan = left.length > 0 ? yield { stock, kerfMm, demand: demand(), leastOffcutMm } : NOTHING;
    let n = 0;
    taken(plan, (id) => {
      const length = hung.find((l) => l.id === id);
      if (length) return { from: id, key: id, kind: length.kind, lengthMm: length.mm, trimMm: trimOf(length) };
      return { from: id, key: `new ${++n}`, kind: 'new', lengthMm: fixed.find((o) => o.id === id)!.mm, packs: 1, trimMm: endTrimMm };
    });
    left = [...left, ...off];
    openedMm += plan.usedMm;
    boundMm += plan.boundMm;
    proven &&= plan.provenOptimal;
  }
  if (left.length > 0 && reel) {
    const off = offTheReel(left, reel, rules);
    bars.push(...off.bars);
    left = off.unmet;
    openedMm += off.bars.reduce((sum, b) => sum + b.lengthMm, 0);
    boundMm += off.bars.reduce((sum, b) => sum + b.lengthMm, 0);
  }
  const order = { offcut: 0, made: 1, length: 1, reel: 2, new: 3 };
  bars.sort((a, b) => order[a.kind] - order[b.kind]);
  return { part, bars, proven, openedMm, boundMm: proven ? openedMm : Math.min(boundMm, openedMm), unmet: left.map((p) => p.id) };
}

/** In one length as long as all pieces, their kerfs and the trimmed end, in whole packs; more than a reel holds is split. */
function offTheReel(
  pieces: GroupProblem['pieces'],
  { id, mm }: NewLength,
  { kerfMm, endTrimMm, leastOffcutMm }: CutRules,
): { bars: Bar[]; unmet: GroupProblem['pieces'][number][] } {
  const most = Math.max(mm, Math.floor(LONGEST_REEL_MM / mm) * mm);
  const runs: { sum: number; of: GroupProblem['pieces'][number][] }[] = [];
  const unmet: GroupProblem['pieces'][number][] = [];
  for (const piece of [...pieces].sort((a, b) => b.lengthMm - a.lengthMm)) {
    if (piece.lengthMm + endTrimMm > most) {
      unmet.push(piece);
      continue;
    }
    const run = runs.find((r) => r.sum + kerfMm + piece.lengthMm <= most);
    if (run) {
      run.sum += kerfMm + piece.lengthMm;
      run.of.push(piece);
    } else runs.push({ sum: endTrimMm + piece.lengthMm, of: [piece] });
  }
  const bars = runs.map(({ sum, of }, i): Bar => {
    const packs = Math.ceil(sum / mm - 1e-9);
    // what the last cut leaves, once it was sawn off
    const remainderMm = Math.max(0, Math.round((packs * mm - sum - kerfMm) * 100) / 100);
    return {
      from: id,
      key: `off the reel ${i + 1}`,
      kind: 'new',
      lengthMm: packs * mm,
      packs,
      trimMm: endTrimMm,
      pieces: of,
      remainderMm,
      useful: remainderMm >= leastOffcutMm,
    };
  });
  return { bars, unmet };
}

/** A plan at once, to be shown while a better one is worked out. */
export function planGroupAtOnce(problem: GroupProblem, rules: CutRules, solve: (problem: CutProblem) => CutPlan): GroupPlan {
  const stages = groupStages(problem, rules);
  let step = stages.next();
  while (!step.done) step = stages.next(solve(step.value));
  return step.value;
}

/** The plan with its proof. @throws {CutFigureError} */
export async function planGroup(
  problem: GroupProblem,
  rules: CutRules,
  solve: (problem: CutProblem) => Promise<CutPlan>,
): Promise<GroupPlan> {
  const stages = groupStages(problem, rules);
  let step = stages.next();
  while (!step.done) step = stages.next(await solve(step.value));
  return step.value;
}

/** What it would take to buy a new length for each piece, in packs by offer: the smallest that holds it. */
export function newLengthEach(
  { pieces, offers }: Pick<GroupProblem, 'pieces' | 'offers'>,
  { endTrimMm }: Pick<CutRules, 'endTrimMm'>,
): { readonly from: string; readonly packs: number }[] {
  const fixed = offers.filter((o) => !o.oneLength).sort((a, b) => a.mm - b.mm);
  const reel = offers.find((o) => o.oneLength) ?? BY_THE_METRE;
  return pieces.map(({ lengthMm }) => {
    const one = fixed.find((o) => o.mm >= lengthMm + endTrimMm);
    return one ? { from: one.id, packs: 1 } : { from: reel.id, packs: Math.ceil((lengthMm + endTrimMm) / reel.mm) };
  });
}
