import {
  assembleJob,
  parseConnector,
  usualFlowRules,
  type Component,
  type FlowQuestion,
  type JobDocument,
  type Line,
  type Port,
  type Running,
} from '@gewinde/core';
import { catalogue, document, line } from './sample-job.js';

/** An engine whose figures are all known. */
export const running: Running = {
  oil: { grade: '10w40' },
  coldC: 5,
  hottestC: 120,
  idleBar: 1.2,
  fullBar: 4,
  idleRevs: 1000,
  mostRevs: 7000,
  pumpLpm: 35,
  powerKw: 200,
  sumpL: 5,
  canL: 5,
  airC: 30,
};

const component = (id: string, kind: Component['kind'], flow?: Component['flow']): Component => ({
  id,
  jobId: 'job',
  kind,
  name: id,
  note: '',
  order: 0,
  ...(flow ? { flow } : {}),
  version: 1,
});

/** Components by `id: kind`, each with as many O-ring boss ports of a size as lines need: `pump.1`, `pump.2`. */
export function flowJob(
  components: Readonly<Record<string, Component['kind'] | { readonly kind: Component['kind']; readonly flow: Component['flow'] }>>,
  drawn: readonly {
    readonly from: string;
    readonly to: string;
    readonly service: Line['service'];
    readonly hose?: string;
    readonly tapedMm?: number;
    readonly flow?: Line['flow'];
    readonly change?: Partial<Line>;
  }[],
  more: { readonly running?: Running; readonly rules?: Partial<FlowQuestion['rules']> } = {},
): FlowQuestion {
  const ports = new Map<string, Port>();
  const portOf = (name: string, dash: string): Port => {
    const [componentId] = name.split('.') as [string];
    const made: Port = {
      id: name,
      jobId: 'job',
      componentId,
      label: name,
      connector: parseConnector(`orb${dash} f`),
      note: '',
      order: ports.size,
      version: 1,
    };
    ports.set(name, made);
    return made;
  };
  const lines = drawn.map(({ from, to, service, hose = 'ptfe-10', tapedMm = 600, flow, change }, i) => {
    const dash = hose.split('-').at(-1)!;
    return line(
      i + 1,
      { from: portOf(from, dash), to: portOf(to, dash), hose, angles: [0, 0], tapedMm },
      { service, ...(flow ? { flow } : {}), ...change },
    );
  });
  const made: JobDocument = {
    ...document,
    components: Object.entries(components).map(([id, said]) =>
      typeof said === 'string' ? component(id, said) : component(id, said.kind, said.flow),
    ),
    ports: [...ports.values()],
    lines,
  };
  return { job: assembleJob(made, catalogue), running: more.running ?? running, rules: { ...usualFlowRules, ...more.rules } };
}
