import { everyConnector, parseConnector, shapeOf, type Connector } from '../connectors/index.js';
import { mate } from '../seals/index.js';
import { placeBalloons } from './balloons.js';
import { drawBody } from './body.js';
import type { Section } from './section.js';
import { dimension } from './dimension.js';
import { drawPort } from './draw-port.js';
import { drawSeal, sealThickness } from './draw-seal.js';
import { coneOf, endSections } from './end-sections.js';
import { advance, band, pointAt, startFrame, turn } from './frame.js';
import { boundsOf, placeShapes, type AreaShape, type LineShape, type Shape } from './shape.js';
import { crossLines, hexLines } from './surface.js';

const ends: readonly Connector[] = everyConnector();
const c = parseConnector;
const areas = (shapes: readonly Shape[], fill: string) => shapes.filter((s): s is AreaShape => s.kind === 'area' && s.fill === fill);

describe('end sections', () => {
  it('follow one another along the axis, the bore inside the metal', () => {
    for (const end of ends) {
      const { body, nut } = endSections(end, 8);
      for (const list of [body, nut ?? []]) {
        list.forEach((s: Section, i) => {
          expect(s.to).toBeGreaterThan(s.from);
          expect(s.radius).toBeGreaterThan(s.bore);
          if (i > 0) expect(s.from).toBeCloseTo(list[i - 1]!.to);
        });
      }
    }
  });

  it('give a flare its 37° cone', () => {
    for (const size of ['4', '6', '10', '16']) {
      const { base, nose, length } = coneOf({ family: 'flare37', size, gender: 'male' });
      expect((Math.atan((base - nose) / length) * 180) / Math.PI).toBeCloseTo(37);
      expect(base).toBeGreaterThan(nose);
    }
  });

  it('put a nut round a female flare or swivel and nowhere else', () => {
    for (const end of ends) expect(endSections(end, 8).nut !== undefined).toBe(shapeOf(end) === 'flare' && end.gender === 'female');
  });
});

describe('drawBody', () => {
  const sections: Section[] = [
    { from: 0, to: 5, radius: 6, bore: 2, surface: 'hex' },
    { from: 5, to: 9, radius: 6, bore: 4, surface: 'hex' },
    { from: 9, to: 20, radius: 4, bore: 2, surface: 'thread', pitch: 1.5 },
  ];

  it('shows the metal above the axis and one hatched wall below it', () => {
    const shapes = drawBody(startFrame(1), sections, { hatch: 45, view: 'half' });
    const [wall, ...others] = areas(shapes, 'section');
    expect(others).toEqual([]);
    expect(wall!.hatch).toBe(45);
    expect(Math.min(...wall!.points.map(([, y]) => y))).toBeGreaterThanOrEqual(2 - 1e-9);
    for (const seen of areas(shapes, 'metal')) expect(Math.max(...seen.points.map(([, y]) => y))).toBeLessThanOrEqual(1e-9);
  });

  it('shows a nut whose bore has a step as one hex', () =>
    expect(areas(drawBody(startFrame(1), sections, { hatch: 0, view: 'upper' }), 'metal')).toHaveLength(2));

  it('is as tall above as below when seen whole', () => {
    const box = boundsOf(drawBody(startFrame(-1), sections, { hatch: 0, view: 'whole' }));
    expect(box.top).toBeCloseTo(-box.bottom);
    expect(box.left).toBeCloseTo(-20);
  });
});

describe('seals', () => {
  const seal = (a: string, b: string) => drawSeal(startFrame(1), mate(c(a), c(b)), c(a), 1, 7);

  it('sit where they seal', () => {
    expect(seal('an6 m', 'an6 f').map((s) => s.kind)).toEqual(['line']);
    expect(seal('orb6 m', 'orb6 f').map((s) => s.kind)).toEqual(['dot', 'dot']);
    expect(seal('npt 1/8 m', 'npt 1/8 f').map((s) => s.kind)).toEqual(['line', 'line']);
    expect(areas(seal('m14x1.5 m washer', 'm14x1.5 f washer'), 'copper')).toHaveLength(2);
    expect(seal('barb 3/8', 'hose 3/8')).toEqual([]);
  });

  it('know which joint they belong to', () => expect((seal('an6 m', 'an6 f')[0] as LineShape).joint).toBe(7));

  it('take room only where there is a washer', () => {
    const thickness = (a: string, b: string) => sealThickness(mate(c(a), c(b)), c(a));
    expect(thickness('m14x1.5 m washer', 'm14x1.5 f washer')).toBe(1.5);
    expect(thickness('an6 m', 'an6 f')).toBe(0);
  });
});

