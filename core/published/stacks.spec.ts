import {
  checkRing,
  circuitsInside,
  faceRings,
  formatConnector,
  kindOf,
  landOf,
  leadsTo,
  mate,
  parseConnector,
  postFaces,
  readLand,
  ringBed,
  ringInBed,
  specifyRing,
  standardFittings,
  standardSupplies,
  type Fitting,
} from '../src/index.js';
import { inHouseUnits } from '../src/units/index.js';

const all = standardFittings();
const supplies = standardSupplies();
const ofKind = (kind: string): Fitting[] => all.filter((f) => kindOf(f) === kind);
const c = parseConnector;

// stretch to 5 %, squeeze of 15 to 30 % in a face: common practice
describe('rings of the AS568 200 series (inside diameter, cord in inches, from memory)', () => {
  it.each([
    ['AS568-227', 2.109, 0.139],
    ['AS568-230', 2.484, 0.139],
    ['AS568-238', 3.484, 0.139],
    ['AS568-240', 3.734, 0.139],
    ['AS568-151', 2.987, 0.103],
  ])('%s', (id, inside, cord) => {
    const ring = faceRings.find((r) => r.id === id)!;
    expect(ring.insideMm).toBeCloseTo(inside * 25.4, 6);
    expect(ring.sectionMm).toBeCloseTo(cord * 25.4, 6);
  });
});

describe('between block and filter (common practice)', () => {
  it.each(postFaces.flatMap((row) => row.posts.map((post) => [post, row] as const)))('%s: every joint of a stack seals', (post, row) => {
    const [block, filter, plate] = [`post ${post} m ${row.land}`, `post ${post} f ${row.gasket}`, `post ${post} f ${row.groove}`].map(c);
    expect(mate(filter!, block!)).toMatchObject({ outcome: 'seals', kind: 'gasket' });
    expect(mate(plate!, block!)).toMatchObject({ outcome: 'seals', kind: 'o-ring' });
    const { best, others } = specifyRing(ringBed(plate!, block!)!, { fluid: 'engine oil' }, supplies);
    for (const ring of [best!, ...others]) {
      expect(Math.abs(ring.stretchPercent)).toBeLessThanOrEqual(5);
      expect(ring.squeezePercent).toBeGreaterThanOrEqual(15);
      expect(ring.squeezePercent).toBeLessThanOrEqual(30);
    }
  });

  it('a bolt that carries a post on has no face: what is bolted on lies on the block itself', () => {
    const bolts = all.filter((f) => f.kind === 'post bolt');
    expect(bolts.length).toBeGreaterThan(12);
    for (const end of bolts.flatMap((f) => f.ends))
      for (const met of ['post 3/4-16 m 58x84', 'post 3/4-16 f 62x71'])
        expect([end.seat, mate(end, parseConnector(met)).outcome === 'seals']).toEqual(['bolt', false]);
  });

  it('every face of a part has a partner in the catalogue, and every groove a ring', () => {
    const faces = new Map(
      all.flatMap((f) => f.ends.filter((end) => end.family === 'post' && end.seat !== 'bolt').map((end) => [formatConnector(end), end])),
    );
    for (const [name, end] of faces) {
      const meets = [...faces.values()].some((other) => mate(end, other).outcome === 'seals');
      expect([name, meets]).toEqual([name, true]);
      const groove = landOf(end);
      if (groove?.depthMm === undefined) continue;
      expect([name, specifyRing({ groove }, { fluid: 'engine oil' }, supplies).best === undefined]).toEqual([name, false]);
    }
  });

  it.each([
    ['spin-on filter', 12],
    ['post bolt', 12],
    ['spacer', 12],
    ['plate', 12],
    ['thermostat', 5],
    ['filter head', 12],
    ['heat exchanger', 12],
  ])('a %s is there for every common post', (kind, posts) => {
    const threads = ofKind(kind).flatMap((f) => f.ends.filter((end) => end.family === 'post').map((end) => end.size));
    expect(new Set(threads).size).toBeGreaterThanOrEqual(posts);
  });

  it('oil passes through what is put under a filter, and comes back', () => {
    for (const f of [...ofKind('spacer'), ...ofKind('thermostat'), ...ofKind('plate')]) {
      const [block, filter] = f.ends.flatMap((end, i) => (end.family === 'post' ? [i] : []));
      if (filter === undefined) continue;
      // without a thermostat all of it goes by way of the cooler
      const out = f.body!.places.findIndex((place) => place.name === 'to cooler');
      const there = leadsTo(f, block!, filter) || (leadsTo(f, block!, out) && leadsTo(f, out + 1, filter));
      expect([f.id, there, leadsTo(f, filter, block!)]).toEqual([f.id, true, true]);
    }
  });

  it('a thermostat says where it begins and where it is full, and bridges the cooler when it is cold', () => {
    for (const { id, body } of ofKind('thermostat').filter((f) => f.ends.some((end) => end.family === 'post'))) {
      expect([id, body!.opensC! < body!.fullOpenC!]).toEqual([id, true]);
      expect(body!.passages.some((p) => p.when === 'cold' && p.from === 0 && p.to === 1)).toBe(true);
    }
  });

  it('oil and water of a cooler stay apart', () => {
    for (const f of ofKind('heat exchanger')) expect([f.id, circuitsInside(f).length]).toEqual([f.id, 2]);
  });

  it('what holds no pressure says so: tank and filler cap; a cooler bears ten bar', () => {
    expect(ofKind('tank').every((f) => f.maxBar === 0.5)).toBe(true);
    expect(ofKind('filler cap').every((f) => f.maxBar === 0.5)).toBe(true);
    expect(ofKind('cooler').every((f) => f.maxBar! <= 10)).toBe(true);
  });
});

