import fc from 'fast-check';
import { measurableThreads, parseThread } from '@gewinde/core';
import { clampWindow, mapLabels, mapLayout, panned, rowsNear, tiedTo, WHOLE, windowRound, zoomed } from './map-layout';
import { shortName, threadMarks } from './thread-marks';

describe('the map', () => {
  it('has a row for each pitch, finest first, and every thread on its row', () => {
    for (const side of ['external', 'internal'] as const) {
      const { rows, strokes } = mapLayout(side);
      expect(rows.map((r) => r.pitchMm)).toEqual([...rows.map((r) => r.pitchMm)].sort((a, b) => a - b));
      expect(rows.map((r) => r.label)).toEqual(expect.arrayContaining(['1.5', '18/in', '28/in', '11.5/in']));
      expect(strokes).toHaveLength(measurableThreads(side).length);
      for (const s of strokes) expect(rows[s.row]!.pitchMm).toBeCloseTo(s.thread.pitchMm, 4);
    }
  });

  it('stays within itself however it is moved', () => {
    const figure = fc.double({ min: -200, max: 200, noNaN: true });
    fc.assert(
      fc.property(figure, figure, fc.double({ min: 0.2, max: 5, noNaN: true }), figure, (from, width, factor, by) => {
        for (const w of [
          clampWindow({ fromMm: from, toMm: from + Math.abs(width) }),
          zoomed(windowRound(20), factor),
          panned(windowRound(20), by),
        ]) {
          expect(w.fromMm).toBeGreaterThanOrEqual(WHOLE.fromMm - 1e-9);
          expect(w.toMm).toBeLessThanOrEqual(WHOLE.toMm + 1e-9);
          expect(w.toMm - w.fromMm).toBeGreaterThanOrEqual(2.5 - 1e-9);
        }
      }),
    );
  });

  it('zooms about the place under the hand', () => {
    const before = { fromMm: 10, toMm: 20 };
    const after = zoomed(before, 0.5, 12);
    expect((12 - after.fromMm) / (after.toMm - after.fromMm)).toBeCloseTo(0.2);
  });

  it('puts no name over another name or stroke of its row', () => {
    const { strokes } = mapLayout('external');
    for (const window of [WHOLE, windowRound(9.7), windowRound(14), windowRound(26)]) {
      const x = (mm: number): number => ((mm - window.fromMm) / (window.toMm - window.fromMm)) * 600;
      const seen = strokes.filter((s) => s.diameterMm >= window.fromMm && s.diameterMm <= window.toMm);
      const labels = mapLabels(seen, x, 0, 600);
      expect(labels.length).toBeGreaterThan(10);
      for (const label of labels) {
        const width = label.text.length * 6.2;
        const [from, to] = label.anchor === 'start' ? [label.x, label.x + width] : [label.x - width, label.x];
        expect(from).toBeGreaterThanOrEqual(0);
        for (const s of seen.filter((other) => other.row === label.row))
          expect(x(s.diameterMm) <= from || x(s.diameterMm) >= to).toBe(true);
      }
    }
  });

  it('names twins together', () => {
    const { strokes } = mapLayout('external');
    const window = windowRound(9.7);
    const x = (mm: number): number => ((mm - window.fromMm) / (window.toMm - window.fromMm)) * 600;
    const seen = strokes.filter((s) => s.diameterMm >= window.fromMm && s.diameterMm <= window.toMm);
    const texts = mapLabels(seen, x, 0, 600).map((l) => l.text);
    expect(texts).toContain('R, G 1/8');
    expect(texts).toContain('M10, keg');
  });

  it('finds the rows a pitch may stand for', () => {
    const { rows } = mapLayout('external');
    expect(rowsNear(rows, undefined)).toEqual({ first: 0, last: rows.length - 1 });
    const near = rowsNear(rows, 1.26)!;
    expect(rows.slice(near.first, near.last + 1).map((r) => r.label)).toEqual(['1.25', '20/in']);
    expect(rowsNear(rows, 9)).toBeNull();
  });

  it('ties a thread to its look-alikes of this side', () => {
    const { strokes } = mapLayout('external');
    const names = tiedTo('M14×1.5', strokes).map((s) => s.thread.designation);
    expect(names).toEqual(expect.arrayContaining(['9/16-18 UNF', 'G 1/4', '1/4-18 NPT']));
    expect(names).not.toContain('M14×1.5');
  });
});

describe('marks', () => {
  it.each([
    ['M14×1.5', 'M14'],
    ['9/16-18 UNF', '9/16'],
    ['1 1/16-12 UN', '1 1/16'],
    ['1/4-18 NPT', 'NPT 1/4'],
    ['1-11.5 NPSM', 'NPSM 1'],
    ['R 1/8', 'R 1/8'],
    ['M10×1 keg', 'M10 keg'],
  ])('%s is written %s on its row', (designation, short) => expect(shortName(designation)).toBe(short));

  it('have a form of their own for every system of the outside map', () => {
    const systems = [...new Set(measurableThreads('external').map((t) => parseThread(t.designation).system))];
    expect(new Set(systems.map((s) => threadMarks[s])).size).toBe(systems.length);
  });
});
