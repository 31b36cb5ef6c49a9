import { closingOf, type Closing } from '../chains/index.js';
import type { Connector } from '../connectors/index.js';
import type { Fitting } from '../fittings/index.js';
import type { FluidId } from '../fluids/index.js';
import { fluidProblem, sameSize, type Hose, type HoseEnd } from '../hose/index.js';
import {
  branchesIn,
  findFitting,
  findHose,
  findHoseEnd,
  type Catalogue,
  type Component,
  type JobDocument,
  type Port,
} from '../job/index.js';

/** All that may be asked of a job and of the catalogue while one of its lines is put together. */
export interface Lookups {
  readonly port: (id: string) => Port | undefined;
  readonly component: (id: string) => Component | undefined;
  /** The number of the line that ends on a port. */
  readonly lineNumberOn: (portId: string) => number | undefined;
  /** Some line gives the open end of a fitting to this port. */
  readonly isOpenEndOf: (portId: string) => boolean;
  /** Some line keeps the sensor of this port on a branch. */
  readonly isSensorKept: (portId: string) => boolean;
  readonly fitting: (id: string | null) => Fitting | undefined;
  readonly hose: (id: string | null) => Hose | undefined;
  readonly hoseEnd: (id: string | null) => HoseEnd | undefined;
  /** The same hose in another make that bears what runs: its ends stay. */
  readonly alikeFor: (wanted: { readonly hose: Hose; readonly fluid: FluidId }) => Hose | undefined;
  /** What closes a connector, a plug or a valve. */
  readonly closing: (wanted: { readonly connector: Connector; readonly by: 'plug' | 'valve' }) => Closing | undefined;
}

/** What was asked, with what, and what the answer was. */
export type Asked = readonly (readonly [question: keyof Lookups, of: never, answer: unknown])[];

/** Looks things up in a job and a catalogue, each by an index made once. */
export function lookupsIn(document: JobDocument, catalogue: Catalogue): Lookups {
  const branches = document.lines.flatMap(branchesIn);
  const given = (to: 'line' | 'sensor'): ReadonlySet<string> =>
    new Set(branches.flatMap((b) => (b.to === to && b.portId ? [b.portId] : [])));
  const [openEnds, keptSensors] = [given('line'), given('sensor')];
  const ports = new Map(document.ports.map((p) => [p.id, p]));
  const components = new Map(document.components.map((c) => [c.id, c]));
  const numbers = new Map(document.lines.flatMap((l) => [[l.portA, l.number] as const, [l.portB, l.number] as const]));
  return {
    port: (id) => ports.get(id),
    component: (id) => components.get(id),
    lineNumberOn: (portId) => numbers.get(portId),
    isOpenEndOf: (portId) => openEnds.has(portId),
    isSensorKept: (portId) => keptSensors.has(portId),
    fitting: (id) => findFitting(catalogue, id),
    hose: (id) => findHose(catalogue, id),
    hoseEnd: (id) => findHoseEnd(catalogue, id),
    alikeFor: ({ hose, fluid }) =>
      catalogue.hoses.find(
        (h) => !h.retired && h.construction === hose.construction && sameSize(h, hose) && fluidProblem(h, fluid) === undefined,
      ),
    closing: ({ connector, by }) => closingOf(connector, catalogue.fittings, by),
  };
}

/** The same, with a note of every question: what was made of the answers holds as long as they are the same. */
export function noting(lookups: Lookups): { readonly lookups: Lookups; readonly asked: Asked } {
  const asked: [keyof Lookups, never, unknown][] = [];
  const noted = Object.entries(lookups).map(([question, ask]: [string, (of: never) => unknown]) => [
    question,
    (of: never) => {
      const answer = ask(of);
      asked.push([question as keyof Lookups, of, answer]);
      return answer;
    },
  ]);
  return { lookups: Object.fromEntries(noted) as Lookups, asked };
}

/** Whether every answer would be the same now. */
export function answersStand(asked: Asked, now: Lookups): boolean {
  return asked.every(([question, of, answer]) => now[question](of) === answer);
}
