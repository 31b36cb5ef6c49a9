import fc from 'fast-check';
import { catalogue, feed, jobOf } from '../../testing/sample-job.js';
import { RING, needsOf, offer, room, supplier } from '../../testing/stockroom.js';
import type { HoseLength } from '../stock/index.js';
import { cheapestFor, eitherOr, kitCheck, madeHosesFor, offersFor, substitutesFor, type CasePart, type PossibleCase } from './index.js';
import { quantity } from '../units/index.js';

describe('what stands in for a part', () => {
  it('has the same ends, kind and angle, and says what is other; a seal has nothing beside it', () => {
    const steel = catalogue.fittings.find((f) => substitutesFor(f.id, catalogue).length > 0);
    if (steel) for (const s of substitutesFor(steel.id, catalogue)) expect(s.differs.length).toBeGreaterThan(0);
    const twin = {
      ...catalogue,
      fittings: [...catalogue.fittings, { ...catalogue.fittings[0]!, id: 'twin', material: 'steel', shelf: 3 }],
    };
    expect(substitutesFor(catalogue.fittings[0]!.id, twin).find((s) => s.part === 'twin')).toMatchObject({
      shelf: 3,
      differs: ['steel instead of aluminium'],
    });
    expect(substitutesFor(RING, catalogue)).toEqual([]);
    expect(substitutesFor('nothing', catalogue)).toEqual([]);
  });
});

describe('what stands in for a hose, an end or a sleeve', () => {
  const hose = catalogue.hoses.find((h) => h.id === 'hose-ptfe-6')!;
  it('is a hose of the same core and size that bears as much, never one that bears less', () => {
    const makes = [
      { ...hose, id: 'same', name: 'Same' },
      { ...hose, id: 'more', workingBar: hose.workingBar + 40 },
      { ...hose, id: 'less', workingBar: hose.workingBar - 1 },
      { ...hose, id: 'gone', retired: true as const },
      { ...hose, id: 'wider', dash: 8, boreMm: hose.boreMm + 2 },
    ];
    const found = substitutesFor(hose.id, { ...catalogue, hoses: [...catalogue.hoses, ...makes] });
    expect(found.map((s) => s.part).sort()).toEqual(['hose-ptfe-fuel-6', 'more', 'same']);
    // a plain core never stands in for one that carries off the charge of fuel
    expect(substitutesFor('hose-ptfe-fuel-6', catalogue).map((s) => s.part)).toEqual([]);
  });

  it('is an end of the same angle and connector, with how much longer it is along the hose', () => {
    const end = catalogue.hoseEnds.find((e) => e.id === 'end-ptfe-6-45')!;
    const longer = { ...end, id: 'longer', aMm: end.aMm + 6, priceMinor: 900, leadDays: 3 };
    const [found] = substitutesFor(end.id, {
      ...catalogue,
      hoseEnds: [...catalogue.hoseEnds, longer, { ...end, id: 'bent', angleDeg: 90 }],
    });
    expect(found).toEqual({
      part: 'longer',
      name: end.name,
      differs: [`${quantity(6, 'mm')} longer along the hose`],
      shelf: 0,
      priceMinor: 900,
      leadDays: 3,
    });
  });

  it('goes by what lies on the shelf, then by its price', () => {
    const twin = (id: string, shelf: number, priceMinor: number) => ({ ...hose, id, shelf, pricePerMetreMinor: priceMinor });
    const hoses = [...catalogue.hoses, twin('dear', 0, 900), twin('there', 2, 5000), twin('cheap', 0, 100)];
    expect(substitutesFor(hose.id, { ...catalogue, hoses }).map((s) => s.part)).toEqual(['there', 'cheap', 'dear', 'hose-ptfe-fuel-6']);
  });

  it('is a cap of the same size, whatever it is made of', () => {
    const cap = catalogue.supplies.find((s) => s.kind === 'cap')!;
    const steel = { ...cap, id: 'cap steel', figures: { ...cap.figures, material: 'steel' } };
    expect(substitutesFor(cap.id, { ...catalogue, supplies: [...catalogue.supplies, steel] }).map((s) => s.part)).toEqual(['cap steel']);
  });
});

