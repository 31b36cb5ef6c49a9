import { parseConnector } from '../../connectors/index.js';
import type { Catalogue, Component, JobDocument, Line, Piece, Port } from '../../job/index.js';
import type { StoreFacts } from '../store-facts.js';

/** A job as it is shown by an example, with the parts it is judged with. */
export interface Shown {
  readonly document: JobDocument;
  readonly catalogue: Catalogue;
  readonly store?: StoreFacts;
}
export type Change = (shown: Shown) => Shown;

const inDocument =
  (change: (document: JobDocument) => JobDocument): Change =>
  (shown) => ({ ...shown, document: change(shown.document) });

/** Of the last line, which is the one an example is about. */
export const line = (change: (line: Line) => Partial<Line>): Change =>
  inDocument((d) => ({ ...d, lines: d.lines.map((l, i) => (i === d.lines.length - 1 ? { ...l, ...change(l) } : l)) }));

/** Of its first hose. */
export const piece = (change: Partial<Piece>): Change =>
  line(({ pieces }) => ({ pieces: pieces.map((p, i) => (i === 0 ? { ...p, ...change } : p)) }));

/** The fittings of one of its ways, first at port A. */
export const way = (
  at: number,
  fittings: readonly (readonly [id: string, inEnd: number, outEnd: number])[] | null,
  branches: readonly {
    readonly at: number;
    readonly end: number;
    readonly to: 'plug' | 'sensor' | 'line';
    readonly portId?: string;
  }[] = [],
): Change =>
  line(({ ways }) => ({
    ways: ways.map((w, i) => {
      if (i !== at) return w;
      const placed = fittings?.map(([id, inEnd, outEnd], k) => ({ key: `x${at}${k}`, id, inEnd, outEnd }));
      return { ...w, chosen: placed ? { fittings: placed, branches: branches.map((b) => ({ ...b, fittings: [] })) } : null };
    }),
  }));

/** The port at an end of that line. */
export const port = (side: 'A' | 'B', change: Partial<Port>): Change =>
  inDocument((d) => {
    const id = d.lines[d.lines.length - 1]![`port${side}`];
    return { ...d, ports: d.ports.map((p) => (p.id === id ? { ...p, ...change } : p)) };
  });

export const thread = (side: 'A' | 'B', notation: string): Change => port(side, { connector: parseConnector(notation) });

/** What its port is on. */
export const component = (side: 'A' | 'B', change: Partial<Component>): Change =>
  inDocument((d) => {
    const last = d.lines[d.lines.length - 1]!;
    const on = d.ports.find((p) => p.id === last[`port${side}`])!.componentId;
    return { ...d, components: d.components.map((c) => (c.id === on ? { ...c, ...change } : c)) };
  });

/** One more port, on the component at an end of that line. */
export const newPort = (side: 'A' | 'B', notation: string, more: Partial<Port> = {}): Change =>
  inDocument((d) => {
    const last = d.lines[d.lines.length - 1]!;
    const { componentId } = d.ports.find((p) => p.id === last[`port${side}`])!;
    const made: Port = {
      id: 'spare',
      jobId: 'job',
      componentId,
      label: 'spare port',
      connector: parseConnector(notation),
      note: '',
      order: d.ports.length,
      version: 1,
      ...more,
    };
    return { ...d, ports: [...d.ports, made] };
  });

export const running = (change: Partial<NonNullable<JobDocument['job']['running']>>): Change =>
  inDocument((d) => ({ ...d, job: { ...d.job, running: { ...d.job.running, ...change } } }));

/** What was said of the engine, left out again. */
export const unsaid = (field: keyof NonNullable<JobDocument['job']['running']>): Change =>
  inDocument((d) => {
    const { [field]: _, ...rest } = d.job.running ?? {};
    return { ...d, job: { ...d.job, running: rest } };
  });

/** A component that nothing runs to, taken out. */
export const without = (name: string): Change => inDocument((d) => ({ ...d, components: d.components.filter((c) => c.name !== name) }));

export const parts =
  (change: (catalogue: Catalogue) => Catalogue): Change =>
  (shown) => ({ ...shown, catalogue: change(shown.catalogue) });

export const store =
  (change: Partial<StoreFacts>): Change =>
  (shown) => ({ ...shown, store: { today: '2026-01-01', short: [], shared: [], overOrdered: [], offCut: [], ...change } });

export const all =
  (...changes: readonly Change[]): Change =>
  (shown) =>
    changes.reduce((now, change) => change(now), shown);
