import { parseConnector } from '../connectors/index.js';
import { standardHoses } from '../hose/index.js';
import type { ServiceId } from '../job/index.js';
import { proposeSize } from './index.js';

describe('the size to begin with', () => {
  const hoses = standardHoses();
  const proposed = (construction: string, service: ServiceId, ...ports: (string | null)[]): string | undefined => {
    const made = hoses.filter((h) => h.construction === construction);
    const hose = proposeSize(
      made,
      service,
      ports.map((p) => (p === null ? null : parseConnector(p))),
    );
    return hose && (hose.metricMm === undefined ? `-${hose.dash}` : `${hose.metricMm} mm`);
  };

  // what a fitter would take; the widest fuel hose is -10 from the rack first: common practice
  it.each<[string, ServiceId, string | null, string | null, string]>([
    ['ptfe', 'cooler', 'an10 m', 'an10 m', '-10'],
    ['ptfe', 'turbo-drain', 'an10 m', 'an10 m', '-10'],
    ['ptfe', 'turbo-drain', 'an8 m', 'npt 3/8 f', '-10'],
    ['ptfe', 'turbo-drain', 'flange 2x44 bore 18', 'an10 m', '-12'],
    ['ptfe', 'turbo-feed', 'm14x1.5 f washer', 'orb6 f', '-4'],
    ['rubber', 'cooler', 'an12 m', 'an10 m', '-10'],
    ['rubber', 'suction', 'an12 m', 'an16 m', '-16'],
    ['coolant', 'coolant', 'barb 19mm', 'barb 19mm', '19 mm'],
    ['fuel', 'breather', 'bead 3/4', 'bead 3/4', '-10'],
    ['ptfe', 'cooler', null, null, '-10'],
  ])('of %s for %s from %s to %s is %s', (construction, service, from, to, size) => {
    expect(proposed(construction, service, from, to)).toBe(size);
  });

  it('is none where none is made', () => {
    expect(proposeSize([], 'cooler', [])).toBeUndefined();
  });
});
