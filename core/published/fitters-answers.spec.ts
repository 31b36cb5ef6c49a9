import {
  endsForHose,
  formatConnector,
  gapToHoseEnd,
  parseConnector,
  standardFittings,
  standardHoseEnds,
  standardHoses,
  standardSupplies,
  usualWeights,
  waysAcross,
  type Catalogue,
  type Way,
} from '@gewinde/core';

/** With prices that grow with the size and the metal, as they do. */
const METAL: Readonly<Record<string, number>> = { steel: 1.1, stainless: 1.9, brass: 1.2 };
const catalogue: Catalogue = {
  fittings: standardFittings().map((f) => ({
    ...f,
    priceMinor: Math.round(
      220 +
        (f.hexMm ?? 10) ** 1.35 * (f.lengthMm ?? 20) * 0.55 * (METAL[f.material ?? ''] ?? 1) +
        (f.angleDeg ? 450 : 0) +
        (f.ends.length - 2) * 300,
    ),
  })),
  hoses: standardHoses(),
  hoseEnds: standardHoseEnds().map((e) => ({ ...e, priceMinor: Math.round(480 + e.hexMm * 38 + (e.angleDeg ? 520 + e.angleDeg * 4 : 0)) })),
  supplies: standardSupplies(),
};

/** The ways from a port to a hose whose end, at an angle, is the 37° swivel of its size where it has one. */
function waysTo(port: string, hoseId: string, angleDeg: number): Way[] {
  const hose = catalogue.hoses.find((h) => h.id === `hose-${hoseId}`)!;
  const ends = endsForHose(catalogue, hose).filter((e) => e.angleDeg === angleDeg);
  const end = ends.find((e) => e.connector.family === 'flare37' && e.connector.size === String(e.dash)) ?? ends[0]!;
  const gap = gapToHoseEnd({ connector: parseConnector(port), id: 'port' }, end);
  const to = { ...gap.to, end: { id: end.id, hose: hose.id, far: null } };
  const boreLeads = port.startsWith('flange') ? { boreLeads: true } : {};
  return waysAcross({ ...gap, to }, catalogue, { weights: usualWeights, limit: 4, fluid: 'engine oil', bare: true, ...boreLeads }).ways;
}

const between = (a: string, b: string): Way[] =>
  waysAcross({ from: { connector: parseConnector(a), portId: 'a' }, to: { connector: parseConnector(b), portId: 'b' } }, catalogue, {
    weights: usualWeights,
    limit: 4,
    bare: true,
  }).ways;
/** Why there is none. */
const whyNone = (a: string, b: string): string =>
  waysAcross({ from: { connector: parseConnector(a), portId: 'a' }, to: { connector: parseConnector(b), boreMm: 9 } }, catalogue, {
    limit: 1,
  }).explanation;
const endOf = (way: Way): string => formatConnector(catalogue.hoseEnds.find((e) => e.id === way.otherEnd)!.connector);

