import type { ChainLink } from '../chains/index.js';
import { branchKeys, hoseJointId, jointId } from './joint-ids.js';
import { reversedWay } from './line-path.js';
import type { KeptWay, Line, Piece, Wishes } from './line-schema.js';

type OldBranch = Omit<KeptWay['branches'][number], 'portId'> & { readonly [port: string]: unknown };

/** One end of a line as it was kept before a line was a path: the way runs from the port to the hose. */
export interface OldEnd {
  readonly angleDeg: number;
  readonly fittings: readonly ChainLink[] | null;
  readonly branches?: readonly OldBranch[];
  readonly wishes?: Wishes;
  readonly pinned?: readonly { readonly fittings: readonly ChainLink[]; readonly branches: readonly OldBranch[] }[];
}

/** What of a line has changed its form; the rest is kept as it is. */
export interface OldLine {
  readonly construction: string | null;
  readonly dash: number | null;
  readonly endA: OldEnd;
  readonly endB: OldEnd;
  readonly tapedLengthMm: number | null;
  readonly slackPercent: number;
  readonly checked: boolean;
  readonly made?: readonly string[];
}

/** How the hoses and ends of that time are found: by what they were named by. */
export interface OldHoses {
  readonly hose: (construction: string, dash: number) => string | undefined;
  readonly end: (construction: string, dash: number, angleDeg: number) => string | undefined;
}

type Path = Pick<Line, 'pieces' | 'ways' | 'checked' | 'made'>;

/** A line of two ports, one hose and two ends as the path it always was: what it says stays what it says. */
export function pathOfEnds(old: OldLine, hoses: OldHoses): Path {
  const { construction, dash } = old;
  const end = (e: OldEnd): string | null =>
    construction === null || dash === null ? null : (hoses.end(construction, dash, e.angleDeg) ?? null);
  const hose = construction === null || dash === null ? null : (hoses.hose(construction, dash) ?? null);
  const [endA, endB] = [end(old.endA), end(old.endB)];
  const wanted: Piece['wanted'] = {
    ...(hose === null && construction !== null ? { construction } : {}),
    ...(hose === null && dash !== null ? { dash } : {}),
    ...(endA === null && old.endA.angleDeg !== 0 ? { angleA: old.endA.angleDeg } : {}),
    ...(endB === null && old.endB.angleDeg !== 0 ? { angleB: old.endB.angleDeg } : {}),
  };
  let given = 0;
  const key = (): string => `k${++given}`;
  const keyed = <L extends ChainLink>(way: { fittings: readonly L[]; branches: readonly OldBranch[] }) => ({
    fittings: way.fittings.map((link) => ({ key: key(), ...link })),
    branches: way.branches.map((b) => ({ ...b, fittings: b.fittings.map((link) => ({ key: key(), ...link })) })),
  });
  const wayOf = ({ fittings, branches = [], wishes, pinned }: OldEnd, from: 'A' | 'B') => {
    const turned = <W extends { fittings: readonly ChainLink[]; branches: readonly OldBranch[] }>(way: W): W =>
      from === 'A' ? way : reversedWay(way);
    return {
      chosen: fittings === null ? null : keyed(turned({ fittings, branches })),
      ...(wishes ? { wishes } : {}),
      ...(pinned ? { pinned: pinned.map(turned) } : {}),
    } as Line['ways'][number];
  };
  const piece: Piece = {
    key: 'p1',
    hose,
    endA,
    endB,
    ...(Object.keys(wanted).length > 0 ? { wanted } : {}),
    length: old.tapedLengthMm === null ? null : { mm: old.tapedLengthMm, as: 'taped' },
    slackPercent: old.slackPercent,
    source: 'cut',
  };
  const ways = [wayOf(old.endA, 'A'), wayOf(old.endB, 'B')];
  const made = madeJoints(old.made ?? [], ways);
  return {
    pieces: [piece],
    ways,
    // from then on nothing was noted of what was looked at
    checked: old.checked ? { at: null, digest: {} } : null,
    ...(made.length > 0 ? { made } : {}),
  };
}

/** Joints were named by side and place, counted from the port; they are the same joints under the keys of what meets there. */
function madeJoints(old: readonly string[], [wayA, wayB]: Line['ways']): string[] {
  const named = (side: 'A' | 'B', way: Line['ways'][number] | undefined): string[] => {
    if (!way?.chosen) return [];
    const { fittings, branches } = side === 'A' ? way.chosen : reversedWay(way.chosen);
    const pair = (near: string, far: string): string => (side === 'A' ? jointId(near, far) : jointId(far, near));
    const ids: string[] = [];
    let before: string = side;
    fittings.forEach(({ key }, at) => {
      ids.push(pair(before, key));
      for (const branch of branches.filter((b) => b.at === at).sort((a, b) => a.end - b.end)) {
        const outwards = branchKeys(key, branch);
        ids.push(...outwards.slice(1).map((next, i) => jointId(outwards[i]!, next)));
      }
      before = key;
    });
    return [...ids, pair(before, `p1.${side}`), hoseJointId('p1', side)];
  };
  return (['A', 'B'] as const).flatMap((side) => {
    const ids = named(side, side === 'A' ? wayA : wayB);
    return old.flatMap((key) => {
      const place = /^([AB])(\d+):/.exec(key);
      const id = place?.[1] === side ? ids[Number(place[2])] : undefined;
      return id ? [id] : [];
    });
  });
}
