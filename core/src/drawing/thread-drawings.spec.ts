import fc from 'fast-check';
import { connectorsOf, everyConnector, families, parseConnector } from '../connectors/index.js';
import { fit, measurableThreads, parseThread, threadData, threadLibrary, threadSystem } from '../threads/index.js';
import { mate } from '../seals/index.js';
import { jointDrawing } from './joint-drawing.js';
import { boundsOf, type AreaShape, type Drawing, type TextShape } from './shape.js';
import { threadDrawing } from './thread-drawing.js';
import { insideFlanks, outsideFlanks, radiusAt } from './thread-flanks.js';
import { inWords, threadPairDrawing } from './thread-pair-drawing.js';

const size = { width: 440, height: 220 };
const texts = (d: Drawing): string[] => d.shapes.filter((s): s is TextShape => s.kind === 'text').map((s) => s.text);
const filled = (d: Drawing, fill: string): AreaShape[] => d.shapes.filter((s): s is AreaShape => s.kind === 'area' && s.fill === fill);
function staysOnSheet(d: Drawing): void {
  const box = boundsOf(d.shapes.filter((s) => s.kind !== 'text'));
  const over = [-box.left, -box.top, box.right - d.width, box.bottom - d.height];
  // what is no number is over as well
  expect(over.filter((mm) => !(mm <= 1))).toEqual([]);
}

describe('flanks', () => {
  it('run from root to crest and never out of them', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...threadLibrary.filter((t) => t.taperPerMm === 0)),
        fc.double({ min: 0, max: 10, noNaN: true }),
        (t, u) => {
          const data = threadData(t.designation);
          const outside = radiusAt(outsideFlanks(t, 12), u) * 2;
          expect(outside).toBeLessThanOrEqual(data.majorMm + 1e-6);
          expect(outside).toBeGreaterThanOrEqual(data.minorExternalMm - 1e-6);
          const inside = radiusAt(insideFlanks(t, 12), u) * 2;
          expect(inside).toBeLessThanOrEqual(data.majorMm + 1e-6);
          expect(inside).toBeGreaterThanOrEqual(data.minorInternalMm - 1e-6);
        },
      ),
    );
  });

  it('narrow with the taper: 1 in 16 over the length', () => {
    const npt = parseThread('1/2-14 NPT');
    const crest = (flanks: readonly (readonly [number, number])[], from: number, to: number): number =>
      Math.max(...flanks.filter(([u]) => u >= from && u <= to).map(([, r]) => r));
    const flanks = outsideFlanks(npt, 16);
    const { pitchMm } = npt;
    expect(crest(flanks, 0, pitchMm) * 2 - crest(flanks, 16 - pitchMm, 16) * 2).toBeCloseTo(14 / 16, 0);
  });
});

describe('the profile of a thread', () => {
  it('is drawn for every thread of either side, on its sheet, with its figures', () => {
    for (const side of ['external', 'internal'] as const)
      for (const thread of measurableThreads(side)) {
        const drawing = threadDrawing(thread, side, size, 'metric');
        staysOnSheet(drawing);
        expect(drawing.title).toContain(thread.designation);
        expect(texts(drawing)).toContain(`${threadSystem(thread.system).flankAngleDeg}°`);
      }
  });

  it('says diameters in the units of the house', () => {
    expect(texts(threadDrawing(parseThread('M14×1.5'), 'external', size, 'metric'))).toContain('pitch dia. 13.03\u2009mm');
    expect(texts(threadDrawing(parseThread('M14×1.5'), 'internal', size, 'inch'))).toContain('minor 0.4873\u2009in');
  });
});

