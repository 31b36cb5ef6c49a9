import {
  findHoseEnd,
  parseConnector,
  standardFittings,
  standardHoseEnds,
  standardHoses,
  waysToHoseEnd,
  type Catalogue,
  type Component,
  type JobDocument,
  type Line,
  type LineEnd,
  type Port,
} from '@gewinde/core';

/** A catalogue with prices and a small job of three lines, for tests. */
export const catalogue: Catalogue = {
  fittings: standardFittings().map((f, i) => ({ ...f, priceMinor: 400 + (i % 50) * 10 + (f.angleDeg ? 600 : 0) })),
  hoses: standardHoses().map((h) => ({ ...h, pricePerMetreMinor: 2000 })),
  hoseEnds: standardHoseEnds().map((e) => ({ ...e, priceMinor: 1500 })),
};

const port = (id: string, componentId: string, notation: string, position: number): Port => ({
  id,
  jobId: 'job',
  componentId,
  label: `port ${id}`,
  connector: parseConnector(notation),
  note: '',
  position,
  version: 1,
});
const component = (id: string, kind: Component['kind'], position: number): Component => ({
  id,
  jobId: 'job',
  kind,
  name: kind,
  note: '',
  position,
  version: 1,
});

export const ports = {
  gallery: port('gallery', 'block', 'm14x1.5 f washer', 0),
  inlet: port('inlet', 'turbo', 'orb6 f', 0),
  drain: port('drain', 'turbo', 'orb10 f', 1),
  pan: port('pan', 'block', 'npt 1/2 f', 1),
  vent: port('vent', 'block', 'barb 5/8', 2),
  can: port('can', 'turbo', 'barb 5/8', 2),
};

/** A line end with the first way that seals, or none. */
export function endOn(
  p: Port,
  construction: string,
  dash: number,
  angleDeg: LineEnd['angleDeg'],
  way: 'first' | 'none' = 'first',
): LineEnd {
  const hoseEnd = findHoseEnd(catalogue, construction, dash, angleDeg)!;
  const fittings = way === 'none' ? null : waysToHoseEnd(p, hoseEnd, catalogue, { limit: 1 }).ways[0]!.fittings.map((l) => ({ ...l }));
  return { portId: p.id, angleDeg, fittings };
}

export function line(number: number, change: Partial<Line> & Pick<Line, 'endA' | 'endB'>): Line {
  return {
    id: `line${number}`,
    jobId: 'job',
    number,
    name: `Line ${number}`,
    service: 'turbo-feed',
    construction: 'ptfe',
    dash: 6,
    tapedLengthMm: 664,
    slackPercent: 0,
    checked: false,
    note: '',
    position: number,
    version: 3,
    ...change,
  };
}

export const feed = line(1, { endA: endOn(ports.gallery, 'ptfe', 6, 0), endB: endOn(ports.inlet, 'ptfe', 6, 45) });
export const drain = line(2, {
  service: 'turbo-drain',
  dash: 10,
  endA: endOn(ports.drain, 'ptfe', 10, 90),
  endB: endOn(ports.pan, 'ptfe', 10, 45),
  tapedLengthMm: 400,
  slackPercent: 2,
});
export const breather = line(3, {
  service: 'breather',
  construction: 'fuel',
  dash: 10,
  endA: endOn(ports.vent, 'fuel', 10, 0),
  endB: endOn(ports.can, 'fuel', 10, 0),
  tapedLengthMm: 500,
});

export const document: JobDocument = {
  job: { id: 'job', number: '2403', name: 'Sample', description: '', archived: false, version: 1, updatedAt: '2026-01-01T00:00:00.000Z' },
  components: [component('block', 'block', 0), component('turbo', 'turbo', 1)],
  ports: Object.values(ports),
  lines: [feed, drain, breather],
};