describe('the first answer is the one a fitter would give (common practice)', () => {
  it.each([
    ['npt 1/8 f', 'ptfe-4', 0, 'NPT 1/8 to -4'],
    ['npt 1/8 f', 'ptfe-4', 90, 'NPT 1/8 to -4'],
    ['npt 1/4 f', 'ptfe-6', 0, 'NPT 1/4 to -6'],
    ['npt 3/8 f', 'rubber-8', 45, 'NPT 3/8 to -8'],
    ['npt 1/2 f', 'rubber-10', 0, 'NPT 1/2 to -10'],
    ['npt 3/4 f', 'rubber-12', 90, 'NPT 3/4 to -12'],
    ['orb10 f', 'rubber-12', 45, 'ORB -10 to -12'],
    ['orb12 f', 'rubber-10', 0, 'ORB -12 to -10'],
    ['m16x1.5 f washer', 'ptfe-6', 0, 'M16 to -6'],
    ['m22x1.5 f washer', 'rubber-10', 90, 'M22 to -10'],
    ['g 1/8 f', 'ptfe-4', 0, 'G 1/8 to -4'],
    ['g 1/4 f', 'ptfe-6', 0, 'G 1/4 to -6'],
    ['g 3/8 f', 'rubber-8', 0, 'G 3/8 to -8'],
    ['g 1/2 f', 'rubber-10', 90, 'G 1/2 to -10'],
    ['rc 1/8 f', 'ptfe-4', 0, 'R 1/8 to -4'],
    ['rc 1/4 f', 'ptfe-6', 0, 'R 1/4 to -6'],
    ['an4 m', 'ptfe-4', 0, 'Straight on the port'],
    ['an6 m', 'ptfe-6', 90, 'Straight on the port'],
    ['an10 m', 'rubber-10', 45, 'Straight on the port'],
    ['an8 m', 'rubber-10', 0, 'Reducer -8 to -10'],
    ['flange 2x44 bore 20', 'rubber-10', 0, 'Flange bore 20 to -10'],
    ['flange 2x38 bore 16', 'rubber-10', 0, 'Flange bore 16 to -10'],
    ['flange 2x44 bore 20', 'pushon-10', 45, 'Flange bore 20 to -10'],
    ['banjo m12x1.5', 'ptfe-4', 0, 'M12 to -4'],
    ['barb 5/8', 'oil-10', 0, 'Straight on the port'],
    ['bead 3/4', 'oil-12', 0, 'Straight on the port'],
    ['sae45-6 m', 'ptfe-6', 0, 'SAE45 -6 to -6'],
    ['inverted 1/4 f', 'ptfe-4', 0, '1/4 inverted to -4 in steel'],
    ['cone24 m16x1.5 m 10l', 'ptfe-6', 0, '24° 10 mm to -6 in steel'],
  ])('%s to %s at %d°: %s', (port, hose, angle, name) => {
    const [first] = waysTo(port, hose, angle);
    expect([first!.name, first!.otherEnd]).toEqual([name, undefined]);
  });

  it.each([
    ['orb6 f', 'ptfe-6', 0, 'orb6 m'],
    ['orb8 f', 'ptfe-8', 90, 'orb8 m adjustable'],
    ['orb10 f', 'rubber-10', 0, 'orb10 m'],
    ['m14x1.5 f oring', 'ptfe-6', 0, 'm14x1.5 m oring'],
    ['m22x1.5 f oring', 'rubber-10', 0, 'm22x1.5 m oring'],
    ['m18x1.5 f washer', 'rubber-8', 0, 'm18x1.5 m washer'],
    ['m12x1.5 f washer', 'ptfe-4', 90, 'banjo m12x1.5'],
    ['an10 m', 'rubber-8', 0, 'an10 f swivel'],
  ])('%s to %s at %d°: straight on the port with %s', (port, hose, angle, end) => {
    const [first] = waysTo(port, hose, angle);
    expect([first!.name, endOf(first!)]).toEqual(['Straight on the port', end]);
  });

  it.each([
    ['g 1/2 f', 'g 1/2 f', 'Union G 1/2'],
    ['orb10 f', 'orb8 f', 'Reducer ORB -10 to ORB -8'],
    ['m14x1.5 f washer', 'npt 1/8 m', 'M14 to NPT 1/8'],
    ['bead 1 1/2', 'bead 1 3/4', 'Coupler 1 1/2 hose to 1 3/4 hose in silicone'],
  ])('%s to %s: %s', (a, b, name) => expect(between(a, b)[0]!.name).toBe(name));

  it('no post is turned into another under a plate: its thread is changed in the block', () =>
    expect(between('post m22x1.5 m 56x84', 'post 3/4-16 f 62x71')).toEqual([]));
});

describe('where nothing seals on a port as it is logged (common practice)', () => {
  it.each([
    ['m24x1.5 f oring', /its seat is the question.*\(m24x1.5 f washer\)/],
    ['3/4-16 f', /its seat is the question.*\(orb8 f\), or .*\(3\/4-16 f washer\)/],
    ['m20x1.5 f', /its seat is the question.*\(m20x1.5 f washer\), or .*\(m20x1.5 f oring\)/],
  ])('%s: its seat is asked for, and not another hose', (port, words) => expect(whyNone(port, 'an8 f swivel')).toMatch(words));
});

describe('no list has what an old hand would send back (common practice)', () => {
  const ports = ['npt 1/4 f', 'npt 1/2 f', 'rc 1/4 f', 'm14x1.5 f washer', 'g 1/4 f', 'orb6 f', 'an6 m', 'flange 2x44 bore 20'];

  it.each(ports)(
    'from %s: no taper that is screwed in with its hose, no silicone in oil, no row twice, no idle tee before an adapter',
    (port) => {
      for (const [hose, angle] of [
        ['ptfe-6', 0],
        ['ptfe-6', 90],
        ['rubber-10', 45],
      ] as const) {
        const ways = waysTo(port, hose, angle);
        expect(ways.length).toBeGreaterThan(0);
        const said = ways.map((w) => `${w.name} ${w.jointCount} ${w.leastBoreMm} ${w.lengthMm} ${w.otherEnd ?? ''}`);
        expect(new Set(said).size).toBe(said.length);
        for (const way of ways) {
          if (way.otherEnd) expect(endOf(way)).not.toMatch(/^(npt|r|nptf|keg) .* m$/);
          expect(way.fittings.map(({ id }) => id).filter((id) => /silicone|rubber/.test(id))).toEqual([]);
        }
        expect(ways[0]!.branches).toEqual([]);
      }
    },
  );
});
