import { everyConnector, familyById, parseConnector } from '../connectors/index.js';
import { inHouseUnits } from '../units/index.js';
import { bossRings, mate, metricPortRings, torqueFor, washerFor } from './index.js';
import { formatMakeUp } from './format-make-up.js';

const makeUp = (a: string, b: string) => mate(parseConnector(a), parseConnector(b)).makeUp!;

describe('make-up', () => {
  it('grows with the size where it is a torque', () => {
    const rising = (figures: number[]) => expect(figures).toEqual([...figures].sort((a, b) => a - b));
    rising(familyById('orb').sizes.map((s) => makeUp(`orb${s} m`, `orb${s} f`).high));
    rising(
      ['m10x1', 'm12x1.5', 'm14x1.5', 'm18x1.5', 'm22x1.5', 'm27x2', 'm33x2'].map((s) => makeUp(`${s} m washer`, `${s} f washer`).high),
    );
  });

  it('always runs from low to high, and is given for everything that seals', () => {
    const females = everyConnector().filter((c) => c.gender === 'female');
    let sealed = 0;
    for (const male of everyConnector().filter((c) => c.gender === 'male'))
      for (const female of females.filter((f) => f.size === male.size)) {
        const found = mate(male, female);
        // of what is only recognised, the maker says how tight
        if (found.outcome !== 'seals' || ['orfs', 'cone30'].includes(male.family)) continue;
        sealed += 1;
        expect(found.makeUp!.high).toBeGreaterThanOrEqual(found.makeUp!.low);
        if (found.makeUp!.kind !== 'push') expect(found.makeUp!.low).toBeGreaterThan(0);
        expect(formatMakeUp(found.makeUp!).length).toBeGreaterThan(3);
        expect(found.source).toBeDefined();
      }
    expect(sealed).toBeGreaterThan(600);
  });

  it('takes a hollow bolt no tighter than a solid one, and crushes its copper in aluminium', () => {
    for (const size of ['m10x1', 'm12x1.5', 'm14x1.5', 'm16x1.5', 'm18x1.5', 'm22x1.5']) {
      const [solid, hollow] = [makeUp(`${size} m washer`, `${size} f washer`), makeUp(`banjo ${size}`, `${size} f washer`)];
      for (const metal of ['aluminium', 'steel'] as const)
        expect(torqueFor(hollow, metal).high).toBeLessThanOrEqual(torqueFor(solid, metal).high);
      expect(torqueFor(hollow, 'aluminium').high).toBeLessThanOrEqual(torqueFor(hollow, 'steel').high);
    }
  });

  it('says the hole of a bulkhead: its thread passes, and the washer covers what is over', () => {
    const dressing = (size: string) =>
      inHouseUnits(mate(parseConnector(`bulkhead an${size} m`), parseConnector(`bulkhead an${size} f`)).dressing!, 'metric');
    expect(dressing('6')).toContain('a hole of 14.5 mm');
    expect(dressing('10')).toContain('a hole of 22.5 mm');
  });

  it('draws a bulkhead no tighter than the aluminium flare nut of its size', () => {
    for (const size of familyById('bulkhead').sizes) {
      const locknut = makeUp(`bulkhead an${size} m`, `bulkhead an${size} f`);
      const nut = torqueFor(makeUp(`an${size} m`, `an${size} f`), 'aluminium');
      expect(locknut.high).toBeLessThanOrEqual(nut.high);
      expect(locknut.torques).toHaveLength(1);
    }
  });

  it('puts the torque of an adjustable end on its locknut', () => expect(makeUp('orb6 m adjustable', 'orb6 f').note).toContain('locknut'));

  it.each([
    [{ kind: 'flats', low: 0.75, high: 1.25, unit: 'flats' }, '¾–1¼ flats'],
    [{ kind: 'turns', low: 1.5, high: 2.5, unit: 'turns' }, '1½–2½ turns'],
    [{ kind: 'gap', low: 0.5, high: 1, unit: 'mm' }, 'gap 1\u2009mm'],
    [{ kind: 'push', low: 0, high: 0, unit: '' }, 'push home, tug'],
    [{ kind: 'clamp', low: 2, high: 4, unit: 'N·m' }, '2–4\u2009N·m'],
  ] as const)('is said shortly: %j', (figure, words) => expect(formatMakeUp(figure)).toBe(words));
});

describe('seals', () => {
  it('have sections that suit their size', () => {
    for (const { insideMm, sectionMm } of [...Object.values(bossRings), ...Object.values(metricPortRings)]) {
      expect(sectionMm).toBeGreaterThan(1);
      expect(sectionMm).toBeLessThan(insideMm / 2.5);
    }
  });

  it('go over their bolt and stand out round it', () => {
    for (const bolt of [8, 10, 12, 14, 16, 18, 20, 22, 24, 26, 27, 30, 33, 36, 42, 48]) {
      const washer = washerFor(bolt);
      expect(washer.insideMm).toBe(bolt);
      expect(washer.outsideMm).toBeGreaterThan(bolt + 3);
    }
    expect(washerFor(999).insideMm).toBe(65);
  });
});
