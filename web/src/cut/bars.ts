import type { Bar, CutDone, CutGroup, CutPiece, GroupPlan, HoseLength } from '@gewinde/core';

/** A piece on a bar: still to be sawn, or sawn already. */
export interface ShownPiece {
  readonly piece: CutPiece;
  readonly lengthMm: number;
  readonly done?: CutDone;
}

/** A bar as it is drawn: what was sawn off it already, what is still to be, and what is left. */
export interface ShownBar {
  readonly key: string;
  readonly bar: Bar;
  readonly length?: HoseLength;
  readonly pieces: readonly ShownPiece[];
  /** Drawn in full, or broken off: a reel is longer than the sheet. */
  readonly shownMm: number;
  readonly broken: boolean;
}

export interface ShownGroup {
  readonly group: CutGroup;
  readonly plan: GroupPlan | undefined;
  readonly bars: readonly ShownBar[];
}

/** A reel is shown so much beyond its last piece, mm. */
const BEYOND_MM = 600;

/** Bars of a group in the order of the hands, with what was sawn off them at their head. */
export function shownGroup(group: CutGroup, plan: GroupPlan | undefined): ShownGroup {
  const pieces = new Map(group.toCut.map((p) => [p.id, p]));
  const lengths = new Map([...group.lengths, ...group.kept].map((l) => [l.id, l]));
  const barOf = new Map((plan?.bars ?? []).map((b) => [b.from, b]));
  const doneOn = new Map<string, CutDone[]>();
  for (const done of group.done) doneOn.set(done.made.lengthId, [...(doneOn.get(done.made.lengthId) ?? []), done]);
  const bars = (plan?.bars ?? []).map((bar): ShownBar => show(bar, lengths.get(bar.from), doneOn.get(bar.from) ?? [], pieces));
  // what was sawn off a length that has nothing more to give stands by itself
  for (const [id, done] of doneOn) {
    if (barOf.has(id)) continue;
    const length = lengths.get(id);
    const left = length?.mm ?? 0;
    const bar: Bar = {
      from: id,
      kind: length?.kind ?? 'offcut',
      key: id,
      lengthMm: left,
      trimMm: 0,
      pieces: [],
      remainderMm: left,
      useful: left > 0,
    };
    bars.unshift(show(bar, length, done, pieces));
  }
  return { group, plan, bars };
}

function show(bar: Bar, length: HoseLength | undefined, done: readonly CutDone[], pieces: ReadonlyMap<string, CutPiece>): ShownBar {
  const sawn = done.map((d): ShownPiece => ({ piece: d.piece, lengthMm: d.made.measuredMm, done: d }));
  const toCut = bar.pieces.flatMap(({ id, lengthMm }): ShownPiece[] => {
    const piece = pieces.get(id);
    return piece ? [{ piece, lengthMm }] : [];
  });
  const all = [...sawn, ...toCut];
  const taken = all.reduce((sum, p) => sum + p.lengthMm, 0) + bar.trimMm;
  const whole = bar.lengthMm + sawn.reduce((sum, p) => sum + p.lengthMm, 0);
  const shownMm = bar.kind === 'reel' || bar.lengthMm - taken > 3 * BEYOND_MM ? Math.min(whole, taken + BEYOND_MM) : whole;
  return { key: bar.key, bar, ...(length ? { length } : {}), pieces: all, shownMm, broken: shownMm < whole };
}

/** In the order of the hands: offcuts before reels, each bar from its first piece to its last; what is bought waits. */
export function sawOrder(
  groups: readonly ShownGroup[],
): readonly { readonly shown: ShownPiece; readonly bar: ShownBar; readonly group: CutGroup }[] {
  return groups.flatMap(({ group, bars }) =>
    bars.filter((b) => b.bar.kind !== 'new').flatMap((bar) => bar.pieces.map((shown) => ({ shown, bar, group }))),
  );
}