describe('a kit', () => {
  it('is held against the job: what fits, what not and why, what is left over and missing, and what it costs singly', () => {
    const holds = [
      { part: RING, quantity: 5 },
      { part: 'o-ring nbr AS568-906', quantity: 2 },
      { part: 'end-ptfe-6-90', quantity: 1 },
      { part: 'no-such-part', quantity: 1 },
    ];
    const needs = needsOf();
    const single = offersFor([RING], room({ offers: [offer()] }), catalogue);
    const check = kitCheck({ holds, prices: [{ fromPacks: 1, packMinor: 5000 }] }, needs, single, catalogue);
    const need = needs.find((n) => n.part === RING)!.toBuy;
    expect(check.fits).toEqual([expect.objectContaining({ part: RING, used: Math.min(5, need), left: 5 - Math.min(5, need) })]);
    expect(check.not.map((n) => n.why)).toEqual([
      expect.stringContaining('compound nbr, not fkm'),
      expect.stringMatching(/end angle 90°, not \d+°/),
      expect.stringContaining('The catalogue does not have it'),
    ]);
    expect(check.missing.some((m) => m.part === RING)).toBe(need > 5);
    expect([check.priceMinor, check.singlyMinor]).toEqual([5000, 600]);
  });

  it('that has what nothing like it is needed of says so; a part of which the job has enough is told as that', () => {
    const needs = needsOf().map((n) => (n.part === RING ? { ...n, toBuy: 0 } : n));
    const tube = catalogue.supplies.find((s) => s.kind === 'cap' && !needs.some((n) => n.part === s.id))!;
    const adapter = catalogue.fittings.find((f) => f.angleDeg === 90 && !needs.some((n) => n.part === f.id))!;
    const check = kitCheck(
      { holds: [RING, tube.id, adapter.id].map((part) => ({ part, quantity: 1 })), prices: [{ fromPacks: 1, packMinor: 100 }] },
      needs,
      [],
      catalogue,
    );
    expect(check.fits).toEqual([]);
    expect(check.not[0]!.why).toBe('The job has as many of it as it needs.');
    expect(check.not[1]!.why).toMatch(/, not .*, as in /);
    expect(check.not[2]!.why).toMatch(/ends .*, not|angle 90°, not|The job needs no elbow/);
    expect([check.singlyMinor, check.unpriced, check.look]).toEqual([0, [], []]);
    expect(check.missing.some((m) => m.part === RING)).toBe(false);
  });

  it('is compared with its own kind only, under the names that the store has for its figures', () => {
    const tank = {
      ...catalogue.fittings.find((f) => f.ends.length === 2 && !f.angleDeg)!,
      id: 'can',
      name: 'Catch tank',
      kind: 'tank' as const,
    };
    const supply = catalogue.supplies.find((s) => s.kind === 'clamp' && !needsOf().some((n) => n.part === s.id))!;
    const stocked = { ...catalogue, fittings: [...catalogue.fittings, tank] };
    const holds = ['can', supply.id].map((part) => ({ part, quantity: 1 }));
    const check = kitCheck({ holds, prices: [{ fromPacks: 1, packMinor: 1 }] }, needsOf(), [], stocked);
    expect(check.not[0]!.why).toBe('The job needs no tank.');
    expect(check.not.map((n) => n.why).join()).not.toMatch(/[a-z]Mm|minTempC/);
  });

  it('with a part nobody sells singly names it, and asks for a body to be tried on the engine', () => {
    const of = jobOf();
    const body = { ...catalogue.fittings[0]!, id: 'plate', name: 'Sandwich plate', body: {} as never };
    const stocked = { ...catalogue, fittings: [...catalogue.fittings, body] };
    const check = kitCheck(
      {
        holds: [
          { part: RING, quantity: 1 },
          { part: 'plate', quantity: 1 },
        ],
        prices: [{ fromPacks: 1, packMinor: 100 }],
      },
      needsOf(room(), of),
      [],
      stocked,
    );
    expect(check.unpriced).toEqual([RING]);
    expect(check.look).toEqual([expect.stringMatching(/^Sandwich plate: which way round it stands on the engine/)]);
  });

  it.each([
    [1, 500],
    [10, 500],
    [11, 1000],
    [25, 1200],
    [100, 4000],
  ])('is weighed against whole packs at their breaks: %d singly cost %d', (quantity, minor) =>
    expect(cheapestFor(RING, quantity, offersFor([RING], { suppliers: [{ ...supplier, euros: 1 }], offers: [offer()] }, catalogue))).toBe(
      minor,
    ),
  );
});

