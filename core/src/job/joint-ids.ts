import type { ChainLink } from '../chains/index.js';
import type { ChosenWay, Line, LineBranch } from './line-schema.js';

/**
 * The name of a joint: the keys of the two things that meet, from A to B. A port is `A` or `B`, the end of a piece `p1.A`, the open end
 * of a fitting its key and the end. What is put in elsewhere in the line changes no joint's name but those next to it.
 */
export function jointId(near: string, far: string): string {
  return `${near}>${far}`;
}

/** What stands before and after a way: a port, or the end of a piece. */
export function besides({ pieces }: Pick<Line, 'pieces'>, at: number): readonly [before: string, after: string] {
  const before = pieces[at - 1];
  const after = pieces[at];
  return [before ? `${before.key}.B` : 'A', after ? `${after.key}.A` : 'B'];
}

/** The joint between the end of a piece and its hose. */
export function hoseJointId(pieceKey: string, side: 'A' | 'B'): string {
  return jointId(`${pieceKey}.${side}`, 'hose');
}

/** Names along one open end, from the fitting outwards. */
export function branchKeys(
  fittingKey: string,
  { end, to, fittings }: Pick<LineBranch, 'end' | 'to'> & { readonly fittings: readonly { readonly key: string }[] },
): string[] {
  return [`${fittingKey}.${end}`, ...fittings.map((p) => p.key), ...(to === 'sensor' ? ['sensor'] : [])];
}

/** Names of all joints that a line has as far as it is decided. */
export function jointIdsIn(line: Pick<Line, 'pieces' | 'ways'>): string[] {
  const pairs = (keys: readonly string[]): string[] => keys.slice(1).map((far, i) => jointId(keys[i]!, far));
  const ofWay = (chosen: ChosenWay, at: number): string[] => {
    const [before, after] = besides(line, at);
    return [
      ...pairs([before, ...chosen.fittings.map((p) => p.key), after]),
      ...chosen.branches.flatMap((b) => pairs(branchKeys(chosen.fittings[b.at]!.key, b))),
    ];
  };
  return [
    ...line.ways.flatMap(({ chosen }, at) => (chosen ? ofWay(chosen, at) : [])),
    ...line.pieces.flatMap(({ key }) => (['A', 'B'] as const).map((side) => hoseJointId(key, side))),
  ];
}

interface UnkeyedWay {
  readonly fittings: readonly ChainLink[];
  readonly branches: readonly (Omit<LineBranch, 'fittings'> & { readonly fittings: readonly ChainLink[] })[];
}

/** Gives the parts of a way their keys. A part that stood there before, counted from either end, keeps its own. */
export function keyedWay(way: UnkeyedWay, before: ChosenWay | null, newKey: () => string): ChosenWay {
  const old = before?.fittings ?? [];
  const same = (a: ChainLink | undefined, b: ChainLink | undefined): boolean =>
    !!a && !!b && a.id === b.id && a.inEnd === b.inEnd && a.outEnd === b.outEnd;
  const most = Math.min(old.length, way.fittings.length);
  let front = 0;
  while (front < most && same(old[front], way.fittings[front])) front++;
  let back = 0;
  while (back < most - front && same(old[old.length - 1 - back], way.fittings[way.fittings.length - 1 - back])) back++;
  const link = ({ id, inEnd, outEnd }: ChainLink, key: string | undefined) => ({ key: key ?? newKey(), id, inEnd, outEnd });
  const fittings = way.fittings.map((placed, i) => {
    const fromEnd = way.fittings.length - 1 - i;
    return link(placed, i < front ? old[i]!.key : fromEnd < back ? old[old.length - 1 - fromEnd]!.key : undefined);
  });
  const branches = way.branches.map((branch): LineBranch => {
    const stood = before?.branches.find((b) => b.end === branch.end && old[b.at]?.key === fittings[branch.at]?.key);
    return {
      ...branch,
      fittings: branch.fittings.map((f, i) => link(f, same(f, stood?.fittings[i]) ? stood!.fittings[i]!.key : undefined)),
    };
  });
  return { fittings, branches };
}
