import fc from 'fast-check';
import { bareConnector, everyConnector, families, parseConnector, type Connector } from '../connectors/index.js';
import {
  bondedWasherFor,
  compounds,
  compoundsFor,
  flareTorques,
  formatMakeUp,
  mate,
  sealants,
  makeUpBetween,
  metalOf,
  washerFor,
} from './index.js';
import { inHouseUnits } from '../units/index.js';

const joint = (a: string, b: string) => mate(parseConnector(a), parseConnector(b));

const anyConnector: fc.Arbitrary<Connector> = fc.constantFrom(...everyConnector());

describe('mate', () => {
  it.each([
    ['an6 m', 'an6 f swivel', 'cone', []],
    ['orb10 m', 'orb10 f', 'o-ring', [{ item: 'O-ring', size: 'AS568-910', quantity: 1 }]],
    ['npt 1/8 m', 'npt 1/8 f', 'taper', [{ item: 'thread sealant', size: 'NPT 1/8', quantity: 1 }]],
    ['m14x1.5 m washer', 'm14x1.5 f washer', 'washer', [{ item: 'copper washer', size: '14 × 18 × 1.5', quantity: 1 }]],
    ['m14x1.5 m oring', 'm14x1.5 f oring', 'o-ring', [{ item: 'O-ring', size: '11.3 × 2.2', quantity: 1 }]],
    ['banjo m12x1.5', 'm12x1.5 f washer', 'two-washers', [{ item: 'copper washer', size: '12 × 16 × 1.5', quantity: 2 }]],
    ['barb 3/8', 'hose 3/8', 'clamp', [{ item: 'hose clamp', size: 'for 3/8 in hose', quantity: 1 }]],
    ['bead 1 1/4', 'hose 1 1/4', 'clamp', [{ item: 'hose clamp', size: 'for 1 1/4 in hose', quantity: 1 }]],
    ['g 1/4 m washer', 'g 1/4 f', 'washer', [{ item: 'bonded washer', size: '13.7 × 20.6 × 2.1', quantity: 1 }]],
    ['g 5/8 m oring', 'g 5/8 f', 'o-ring', [{ item: 'O-ring', size: 'stud G 5/8', quantity: 1 }]],
    ['g 1/4 m cone', 'g 1/4 f swivel', 'cone', []],
    ['r 1/8 m', 'rc 1/8 f', 'taper', [{ item: 'thread sealant', size: 'R 1/8', quantity: 1 }]],
    ['r 1/8 m', 'rp 1/8 f', 'taper', [{ item: 'thread sealant', size: 'R 1/8', quantity: 1 }]],
    ['nptf 1/4 m', 'npt 1/4 f', 'taper', [{ item: 'thread sealant', size: 'NPTF 1/4', quantity: 1 }]],
    ['npt 1/4 m cone', 'npsm 1/4 f swivel', 'cone', []],
    ['keg m10x1 m', 'm10x1 f', 'taper', [{ item: 'thread sealant', size: 'M10×1 keg', quantity: 1 }]],
    ['cone24 m16x1.5 m 10l', 'cone24 m16x1.5 f 10l swivel', 'cone', []],
    ['sae45-6 m', 'sae45-6 f', 'cone', []],
    ['banjo 7/16-20', '7/16-20 f washer', 'two-washers', [{ item: 'copper washer', size: '12 × 16 × 1.5', quantity: 2 }]],
    ['post m20x1.5 m', 'post m20x1.5 f', 'gasket', [{ item: 'filter or plate gasket', quantity: 1 }]],
    ['flange 2x44 bore 20', 'flange 2x44 bore 20 m', 'gasket', [{ item: 'flange gasket', size: '2x44 bore20', quantity: 1 }]],
    // bolts are bought where it is said which they are
    [
      'flange 2x38 m6 bore 14',
      'flange 2x38 bore 14 m',
      'gasket',
      [
        { item: 'flange gasket', size: '2x38 bore14', quantity: 1 },
        { item: 'flange bolt', size: 'M6', quantity: 2 },
      ],
    ],
    ['qc 3/8 m', 'qc 3/8 f', 'push', []],
    ['drybreak an10 m', 'drybreak an10 f', 'push', []],
    ['bulkhead an10 m', 'an10 f swivel', 'cone', []],
    ['bulkhead an10 m', 'bulkhead an10 f', 'two-washers', [{ item: 'bulkhead sealing washer', size: '-10', quantity: 2 }]],
  ])('%s and %s seal by %s', (a, b, kind, consumables) => {
    const found = joint(a, b);
    expect(found.outcome).toBe('seals');
    expect(found.kind).toBe(kind);
    expect(found.seal?.consumables).toEqual(consumables);
    expect(found.makeUp).toBeDefined();
  });

  it.each([
    ['an6 m', 'orb6 f', /never reaches a seat/],
    ['orb6 m', 'an6 f swivel', /no spot face/],
    ['m14x1.5 m washer', 'm14x1.5 f oring', /chamfered/],
    ['m14x1.5 m oring', 'm14x1.5 f washer', /flat face/],
    ['m14x1.5 m', 'm14x1.5 f washer', /say what the seat is/],
    ['banjo m12x1.5', 'm12x1.5 f oring', /lower washer/],
    ['banjo 9/16-18', 'orb6 f', /chamfer/],
    ['an4 m', 'sae45-4 f', /one thin line/],
    ['sae45-8 m', 'an8 f swivel', /one thin line/],
    ['g 1/4 m', 'g 1/4 f', /say what the male seals with/],
    ['g 1/4 m washer', 'g 1/4 f swivel', /different places/],
    ['g 1/4 m washer', 'rc 1/4 f', /parallel male bottoms/],
    ['g 1/4 m washer', 'rp 1/4 f', /nothing wedges/],
    ['r 1/4 m', 'g 1/4 f', /wedges at its mouth/],
    ['r 1/8 m', 'npt 1/8 f', /another pitch and other flanks/],
    ['npt 1/2 m', 'rc 1/2 f', /other flanks/],
    ['npt 1/4 m', 'npsm 1/4 f swivel', /30° nose/],
    ['npsm 1/4 m', 'npsm 1/4 f', /no 30° nose/],
    ['cone24 m16x1.5 m 10l', 'cone24 m16x1.5 f 8s', /tubes differ/],
    ['m20x1.5 m washer', 'post m20x1.5 f', /only the gasket/],
    ['inverted 3/16 m', 'an3 f', /its own seat/],
    ['keg m14x1.5 m', 'm14x1.5 f oring', /chamfer takes the few threads/],
    ['orb8 m', '3/4-16 f', /Say what the seat of the 3\/4-16 port is: chamfered for an O-ring \(orb8 f\), or .*3\/4-16 f washer/],
    ['3/4-16 m', 'orb8 f', /orb8 m.*3\/4-16 m washer.*an8 m/],
    ['m14x1.5 m captive', 'm14x1.5 f oring', /captive ring needs a flat face/],
    ['m14x2 m oring', 'm14x2 f oring', /no standard O-ring/],
    ['npt 1/8 m', 'rc 1/8 f', /by wrench it picks up a turn or two/],
    ['r 1/8 m', 'g 1/8 f swivel', /r 1\/8 m cone/],
    ['jis 1/4 m', 'g 1/4 f swivel', /touch it on one thin line|30° cone/],
    ['m18x1.5 m washer', 'cone24 m18x1.5 f swivel', /not made for one another/],
  ])('%s into %s screws in and leaks', (a, b, reason) => {
    const found = joint(a, b);
    expect(found.outcome).toBe('leaks');
    expect(inHouseUnits(found.reason, 'metric')).toMatch(reason);
    expect(found.seal).toBeUndefined();
  });

  it.each([
    ['an6 m', 'an6 m', /Both are male/],
    ['npt 1/8 f', 'orb4 f', /Both are female/],
    ['an6 m', 'an8 f swivel', /./],
    ['m14x1.5 m washer', 'orb6 f', /starts, .*binds/],
    ['npt 1/8 m', 'm10x1 f washer', /./],
    ['barb 3/8', 'hose 1/2', /the size of what it goes over/],
    ['barb 3/8', 'npt 1/8 f', /nothing in common/],
    ['banjo m12x1.5', 'm14x1.5 f washer', /./],
    ['orfs4 m', 'orb4 f', /./],
    ['sae45-6 m', 'an6 f swivel', /does not start/],
    ['m22x1.5 m washer', 'orb10 f', /half a turn/],
    ['post 3/4-16 m', 'post m20x1.5 f', /rocks, then binds/],
    ['bead 1/2', 'hose 5/8', /the size of what it goes over/],
    ['qc 3/8 m', 'qc 1/2 f', /one size/],
    ['flange 2x44 bore 20', 'flange 2x50 bore 20', /44 mm apart .* 50 mm/],
    ['m10x1 m washer', 'm22x1.5 f washer', /far too small/],
  ])('%s and %s do not join', (a, b, reason) => {
    const found = joint(a, b);
    expect(found.outcome).toBe('does-not-join');
    expect(inHouseUnits(found.reason, 'metric')).toMatch(reason);
  });

  it('gives one verdict whichever comes first, always with a reason, and seals only what has a method', () => {
    fc.assert(
      fc.property(anyConnector, anyConnector, (a, b) => {
        const found = mate(a, b);
        expect(mate(b, a)).toEqual(found);
        expect(found.reason.length).toBeGreaterThan(10);
        expect(found.seal !== undefined).toBe(found.outcome === 'seals');
        if (found.outcome === 'seals' && a.family !== 'flange') expect(a.gender).not.toBe(b.gender);
      }),
      { numRuns: 1000 },
    );
  });

  it('seals every family of two genders with itself in every size, once its seat is said', () => {
    const seats: Record<string, object> = { metric: { seat: 'washer' }, un: { seat: 'washer' }, g: { seat: 'washer' } };
    for (const family of families.filter((f) => f.genders.length === 2 && f.id !== 'bung'))
      for (const size of family.sizes) {
        const of = (gender: 'male' | 'female'): Connector => ({ family: family.id, size, gender, ...seats[family.id] });
        const female = family.id === 'npsm' ? { ...of('female'), swivel: true } : of('female');
        expect([family.id, size, mate(of('male'), female).outcome]).toEqual([family.id, size, 'seals']);
      }
  });

  it('meets a weld bung as the connector it carries', () => {
    const bungs = everyConnector().filter((c) => c.family === 'bung');
    expect(bungs.length).toBeGreaterThan(50);
    for (const bung of bungs)
      for (const other of ['orb10 m', 'an10 f swivel', 'npt 1/4 m', 'm18x1.5 m washer', 'g 1/4 m washer'].map(parseConnector))
        expect(mate(bung, other)).toEqual(mate(bareConnector(bung), other));
  });
});

