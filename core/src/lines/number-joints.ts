import type { Connector } from '../connectors/index.js';
import { hoseJoint, joinsHose } from '../hose/index.js';
import { besides, branchKeys, hoseJointId, jointId } from '../job/index.js';
import { clampFor, clampSize, makeUpBetween, mate, metalOf, type Mating, type Metal } from '../seals/index.js';
import {
  terminalCases,
  terminalName,
  type AssembledBranch,
  type AssembledPiece,
  type AssembledWay,
  type JointState,
  type LineJoint,
  type Terminal,
} from './assembled-line.js';

type Unnumbered = Omit<LineJoint, 'number' | 'state'>;

/** One of the two things that meet in a joint. */
interface Facing {
  readonly what: 'Port' | 'Adapter' | 'Branch' | 'Hose end' | 'Plug' | 'Sensor';
  readonly name: string;
  readonly key: string;
  /** What it is; several where a port may be one of them. */
  readonly cases: readonly Connector[];
  readonly metal: Metal;
}

/** The joints of a line, numbered from port A to port B; those on a branch follow the joint before their tee. */
export function numberJoints(ways: readonly AssembledWay[], pieces: readonly AssembledPiece[], made: ReadonlySet<string>): LineJoint[] {
  const all = ways.flatMap((way, at) => [...inWay(way, pieces), ...onHose(pieces[at], [way, ways[at + 1]])]);
  return all.map((joint, i) => ({ number: i + 1, ...joint, state: stateOf(joint, made.has(joint.id)) }));
}

function inWay(way: AssembledWay, pieces: readonly AssembledPiece[]): Unnumbered[] {
  const { at, fittings, branches, from, to } = way;
  const [before, after] = besides({ pieces: pieces.map((p) => p.piece) }, at);
  const [near, far] = [terminalCases(from), terminalCases(to)];
  if (!fittings || near.length === 0 || far.length === 0) return [];
  // told from the port where there is one
  const backwards = from.kind === 'hose end' && to.kind === 'port';
  const list: Unnumbered[] = [];
  const join = (a: Facing, b: Facing, branch?: LineJoint['branch']): void => {
    const [one, other] = backwards && !branch ? [b, a] : [a, b];
    const piece =
      from.kind === 'hose end' && a.key === before ? from.piece.key : to.kind === 'hose end' && b.key === after ? to.piece.key : undefined;
    const { mating, ...met } = tightened(worstOf(one.cases, other.cases), [one.metal, other.metal]);
    list.push({
      id: jointId(a.key, b.key),
      way: at,
      ...(piece ? { piece } : {}),
      title: `${one.what} to ${other.what.toLowerCase()}`,
      parts: [one.name, other.name],
      ...met,
      mating: clamped(mating, pieces.find((p) => p.piece.key === piece)?.hose),
      ...(branch ? { branch } : {}),
    });
  };
  let exposed = facing(from, before, near);
  fittings.forEach(({ fitting, inEnd, outEnd, key }, i) => {
    const adapter = { what: 'Adapter', name: fitting.name, key, metal: metalOf(fitting.material) } as const;
    join(exposed, { ...adapter, cases: [fitting.ends[inEnd]!] });
    for (const branch of branches.filter((b) => b.at === i)) alongBranch(way, i, branch, join);
    exposed = { ...adapter, cases: [fitting.ends[outEnd]!] };
  });
  join(exposed, facing(to, after, far));
  return list;
}

function facing(terminal: Terminal, key: string, cases: readonly Connector[]): Facing {
  return terminal.kind === 'port'
    ? { what: 'Port', name: terminalName(terminal), key, cases, metal: metalOf(terminal.component.metal ?? terminal.part?.material) }
    : { what: 'Hose end', name: terminal.hoseEnd!.name, key, cases, metal: metalOf(terminal.hoseEnd!.material) };
}

/** The make-up for the metals that meet: the weaker of the two says how tight. */
function tightened<T extends Pick<LineJoint, 'mating'>>(joint: T, metals: readonly [Metal, Metal]): T & Pick<LineJoint, 'metals'> {
  const { makeUp, ...mating } = joint.mating;
  if (!makeUp) return joint;
  const between = makeUpBetween(makeUp, ...metals);
  return { ...joint, metals, mating: between === makeUp ? joint.mating : { ...mating, ...(between ? { makeUp: between } : {}) } };
}

