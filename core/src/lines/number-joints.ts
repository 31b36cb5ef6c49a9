import type { Connector } from '../connectors/index.js';
import { constructionById, hoseJoint, type Hose } from '../hose/index.js';
import { mate, type Mating } from '../seals/index.js';
import type { AssembledBranch, AssembledEnd, JointState, LineJoint, PlacedFitting } from './assembled-line.js';

type Unnumbered = Omit<LineJoint, 'number' | 'state'>;

/** What meets at the outer side of a joint: its name for the reader, its id for the key. */
interface Exposed {
  readonly what: string;
  readonly part: string;
  readonly id: string;
  readonly connector: Connector;
}

/** Joints of both ends, numbered from port A along the line to port B; those on a branch follow the joint of their tee. */
export function numberJoints(
  [a, b]: readonly [AssembledEnd, AssembledEnd],
  hose: Hose | undefined,
  made: ReadonlySet<string>,
): LineJoint[] {
  return [...towardsHose(a, hose), ...towardsHose(b, hose).reverse()].map((joint, i) => ({
    number: i + 1,
    ...joint,
    state: stateOf(joint.mating, made.has(joint.key)),
  }));
}

function towardsHose(end: AssembledEnd, hose: Hose | undefined): Unnumbered[] {
  const { side, chain, hoseEnd } = end;
  if (!chain || !hoseEnd) return [];
  const list: Unnumbered[] = [];
  const key = (from: string, to: string): string => `${side}${list.length}:${from}>${to}`;
  const join = (from: Exposed, name: string, id: string, inner: Connector, title: string, branch?: LineJoint['branch']): void => {
    list.push({
      key: key(from.id, id),
      side,
      title: `${from.what} to ${title}`,
      parts: [from.part, name],
      connectors: [from.connector, inner],
      mating: mate(from.connector, inner),
      ...(branch ? { branch } : {}),
    });
  };
  let exposed: Exposed = { what: 'Port', part: `${end.component.name}, ${end.port.label}`, id: 'port', connector: end.port.connector };
  for (const [at, placed] of chain.entries()) {
    const { fitting } = placed;
    join(exposed, fitting.name, fitting.id, fitting.ends[placed.inEnd]!, 'adapter');
    for (const branch of end.branches.filter((b) => b.at === at)) alongBranch(placed, branch, join);
    exposed = { what: 'Adapter', part: fitting.name, id: fitting.id, connector: fitting.ends[placed.outEnd]! };
  }
  join(exposed, hoseEnd.name, hoseEnd.id, hoseEnd.connector, 'hose end');
  if (hose && constructionById(hoseEnd.construction).endStyle !== 'clamp')
    list.push({
      key: key(hoseEnd.id, hose.id),
      side,
      title: 'Hose end to hose',
      parts: [hoseEnd.name, hose.name],
      mating: hoseJoint(hoseEnd, hose),
    });
  return list;
}

function alongBranch(
  { fitting }: PlacedFitting,
  branch: AssembledBranch,
  join: (from: Exposed, name: string, id: string, inner: Connector, title: string, branch: LineJoint['branch']) => void,
): void {
  const place = { at: branch.at, end: branch.end };
  let exposed: Exposed = { what: 'Branch', part: fitting.name, id: `${fitting.id}.${branch.end}`, connector: fitting.ends[branch.end]! };
  for (const { fitting: part, inEnd, outEnd } of branch.fittings) {
    join(exposed, part.name, part.id, part.ends[inEnd]!, part.ends.length === 1 ? 'plug' : 'adapter', place);
    exposed = { what: 'Adapter', part: part.name, id: part.id, connector: part.ends[outEnd]! };
  }
  if (branch.sensor) join(exposed, branch.sensor.name, 'sensor', branch.sensor.connector, 'sensor', place);
}

function stateOf({ outcome, seal }: Mating, made: boolean): JointState {
  if (outcome !== 'seals') return 'leaks';
  if (made) return 'made';
  return (seal?.consumables.length ?? 0) > 0 ? 'needs' : 'sealed';
}
