import { Value } from 'typebox/value';
import { everyConnector } from '../connectors/index.js';
import { fluidById, fluidIds, fluids } from '../fluids/index.js';
import {
  checkPart,
  entryFrom,
  fieldsOf,
  figuresIn,
  findInSection,
  headOf,
  partSections,
  sectionOf,
  services,
  type PartEntry,
} from '../job/index.js';
import { compounds, mate } from '../seals/index.js';
import { catalogue } from '../../testing/sample-job.js';
import { constructions } from '../hose/index.js';
import {
  figureOf,
  ringCompound,
  specify,
  standardSupplies,
  supplyKind,
  supplyKinds,
  SupplySchema,
  usualSealRules,
  type Supply,
} from './index.js';
import { roundedDown, roundedUp } from '../units/index.js';

const supplies = standardSupplies();

describe('what holds a flange', () => {
  it.each(['M6', 'M8'])('%s is bought by its thread, with a length that is to be measured', (size) => {
    const { part, why } = specify({ item: 'flange bolt', size, quantity: 2 }, { fluid: 'engine oil' }, standardSupplies());
    expect(part).toMatchObject({ kind: 'bolt', figures: { thread: size } });
    expect(why).toContain('measure yours');
  });
});

describe('the fluids', () => {
  it('are one table that services, constructions and compounds refer to', () => {
    for (const { fluid } of services) expect(fluidIds).toContain(fluid);
    for (const { fluids: made } of constructions) for (const fluid of made) expect(fluidIds).toContain(fluid);
    for (const { fluids: suits } of compounds) expect(Object.keys(suits).sort()).toEqual([...fluidIds].sort());
    expect(fluids.filter((f) => f.refused).map((f) => f.id)).toEqual(['brake fluid']);
    expect(constructions.some((c) => c.fluids.includes('brake fluid'))).toBe(false);
    expect(() => fluidById('water')).toThrow(RangeError);
  });

  it('that may be several are as hard on a rubber as the hardest', () => {
    const fkm = compounds.find((c) => c.id === 'fkm')!.fluids;
    expect([fkm.petrol, fkm['petrol with alcohol'], fkm.E85, fkm.methanol, fkm['alcohol fuel']]).toEqual([
      'good',
      'good',
      'good',
      'never',
      'never',
    ]);
    const epdm = compounds.find((c) => c.id === 'epdm')!.fluids;
    expect([epdm.E85, epdm.methanol, epdm['alcohol fuel']]).toEqual(['never', 'good', 'never']);
  });
});

describe('the standard supplies', () => {
  it('hold together, each by the schema of its kind, each id once', () => {
    for (const s of supplies)
      expect([s.id, Value.Check(SupplySchema, s), checkPart({ kind: 'supply', part: s })]).toEqual([s.id, true, []]);
    expect(new Set(supplies.map((s) => s.id)).size).toBe(supplies.length);
    for (const { id } of supplyKinds.filter((k) => ['o-ring', 'washer', 'gasket', 'clamp', 'sealant'].includes(k.id)))
      expect(supplies.some((s) => s.kind === id)).toBe(true);
    expect(() => supplyKind('string')).toThrow(RangeError);
  });

  it('have what every joint that seals asks for, in engine oil', () => {
    const ends = everyConnector();
    const asked = new Map<string, Parameters<typeof specify>[0]>();
    for (const male of ends.filter((c) => c.gender === 'male'))
      for (const female of ends.filter((c) => c.gender === 'female'))
        for (const c of mate(male, female).seal?.consumables ?? []) asked.set(`${c.item} ${c.item === 'thread sealant' ? '' : c.size}`, c);
    // how deep a groove is no standard says
    const missing = [...asked.values()].filter((c) => c.item !== 'face ring' && !specify(c, { fluid: 'engine oil' }, supplies).part);
    // rings of studs whose figures are not known are named on the parts list, and not invented in the catalogue
    expect(missing.map((c) => `${c.item} ${c.size}`)).toEqual([]);
  });

  it.each<[string, Partial<Supply> & { figures: Record<string, unknown> }]>([
    ['a ring of no known compound', { figures: { size: '1', insideMm: 3, sectionMm: 1, compound: 'wax' } }],
    ['a ring with a figure that rings have not', { figures: { size: '1', insideMm: 3, sectionMm: 1, compound: 'fkm', colour: 'red' } }],
    ['a ring without its size', { figures: { insideMm: 3, sectionMm: 1, compound: 'fkm' } }],
  ])('are not %s', (_, change) =>
    expect(Value.Check(SupplySchema, { ...supplies.find((s) => s.kind === 'o-ring')!, ...change })).toBe(false),
  );
});