describe('while it is not certain', () => {
  const one = (id: string, share: number, ...parts: string[]): PossibleCase => ({
    id,
    name: id,
    share,
    parts: parts.map((part) => ({ part, quantity: 1 })),
  });
  const cost = (part: string, priceMinor: number, leadDays = 3, lostWhenReturned = 100): CasePart => ({
    part,
    priceMinor,
    leadDays,
    lostWhenReturned,
  });

  it('what all cases share is bought at once; the rest where waiting costs more than sending back', () => {
    const cases = [one('npt', 0.7, 'common', 'a'), one('bspt', 0.3, 'common', 'b')];
    const parts = [cost('common', 1000), cost('a', 800), cost('b', 800)];
    const dear = eitherOr(cases, parts, 5000);
    expect(dear.best.ready).toEqual(['npt', 'bspt']);
    expect(dear.best).toMatchObject({ nowMinor: 2600, expectedMinor: 1900, worstDays: 0 });
    expect(dear.waiting).toMatchObject({ nowMinor: 1000, expectedMinor: 1000 + 800 + 3 * 5000, worstDays: 3 });
    const cheap = eitherOr(cases, parts, 0);
    expect(cheap.best).toMatchObject({ ready: [], nowMinor: 1000 });
  });

  it('what nobody takes back is lost, and only the likeliest is bought where the other hardly ever comes', () => {
    const cases = [one('x', 0.95, 'a'), one('y', 0.05, 'b')];
    const { best } = eitherOr(cases, [cost('a', 500, 2, 500), cost('b', 20_000, 2, 20_000)], 1000);
    expect(best).toMatchObject({ ready: ['x'], worstDays: 2 });
  });

  it('the best is no dearer than to wait or to be ready for all, and every case is covered in the end', () => {
    const parts = ['a', 'b', 'c'];
    const given = fc.array(fc.record({ share: fc.double({ min: 0, max: 1, noNaN: true }), of: fc.subarray(parts, { minLength: 1 }) }), {
      minLength: 1,
      maxLength: 4,
    });
    fc.assert(
      fc.property(given, fc.nat(9000), (cases, day) => {
        const { best, waiting, all } = eitherOr(
          cases.map((c, i) => one(`c${i}`, c.share, ...c.of)),
          parts.map((p, i) => cost(p, 100 + 700 * i)),
          day,
        );
        expect(best.expectedMinor).toBeLessThanOrEqual(Math.min(waiting.expectedMinor, all.expectedMinor));
        expect(all.worstDays).toBe(0);
      }),
    );
    expect(() => eitherOr([], [], 0)).toThrow(RangeError);
  });
});

describe('a made hose', () => {
  it('does for a piece with its hose and ends, either way round, as it is or shortened; one off a car waits to be looked over', () => {
    const piece = jobOf([feed]).lines[0]!.pieces[0]!;
    const mm = piece.cut!.assemblyMm;
    const [a, b] = [piece.endA!.id, piece.endB!.id];
    const made = (id: string, change: Partial<HoseLength>): HoseLength => ({
      id,
      part: piece.hose!.id,
      kind: 'made',
      mm,
      ends: [a, b],
      since: '2026-01-01',
      state: 'there',
      version: 1,
      ...change,
    });
    const found = madeHosesFor(
      piece,
      [
        made('long', { mm: mm + 90 }),
        made('turned', { ends: [b, a] }),
        made('short', { mm: mm - 40 }),
        made('car', { salvaged: true }),
        made('other ends', { ends: [a, a] }),
        made('kept', { jobId: 'another' }),
      ],
      'job',
    );
    expect(found.map((h) => [h.length.id, h.shortenMm, h.reversed, h.ready])).toEqual([
      ['turned', 0, true, true],
      ['long', 90, false, true],
      ['car', 0, false, false],
    ]);
    expect(
      madeHosesFor(
        { ...piece, piece: { ...piece.piece, source: 'kept' } },
        found.map((f) => f.length),
        'job',
      ),
    ).toEqual([]);
  });
});