describe('seal data', () => {
  it('has a bonded washer that goes over its thread for every British size made', () => {
    expect(bondedWasherFor('G 1/4')?.size).toBe('13.7 × 20.6 × 2.1');
    expect(bondedWasherFor('M14×1.5')?.insideMm).toBeCloseTo(14.7);
    expect(bondedWasherFor('9/16-18 UNF')).toBeUndefined();
  });

  it('never gives oil to EPDM, nor heat to nitrile', () => {
    const ids = (fluid: Parameters<typeof compoundsFor>[0], at: number) => compoundsFor(fluid, at).map((c) => c.id);
    expect(ids('engine oil', 140)).toEqual(['fkm', 'fvmq', 'hnbr']);
    expect(ids('engine oil', 90)).toContain('nbr');
    expect(ids('brake fluid', 60)).toEqual(['epdm']);
    expect(ids('petrol', 20)[0]).toBe('fkm');
    for (const { minC, maxC, fluids } of compounds) {
      expect(minC).toBeLessThan(maxC);
      expect(fluids.air).toBe('good');
    }
  });

  it('says what seals a thread where, with both schools for tape', () => {
    expect(sealants.find((s) => s.place === 'general')?.otherSchool).toMatch(/tape/);
    expect(sealants.find((s) => s.place === 'turbo feed')?.use).toMatch(/^none/);
    expect(sealants.every((s) => s.why.length > 20)).toBe(true);
  });

  it('heads a joint with the figure of the weaker metal, aluminium where it is not said', () => {
    for (const dash of ['4', '6', '8', '10', '12', '16']) {
      const [aluminium, steel] = flareTorques(dash);
      expect([aluminium!.metal, steel!.metal]).toEqual(['aluminium', 'steel']);
      expect(aluminium!.high).toBeLessThan(steel!.low);
    }
    const boss = joint('orb6 m', 'orb6 f').makeUp!;
    expect(boss).toMatchObject({ metal: 'aluminium', low: 18, high: 21 });
    expect(makeUpBetween(boss, 'steel', 'steel')).toMatchObject({ metal: 'steel', low: 30, high: 35 });
    expect(makeUpBetween(boss, 'steel', 'aluminium')).toMatchObject({ metal: 'aluminium', low: 18, high: 21 });
    expect(makeUpBetween(boss, 'brass', 'steel')).toMatchObject({ metal: 'brass', low: 18, high: 21 });
    expect(makeUpBetween(boss, 'plastic', 'steel')).toBeUndefined();
    expect(makeUpBetween(joint('an6 m', 'an6 f').makeUp!, 'steel', 'steel')).toMatchObject({ kind: 'flats', low: 1, high: 1.5 });
    expect(joint('npt 1/8 m', 'npt 1/8 f').makeUp!.torques).toBeUndefined();
  });

  it.each([
    ['cast iron', 'steel'],
    ['stainless', 'steel'],
    ['Aluminium 6061', 'aluminium'],
    ['brass', 'brass'],
    ['nylon', 'plastic'],
    [undefined, 'aluminium'],
    ['unobtainium', 'aluminium'],
  ])('takes a part of %s for %s', (word, metal) => expect(metalOf(word)).toBe(metal));

  it.each([
    ['flange 2x38 bore 14', 'flange 2x38.1 bore 14 m', /^A gasket between two flat, clean faces\.$/, 8, 10],
    ['flange 2x44 bore 20', 'flange 2x44 bore 16 m', /steps from 20 mm to 16 mm/, 8, 10],
    ['flange 2x44 bore 18', 'flange 2x44 m8 bore 16 m', /steps from 18 mm to 16 mm/, 15, 22],
    ['flange 2x38 m6 bore 14', 'flange 2x38 bore 14 m', /clean faces/, 8, 10],
  ])('%s under %s seals, its bolts in aluminium', (a, b, reason, low, high) => {
    const found = joint(a, b);
    expect([found.outcome, found.makeUp!.low, found.makeUp!.high]).toEqual(['seals', low, high]);
    expect(inHouseUnits(found.reason, 'metric')).toMatch(reason);
  });

  it.each([
    ['barb 19mm', 'hose 3/4', 'seals'],
    ['bead 5/8', 'hose 16mm', 'seals'],
    ['barb 5/16', 'hose 8mm', 'seals'],
    ['barb 10mm', 'hose 3/8', 'seals'],
    ['barb 1', 'hose 25mm', 'seals'],
    ['barb 12mm', 'hose 1/2', 'does-not-join'],
    ['barb 6mm', 'hose 1/4', 'does-not-join'],
  ])('%s in %s: %s', (a, b, outcome) => expect(joint(a, b).outcome).toBe(outcome));

  it.each([
    ['keg m14x1.5 m', 'm14x1.5 f', undefined],
    ['keg m14x1.5 m', 'm14x1.5 f washer', /stud with its washer is the proper part/],
    ['m14x1.5 m washer', 'm14x1.5 f washer', undefined],
  ])('%s in %s seals, at a risk or not', (a, b, risk) => {
    const found = joint(a, b);
    expect(found.outcome).toBe('seals');
    if (risk) expect(found.risk).toMatch(risk);
    else expect(found.risk).toBeUndefined();
  });

  it('has one face for every seal of a British parallel port, whatever it is called', () => {
    for (const male of ['g 1/4 m washer', 'g 1/4 m oring', 'g 1/4 m captive'])
      for (const female of ['g 1/4 f', 'g 1/4 f washer', 'g 1/4 f oring']) expect(joint(male, female).outcome).toBe('seals');
    expect(joint('r 1/4 m cone', 'g 1/4 f swivel')).toMatchObject({
      outcome: 'seals',
      kind: 'cone',
      dressing: expect.stringMatching(/No tape/),
    });
  });

  it('takes the washer that goes over the bolt', () => {
    expect(washerFor(14).size).toBe('14 × 18 × 1.5');
    expect(washerFor(14.2875).size).toBe('15 × 19 × 1.5');
    expect(washerFor(12.7).size).toBe('13 × 18 × 1.5');
    expect(washerFor(22.225).size).toBe('22 × 27 × 1.5');
    expect(washerFor(11.1).size).toBe('12 × 16 × 1.5');
  });

  it('says make-up in house units', () => {
    expect(formatMakeUp(joint('an6 m', 'an6 f').makeUp!)).toBe('1–1½ flats');
    expect(formatMakeUp(joint('m14x1.5 m washer', 'm14x1.5 f washer').makeUp!)).toBe('25–30\u2009N·m');
    expect(formatMakeUp(joint('m14x1.5 m washer', 'm14x1.5 f washer').makeUp!, 'inch')).toBe('18–22\u2009lbf·ft');
    expect(formatMakeUp(joint('npt 1/8 m', 'npt 1/8 f').makeUp!)).toBe('2–3 turns');
  });
});