describe('two threads over one another', () => {
  it('show what would have to give way where they bind, and nothing where they are made for each other', () => {
    const clash = (a: string, b: string) => filled(threadPairDrawing(parseThread(a), parseThread(b), size), 'clash').length;
    expect(clash('M14×1.5', '9/16-18')).toBeGreaterThan(0);
    expect(clash('R 1/8', 'NPT 1/8')).toBeGreaterThan(0);
    expect(clash('M14×1.5', 'M14×1.5')).toBe(0);
    expect(clash('9/16-18', '9/16-18')).toBe(0);
  });

  it('meet just where the fit says they bind', () => {
    const [a, b] = [parseThread('M14×1.5'), parseThread('9/16-18')];
    const drawing = threadPairDrawing(a, b, size);
    const { turnsToBind } = fit(a, b);
    expect(texts(drawing)).toContain(`${turnsToBind!.toFixed(1)} turns`);
    const first = Math.min(...filled(drawing, 'clash').flatMap((area) => area.points.map(([x]) => x)));
    const mark = drawing.shapes.flatMap((s) => (s.kind === 'line' && s.stroke === 'dimension' ? s.points.map(([x]) => x) : []));
    const [from, to] = [Math.min(...mark), Math.max(...mark)];
    expect((first - from) / (to - from)).toBeGreaterThan(0.75);
    expect((first - from) / (to - from)).toBeLessThan(1.15);
  });

  it('are drawn for any two, on the sheet', () => {
    fc.assert(
      fc.property(fc.constantFrom(...threadLibrary), fc.constantFrom(...threadLibrary), (a, b) => {
        const drawing = threadPairDrawing(a, b, size);
        staysOnSheet(drawing);
        expect(drawing.title).toContain(a.designation);
        expect(inWords(fit(a, b)).length).toBeGreaterThan(15);
      }),
      { numRuns: 300 },
    );
  });
});

describe('two connectors in section', () => {
  it('are drawn for any two of the library, on the sheet', () => {
    const all = everyConnector();
    fc.assert(
      fc.property(fc.constantFrom(...all), fc.constantFrom(...all), (a, b) => {
        const drawing = jointDrawing(a, b, size);
        expect(drawing.shapes.length).toBeGreaterThan(3);
        staysOnSheet(drawing);
      }),
      { numRuns: 500 },
    );
  });

  it('are drawn for every kind of pair that seals', () => {
    const kinds = families.flatMap((f) => connectorsOf({ ...f, sizes: f.sizes.slice(-1) }));
    const pairs = kinds.flatMap((a) => kinds.map((b) => [a, b] as const)).filter(([a, b]) => mate(a, b).outcome === 'seals');
    expect(pairs.length).toBeGreaterThan(50);
    for (const [a, b] of pairs) expect(jointDrawing(a, b, size).shapes.length).toBeGreaterThan(3);
  });

  it('are drawn for every pair that seals on a cone: its angle is known', () => {
    const all = everyConnector().filter((c) => ['1/4', '6', 'M16x1.5', '3/16', 'M10x1'].includes(c.size));
    const pairs = all.flatMap((a) => all.map((b) => [a, b] as const)).filter(([a, b]) => mate(a, b).kind === 'cone');
    expect(pairs.length).toBeGreaterThan(20);
    for (const [a, b] of pairs) expect(jointDrawing(a, b, size).shapes.length).toBeGreaterThan(3);
  });

  it('show what seals: ring, washer, gasket, and nothing where nothing does', () => {
    const drawn = (a: string, b: string) => jointDrawing(parseConnector(a), parseConnector(b), size);
    expect(drawn('orb6 m', 'orb6 f').shapes.some((s) => s.kind === 'dot' && s.fill === 'ring')).toBe(true);
    expect(filled(drawn('g 1/4 m washer', 'g 1/4 f'), 'copper')).toHaveLength(2);
    expect(filled(drawn('post m20x1.5 m', 'post m20x1.5 f'), 'ring')).toHaveLength(2);
    expect(filled(drawn('bulkhead an10 m', 'bulkhead an10 f'), 'copper').length).toBeGreaterThanOrEqual(2);
    expect(drawn('an6 m', 'orb6 f').shapes.some((s) => s.kind === 'dot' && s.fill === 'ring')).toBe(false);
  });

  it('stand further out the sooner they bind', () => {
    const width = (a: string, b: string): number => {
      const { shapes } = jointDrawing(parseConnector(a), parseConnector(b), size);
      const box = boundsOf(shapes);
      return (box.right - box.left) / (box.bottom - box.top);
    };
    expect(width('m14x1.5 m washer', 'orb6 f')).toBeGreaterThan(width('orb6 m', 'orb6 f'));
  });
});
