import { boreSizeMm, endForm, formatConnector } from '../connectors/index.js';
import { constructionById, constructions, hoseEndAngles, standardHoseEnds, standardHoses, type Hose } from './index.js';

const hoses = standardHoses();
/** Of one construction several kinds may be made: one row of sizes each. */
const kindOf = ({ name }: Hose): string => name.replace(/,[^,]*$/, '');
const ends = standardHoseEnds();

/** Each construction in inch sizes, and in metric bores. */
const rowsByKind = () =>
  constructions.flatMap(({ id }) =>
    [false, true]
      .flatMap((metric) => {
        const made = hoses.filter((h) => h.construction === id && (h.metricMm !== undefined) === metric);
        return [...new Set(made.map(kindOf))].map((kind) => made.filter((h) => kindOf(h) === kind));
      })
      .filter((r) => r.length > 0),
  );

describe('the standard hoses', () => {
  it('come in every construction, each row once', () => {
    expect(new Set(hoses.map((h) => h.construction))).toEqual(new Set(constructions.map((c) => c.id)));
    expect(new Set(hoses.map((h) => h.id)).size).toBe(hoses.length);
    expect(() => constructionById('string')).toThrow(RangeError);
  });

  it('grow with their dash: bore, outside and bend radius; the wall is a wall', () => {
    for (const rows of rowsByKind()) {
      for (const key of ['dash', 'boreMm', 'outsideMm', 'bendRadiusMm'] as const) {
        const figures = rows.map((h) => h[key]);
        expect(figures).toEqual([...figures].sort((a, b) => a - b));
      }
      for (const h of rows) {
        expect(h.outsideMm).toBeGreaterThan(h.boreMm + (h.construction.endsWith('tube') ? 1 : 2));
        expect(h.bendRadiusMm).toBeGreaterThan(h.outsideMm);
      }
    }
  });

  it('stand less pressure the wider they are, and say where their figures come from', () => {
    for (const rows of rowsByKind().filter(([row]) => !row!.construction.endsWith('tube'))) {
      const bars = rows.map((h) => h.workingBar);
      expect(bars).toEqual([...bars].sort((a, b) => b - a));
    }
    for (const h of hoses) {
      expect(h.source).toMatch(/from memory|common practice/);
      expect(h.maxTempC).toBeGreaterThan(h.minTempC);
    }
  });
});

describe('the standard hose ends', () => {
  it('are made in all angles for braided hose, in three for push-on, and as a cut end for clamped hose', () => {
    const angles = (construction: string) => [...new Set(ends.filter((e) => e.construction === construction).map((e) => e.angleDeg))];
    expect(angles('ptfe')).toEqual([...hoseEndAngles]);
    expect(angles('rubber')).toEqual([...hoseEndAngles]);
    expect(angles('pushon')).toEqual([0, 45, 90]);
    for (const construction of ['coolant', 'fuel', 'vacuum', 'oil', 'silicone', 'charge']) expect(angles(construction)).toEqual([0]);
  });

  it("carry a swivel nut of the hose's own dash, or the hose itself where it is clamped", () => {
    for (const e of ends) {
      if (constructionById(e.construction).endStyle === 'clamp') {
        expect(formatConnector(e.connector)).toMatch(/^hose /);
        expect(boreSizeMm(e.connector.size)).toBeCloseTo(e.metricMm ?? (e.dash / 16) * 25.4);
        expect([e.aMm, e.bMm, e.socketLengthMm]).toEqual([0, 0, 0]);
      } else if (e.id.split('-').length === 4) expect(formatConnector(e.connector)).toBe(`an${e.dash} f swivel`);
    }
  });

  it('are formed from a tube itself, with the metal of the nut said; what the flare takes is added to the cut', () => {
    const tube = (construction: string, dash: number) =>
      ends
        .filter((e) => e.construction === construction && e.dash === dash)
        .map((e) => [formatConnector(e.connector), e.aMm < 0, e.material]);
    expect(tube('steel-tube', 6)).toEqual([
      ['an6 f swivel', true, 'steel'],
      ['sae45-6 f swivel', true, 'steel'],
      ['inverted 3/8 m', true, 'steel'],
      ['bead 3/8', true, 'steel'],
      ['compression 3/8 m', true, 'steel'],
    ]);
    // aluminium cracks in any other flare, and gives way under an olive
    expect(tube('aluminium-tube', 6).map(([connector]) => connector)).toEqual(['an6 f swivel', 'bead 3/8']);
    expect(tube('aluminium-tube', 16).map(([connector]) => connector)).toEqual(['an16 f swivel', 'bead 1']);
    expect(ends.filter((e) => e.construction === 'crimped').every((e) => e.material === 'steel')).toBe(true);
  });

  it('take more off the hose the more they turn up to 90°, and rise further from its axis up to 120°', () => {
    for (const dash of [4, 6, 8, 10, 12, 16]) {
      const list = ends.filter((e) => e.construction === 'ptfe' && e.dash === dash && e.id.split('-').length === 4);
      const rise = list.filter((e) => e.angleDeg <= 120).map((e) => e.bMm);
      expect(rise).toEqual([...rise].sort((a, b) => a - b));
      expect(list.find((e) => e.angleDeg === 90)!.aMm).toBeGreaterThan(list.find((e) => e.angleDeg === 0)!.aMm);
      expect(list.find((e) => e.angleDeg === 180)!.bMm).toBeCloseTo(2 * list.find((e) => e.angleDeg === 180)!.bendRadiusMm, 0);
    }
  });

  it('go straight on ports of every kind, and step one size either way', () => {
    const made = ends.filter((e) => e.construction === 'ptfe' && e.dash === 8).map((e) => `${e.angleDeg} ${formatConnector(e.connector)}`);
    for (const end of [
      '0 orb8 m',
      '0 npt 3/8 m',
      '0 m18x1.5 m washer',
      '45 g 3/8 f swivel',
      '90 banjo m18x1.5',
      '0 an6 f swivel',
      '90 an10 f swivel',
      '0 r 3/8 m',
    ])
      expect(made).toContain(end);
    // the eye of a banjo lies on the hose's own axis, but for half its height
    const eye = ends.find((e) => e.connector.family === 'banjo')!;
    expect([eye.bendRadiusMm, eye.angleDeg]).toEqual([0, 90]);
  });

  it('are no wider inside than their nut', () => {
    for (const e of ends.filter((x) => x.connector.family !== 'barb')) expect(e.boreMm).toBeLessThanOrEqual(endForm(e.connector).boreMm);
  });
});