/** What is clamped is held by the clamp that its hose asks for: its kind, its span and how tight go by the hose, not by the barb alone. */
function clamped(mating: Mating, hose: AssembledPiece['hose']): Mating {
  const { kind, makeUp, seal } = mating;
  const clamp = kind === 'clamp' && makeUp && seal && hose ? clampFor(hose) : undefined;
  if (!clamp) return mating;
  const [low, high] = clamp.torqueNm;
  const size = clampSize(clamp);
  return {
    ...mating,
    ...(size ? { seal: { method: `${seal!.method}: ${clamp.kind}`, consumables: seal!.consumables.map((c) => ({ ...c, size })) } } : {}),
    makeUp: { ...makeUp!, low, high },
    reason: size ? `${mating.reason} ${clamp.kind.slice(0, 1).toUpperCase()}${clamp.kind.slice(1)}: ${clamp.why}.` : mating.reason,
  };
}

const BAD = { seals: 0, leaks: 1, 'does-not-join': 2 } as const satisfies Record<Mating['outcome'], number>;

/**
 * The worst verdict of all that the two may be. Where they may be several, no torque is given: it could be that of another thread; and a
 * seal only where it is the same in every case.
 */
function worstOf(some: readonly Connector[], others: readonly Connector[]): Pick<LineJoint, 'connectors' | 'mating' | 'uncertain'> {
  const all = some.flatMap((a) => others.map((b) => ({ connectors: [a, b] as const, mating: mate(a, b) })));
  const worst = all.reduce((bad, next) => (BAD[next.mating.outcome] > BAD[bad.mating.outcome] ? next : bad));
  if (all.length === 1) return worst;
  const { makeUp: _makeUp, seal: _seal, ...mating } = worst.mating;
  const seal = worst.mating.outcome === 'seals' ? oneSeal(all.map(({ mating: one }) => one.seal)) : undefined;
  return { ...worst, mating: { ...mating, ...(seal ? { seal } : {}) }, uncertain: true };
}

/** What all cases seal with; where that differs, each by its name and nothing to buy yet. */
function oneSeal(seals: readonly Mating['seal'][]): Mating['seal'] {
  const methods = [...new Set(seals.map((seal) => seal?.method ?? 'nothing added'))];
  return methods.length === 1 ? seals[0] : { method: methods.join(' or '), consumables: [] };
}

function alongBranch(
  { fittings, kept }: AssembledWay,
  at: number,
  branch: AssembledBranch,
  join: (a: Facing, b: Facing, branch: LineJoint['branch']) => void,
): void {
  const { fitting, key } = fittings![at]!;
  const stood = kept.chosen!.branches.find((b) => b.at === at && b.end === branch.end)!;
  const keys = branchKeys(key, stood);
  const place = { at, end: branch.end };
  const metal = metalOf(fitting.material);
  let exposed: Facing = { what: 'Branch', name: fitting.name, key: keys[0]!, cases: [fitting.ends[branch.end]!], metal };
  branch.fittings.forEach(({ fitting: part, inEnd, outEnd }, i) => {
    const what = part.ends.length === 1 ? 'Plug' : 'Adapter';
    const own = { name: part.name, key: keys[i + 1]!, metal: metalOf(part.material) };
    join(exposed, { what, ...own, cases: [part.ends[inEnd]!] }, place);
    exposed = { what: 'Adapter', ...own, cases: [part.ends[outEnd]!] };
  });
  const { sensor } = branch;
  if (sensor)
    join(exposed, { what: 'Sensor', name: sensor.name, key: 'sensor', cases: [sensor.connector], metal: metalOf(undefined) }, place);
}

/**
 * The ends of a piece on its hose, where the way beside is chosen: before, an end may still be another. A cut end that is clamped has
 * its joint with the barb, and a flare is the tube itself.
 */
function onHose(piece: AssembledPiece | undefined, beside: readonly (AssembledWay | undefined)[]): Unnumbered[] {
  const { hose } = piece ?? {};
  if (!piece || !hose) return [];
  return (['A', 'B'] as const).flatMap((side, i) => {
    const end = piece[`end${side}`];
    if (!end || !beside[i]?.fittings || !joinsHose(end)) return [];
    return [
      {
        id: hoseJointId(piece.piece.key, side),
        piece: piece.piece.key,
        title: 'Hose end to hose',
        parts: [end.name, hose.name],
        mating: hoseJoint(end, hose),
      } as const,
    ];
  });
}

function stateOf({ mating: { outcome, seal }, uncertain }: Unnumbered, made: boolean): JointState {
  if (outcome !== 'seals') return 'leaks';
  if (made) return 'made';
  return uncertain === true || (seal?.consumables.length ?? 0) > 0 ? 'needs' : 'sealed';
}