describe('a ring for a groove', () => {
  const bed = { groove: readLand('62x71x2.7')!, land: readLand('56x84')! };
  const oil = { fluid: 'engine oil' } as const;

  it('is wanted by cord and inside diameter, whether or not there is one', () => {
    // 2.7 / (1 − 0.225) and 62 / 1.02
    expect(specifyRing(bed, oil, []).wanted).toEqual({ insideMm: 60.8, sectionMm: 3.48 });
    expect(inHouseUnits(specifyRing(bed, oil, []).doubt!, 'metric')).toMatch(/60.8 mm inside and a cord of 3.48 mm/);
  });

  it('is doubted where the depth is not said, and where no compound bears the fluid', () => {
    expect(specifyRing({ groove: readLand('62x71')! }, oil, supplies)).toMatchObject({ doubt: expect.stringMatching(/deep/) as string });
    expect(specifyRing(bed, { fluid: 'engine oil', hotC: 260 }, supplies).doubt).toMatch(/No ring compound/);
  });

  it.each([
    [{ insideMm: 61, sectionMm: 3.5 }, undefined],
    [{ insideMm: 61, sectionMm: 3.5, compound: 'fkm' }, undefined],
    [{ insideMm: 61, sectionMm: 3.5, compound: 'epdm' }, /engine oil takes it apart/],
    [{ insideMm: 58, sectionMm: 3.5 }, /stretched by 7 %/],
    [{ insideMm: 61, sectionMm: 3 }, /squeezed by 10 % only/],
    [{ insideMm: 61, sectionMm: 4 }, /crushed by 32 %/],
    [{ insideMm: 61, sectionMm: 5 }, /does not go into a groove/],
    [{ insideMm: 70, sectionMm: 3.5 }, /too large/],
  ])('borrowed from elsewhere is checked the same way: %j', (ring, problem) => {
    const found = checkRing(bed, ring, oil);
    if (problem) expect(found.problem).toMatch(problem);
    else expect(found.problem).toBeUndefined();
    expect(found.words).toMatch(problem ? /^Does not do/ : /^Seals/);
  });

  it('in hand is not judged by a depth that nobody measured, unless it cannot do at any', () => {
    const unmeasured = { groove: readLand('62x71')! };
    expect(checkRing(unmeasured, { insideMm: 61, sectionMm: 3.5 }, oil).words).toMatch(/^Cannot be told yet/);
    expect(checkRing(unmeasured, { insideMm: 50, sectionMm: 3.5 }, oil).words).toMatch(/^Does not do: it is stretched/);
    expect(checkRing(unmeasured, { insideMm: 61, sectionMm: 3.5, compound: 'epdm' }, oil).words).toMatch(/takes it apart/);
  });

  it('must lie on the face against it, inside and outside', () => {
    const ring = { insideMm: 62.5, sectionMm: 3.5 };
    expect(ringInBed(ring, bed).problem).toBeUndefined();
    expect(inHouseUnits(ringInBed(ring, { ...bed, land: readLand('64x84')! }).problem!, 'metric')).toMatch(/begins at 64/);
    expect(ringInBed(ring, { ...bed, land: readLand('50x69')! }).problem).toMatch(/ends at .69/);
  });

  it.each([
    ['groove 62x71x2.7', 'land 56x84', true],
    ['land 56x84', 'groove 62x71x2.7', true],
    ['post 3/4-16 f 62x71x2.7', 'post 3/4-16 m 56x84', true],
    ['post 3/4-16 f 62x71x2.7', 'post 3/4-16 m', true],
    ['post 3/4-16 f 62x71', 'post 3/4-16 m 56x84', false],
    ['land 56x84', 'land 56x84', false],
    ['groove 62x71x2.7', 'groove 62x71x2.7', false],
    ['an6 m', 'an6 f', false],
  ])('has its bed between %s and %s: %s', (a, b, there) => expect(ringBed(c(a), c(b)) !== undefined).toBe(there));
});