describe('ports', () => {
  it('are cut through on both sides, and show their own thread while empty', () => {
    const full = drawPort(startFrame(-1), c('m14x1.5 f washer'), { hatch: 45, view: 'half' });
    const empty = drawPort(startFrame(-1), c('m14x1.5 f washer'), { hatch: 45, view: 'half' }, true);
    expect(areas(full, 'component')).toHaveLength(2);
    expect(areas(empty, 'component')[0]!.points.length).toBeGreaterThan(areas(full, 'component')[0]!.points.length + 10);
  });

  it('of a male kind stand out of their component', () => {
    const box = boundsOf(drawPort(startFrame(-1), c('an6 m'), { hatch: 45, view: 'half' }));
    expect(box.right).toBeCloseTo(0);
    expect(box.left).toBeLessThan(-20);
  });
});

describe('primitives', () => {
  it('cross lines stay between their radii', () => {
    const box = boundsOf(crossLines(startFrame(1), 0, 30, 2, 6, 1.5));
    expect([box.left, box.right]).toEqual([0, 30]);
    expect(box.top).toBeGreaterThanOrEqual(-6.001);
    expect(box.bottom).toBeLessThanOrEqual(-1.999);
  });

  it('a hex has its edge at half its height', () => {
    const [edge] = hexLines(startFrame(1), { from: 0, to: 8, radius: 10, bore: 2 }, 1);
    expect(edge!.points.map(([, y]) => y)).toEqual([-5, -5]);
  });

  it('a band along a turned axis keeps its width', () => {
    const frames = [startFrame(1), advance(turn(startFrame(1), 30), 10)];
    const points = band(frames, 1, 4);
    expect(points).toHaveLength(4);
    expect(Math.hypot(points[0]![0] - points[3]![0], points[0]![1] - points[3]![1])).toBeCloseTo(3);
    expect(pointAt(frames[1]!, 0, 0)[1]).toBeCloseTo(-5);
  });

  it('a dimension too narrow for its figure puts it beside itself, on the asked side', () => {
    const at = (spill: 'left' | 'right') => dimension([100, 50], [110, 50], 80, '29.5', spill).find((s) => s.kind === 'text');
    expect(at('right')).toMatchObject({ anchor: 'start', at: [expect.any(Number), 84] });
    expect(at('left')).toMatchObject({ anchor: 'end' });
    expect(dimension([0, 50], [200, 50], 80, 'cut 600 mm').find((s) => s.kind === 'text')).toMatchObject({
      anchor: 'middle',
      at: [100, 76],
    });
  });

  it('shapes scale and shift as a whole', () => {
    const shapes: Shape[] = [
      { kind: 'dot', at: [1, 2], radius: 3, fill: 'ink' },
      { kind: 'text', at: [1, 2], text: 'a', size: 12, anchor: 'start', role: 'text' },
      { kind: 'balloon', at: [0, 0], target: [1, 1], number: 1, tone: 'sealed' },
    ];
    expect(placeShapes(shapes, 2, 10, 20)).toEqual([
      { ...shapes[0], at: [12, 24], radius: 6 },
      { ...shapes[1], at: [12, 24] },
      { ...shapes[2], at: [10, 20], target: [12, 22] },
    ]);
  });

  it('balloons of joints in one place are pushed apart and stay on the sheet', () => {
    const joint = {
      number: 1,
      id: 'a>b',
      state: 'sealed',
      way: 0,
      title: '',
      parts: ['', ''],
      mating: mate(c('an6 m'), c('an6 f')),
    } as const;
    const place = { joint, frame: startFrame(1), radius: 5 };
    const on = [1, 2, 3, 4].map((number) => ({
      place: { ...place, joint: { ...joint, number } },
      map: ([x, y]: readonly [number, number]) => [x + 200, y + 150] as const,
      scale: 1,
    }));
    const balloons = placeBalloons(on, 100, { left: 0, top: 0, right: 400, bottom: 300 });
    for (const a of balloons)
      for (const b of balloons) if (a !== b) expect(Math.hypot(a.at[0] - b.at[0], a.at[1] - b.at[1])).toBeGreaterThan(20);
    for (const { at } of balloons) expect(at[0] > 10 && at[0] < 390).toBe(true);
  });
});