describe('what to take for a joint', () => {
  const ring = { item: 'O-ring', size: 'AS568-906', quantity: 1 };
  const flat = { item: 'copper washer', size: '14 × 18 × 1.5', quantity: 1 };
  const taper = { item: 'thread sealant', size: 'NPT 1/8', quantity: 1 };
  const name = (...args: Parameters<typeof specify>) => specify(...args).name;

  it('is the ring in a compound that bears the fluid and its heat', () => {
    expect(name(ring, { fluid: 'engine oil' }, supplies)).toBe('O-ring FKM AS568-906');
    expect(name(ring, { fluid: 'coolant' }, supplies)).toBe('O-ring HNBR AS568-906');
    for (const [fluid, compound] of [
      ['petrol with alcohol', 'FKM'],
      ['E85', 'FKM'],
      ['methanol', 'EPDM'],
      ['alcohol fuel', 'FVMQ'],
    ] as const)
      expect(name(ring, { fluid }, supplies)).toBe(`O-ring ${compound} AS568-906`);
    // cold as well as heat
    expect(name(ring, { fluid: 'engine oil', coldC: -30 }, supplies)).toBe('O-ring HNBR AS568-906');
    expect(name(ring, { fluid: 'engine oil', coldC: -40 }, supplies)).toBe('O-ring FVMQ AS568-906');
    expect(specify(ring, { fluid: 'engine oil', hotC: 230 }, supplies).part).toBeUndefined();
    for (const fluid of fluidIds) {
      const { hotC } = fluidById(fluid);
      const compound = ringCompound({ fluid, hotC });
      if (compound) expect([compound.fluids[fluid], compound.maxC >= hotC]).toEqual(['good', true]);
    }
  });

  it('says what it refuses before it, and why', () => {
    expect(specify(ring, { fluid: 'coolant' }, supplies).refused).toEqual([
      { name: 'fluorocarbon (FKM)', why: expect.stringMatching(/does not last in coolant/) },
    ]);
    expect(specify(ring, { fluid: 'engine oil' }, supplies).refused).toBeUndefined();
    const nitrileFirst = { ...usualSealRules, rings: ['nbr', 'fkm'] } as typeof usualSealRules;
    expect(specify(ring, { fluid: 'engine oil', hotC: 140 }, supplies, nitrileFirst)).toMatchObject({
      name: 'O-ring FKM AS568-906',
      refused: [{ name: 'nitrile (NBR)', why: `it bears ${roundedDown(110, '°C')}, and engine oil gets to ${roundedUp(140, '°C')} here` }],
    });
    expect(specify(ring, { fluid: 'engine oil', hotC: 230 }, supplies).refused!.length).toBe(usualSealRules.rings.length);
    expect(specify(ring, { fluid: 'engine oil', coldC: -30 }, supplies).refused![0]!.why).toMatch(/stiff below/);
  });

  it('is a bonded washer whose lip bears the fluid and its heat as well', () => {
    const bonded = { item: 'bonded washer', size: '13.7 × 20.6 × 2.1', quantity: 1 };
    expect(name(bonded, { fluid: 'hot synthetic oil' }, supplies)).toBe('Bonded washer FKM 13.7 × 20.6 × 2.1');
    expect(name(bonded, { fluid: 'coolant', hotC: 100 }, supplies)).toBe('Bonded washer NBR 13.7 × 20.6 × 2.1');
    expect(specify(bonded, { fluid: 'brake fluid', hotC: 200 }, supplies).doubt).toMatch(/take copper/);
    expect(specify(bonded, { fluid: 'hot synthetic oil' }, supplies).part).toBeDefined();
  });

  it('follows the school of the shop where several do', () => {
    const rules = { ...usualSealRules, flatWasher: 'aluminium', sealant: 'tape' } as const;
    expect(name(flat, { fluid: 'engine oil' }, supplies)).toBe('Copper washer 14 × 18 × 1.5');
    expect(name(flat, { fluid: 'engine oil' }, supplies, rules)).toBe('Aluminium washer 14 × 18 × 1.5');
    expect(name(taper, { fluid: 'engine oil' }, supplies, rules)).toBe('PTFE thread tape');
    // tape frays: neither into injectors nor into a restrictor, whatever the shop takes elsewhere
    expect(name(taper, { fluid: 'petrol' }, supplies, rules)).toBe('Liquid thread sealant for fuel');
    expect(specify(taper, { fluid: 'engine oil', place: 'turbo feed' }, supplies, rules)).toMatchObject({ none: true });
  });

  it('is named where the catalogue has none, and never one that was taken out', () => {
    expect(specify(ring, { fluid: 'engine oil' }, [])).toMatchObject({ name: 'O-ring FKM AS568-906' });
    const retired = supplies.map((s) => ({ ...s, retired: true }));
    expect(specify(flat, { fluid: 'engine oil' }, retired).part).toBeUndefined();
    expect(specify(taper, { fluid: 'alcohol fuel', hotC: 200 }, supplies).doubt).toMatch(/No liquid sealant/);
    const unsaid = supplies.map((s) => ({ ...s, figures: Object.fromEntries(Object.entries(s.figures).filter(([f]) => f !== 'maxC')) }));
    expect(specify(taper, { fluid: 'engine oil' }, unsaid as typeof supplies).doubt).toMatch(/No liquid sealant/);
  });
});

describe('the sections of the store', () => {
  const all: PartEntry[] = [
    { kind: 'hose', part: catalogue.hoses[0]! },
    { kind: 'hose end', part: catalogue.hoseEnds[0]! },
    ...supplies.map((part): PartEntry => ({ kind: 'supply', part })),
  ];

  it('take a part apart into head and figures and put it together again', () => {
    for (const entry of all) {
      const section = sectionOf(entry);
      if (section === 'fitting') continue;
      const said = figuresIn(entry);
      const figures = Object.fromEntries(fieldsOf(section).flatMap(({ name }) => (said[name] === undefined ? [] : [[name, said[name]]])));
      expect(entryFrom(section, headOf(entry), figures, entry.kind === 'hose end' ? entry.part.connector : undefined)).toEqual(entry);
    }
  });

  it('are searched by words of name, code, supplier and figures', () => {
    const found = (section: Parameters<typeof findInSection>[1], words: string) =>
      findInSection(catalogue, section, { words }).map((e) => e.part.name);
    expect(found('o-ring', 'fkm 906')).toEqual(['O-ring FKM AS568-906']);
    expect(found('hose', 'ptfe -6')).toContain('PTFE hose, steel braid, -6');
    expect(found('hose end', 'an6 90')[0]).toContain('90°');
    expect(findInSection(catalogue, 'clamp', { onShelf: true })).toEqual([]);
    expect(new Set(partSections.map((s) => s.id)).size).toBe(partSections.length);
    expect(figureOf(supplies[0]!, 'fluids')).toBeUndefined();
  });
});
