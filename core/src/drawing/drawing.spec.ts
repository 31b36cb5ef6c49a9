import { breather, catalogue, document, drain, feed, withAngle, withPiece, withWay } from '../../testing/sample-job.js';
import { parseConnector } from '../connectors/index.js';
import { hoseEndProblem } from '../hose/index.js';
import { assembleLine } from '../lines/index.js';
import { bendFrames, inclination, pointAt, startFrame, turn } from './frame.js';
import {
  boundsOf,
  componentDrawing,
  fittingDrawing,
  hoseEndDrawing,
  pieceDrawing,
  portDrawing,
  runSheet,
  wayStrip,
  type BalloonShape,
  type Drawing,
  type TextShape,
} from './index.js';
import { threadProfile } from './surface.js';

const options = { width: 780, height: 362, jobNumber: '2403', system: 'metric' as const };
const sheetOf = (l = feed): Drawing => runSheet(assembleLine(l, document, catalogue), options);
const open = (l: typeof feed) => withWay(withWay(l, 0, null), 1, null);
const texts = (d: Drawing): string[] => d.shapes.filter((s): s is TextShape => s.kind === 'text').map((s) => s.text);
const balloons = (d: Drawing): BalloonShape[] => d.shapes.filter((s): s is BalloonShape => s.kind === 'balloon');

function expectInside(d: Drawing): void {
  const box = boundsOf(d.shapes);
  expect(box.left).toBeGreaterThanOrEqual(0);
  expect(box.top).toBeGreaterThanOrEqual(0);
  expect(box.right).toBeLessThanOrEqual(d.width);
  expect(box.bottom).toBeLessThanOrEqual(d.height);
}

describe('frames', () => {
  it('have the seen half upwards on both sides', () => {
    expect(pointAt(startFrame(1), 10, 5)).toEqual([10, -5]);
    const [x, y] = pointAt(startFrame(-1), 10, 5);
    expect([x, Math.round(y)]).toEqual([-10, -5]);
  });

  it('bend on a circle and end turned by the angle', () => {
    for (const side of [1, -1] as const) {
      const frames = bendFrames(startFrame(side), 20, 90);
      const last = frames[frames.length - 1]!;
      expect(Math.abs(last.x)).toBeCloseTo(20);
      expect(last.y).toBeCloseTo(-20);
      expect(inclination(last)).toBeCloseTo(90);
      for (const f of frames) expect(Math.hypot(f.x, f.y + 20)).toBeCloseTo(20);
    }
    expect(inclination(turn(turn(startFrame(1), 45), -45))).toBeCloseTo(0);
  });
});

describe('runSheet', () => {
  it.each([
    ['a feed with a 45° end', feed],
    ['a drain with bent ends on both sides', drain],
    ['a breather clamped over barbs', breather],
    ['a line with nothing chosen', withPiece(open(feed), { hose: null, endA: null, endB: null, length: null })],
    ['a line with no ways', open(feed)],
    ['180° ends', withAngle(withAngle(feed, 'A', 180), 'B', 150)],
  ])('keeps %s on the sheet', (_, l) => expectInside(sheetOf(l)));

  it('ties one balloon to every joint, none on top of another', () => {
    const found = balloons(sheetOf(drain));
    expect(found.map((b) => b.number).sort()).toEqual([1, 2, 3, 4, 5, 6]);
    for (const a of found) for (const b of found) if (a !== b) expect(Math.hypot(a.at[0] - b.at[0], a.at[1] - b.at[1])).toBeGreaterThan(22);
  });

  it('marks a joint that does not seal, in balloon and title block', () => {
    const wrong = withWay(feed, 1, [{ id: 'orb4m+an6m', inEnd: 1, outEnd: 0 }]);
    const drawing = sheetOf(wrong);
    expect(balloons(drawing).find((b) => b.number === 6)!.tone).toBe('leaks');
    expect(drawing.shapes.find((s) => s.kind === 'text' && s.role === 'leak')).toMatchObject({ text: '5' });
  });

  it('carries number, lengths and an account in words', () => {
    const drawing = sheetOf();
    expect(texts(drawing)).toEqual(expect.arrayContaining(['L1 · Line 1', '2403 · L1', 'rev 3']));
    expect(texts(drawing).some((t) => /^cut \d+/.test(t))).toBe(true);
    expect(texts(drawing).some((t) => /taped 664/.test(t))).toBe(true);
    expect(drawing.title).toMatch(/6 joints, 6 seal/);
  });

  it('draws every part at one scale: the two ends of the hose have the same socket', () => {
    const assembled = assembleLine(withAngle(feed, 'B', 0), document, catalogue);
    const drawing = pieceDrawing(assembled, assembled.pieces[0]!, options);
    const box = boundsOf(drawing.shapes);
    expect(box.left + box.right).toBeCloseTo(780, 0);
  });

  it('speaks inches when the house does', () =>
    expect(
      runSheet(assembleLine(feed, document, catalogue), { ...options, system: 'inch' }).shapes.some(
        (s) => s.kind === 'text' && /cut .* in$/.test(s.text.replace(/\u2009/g, ' ')),
      ),
    ).toBe(true));
});

describe('small drawings', () => {
  const size = { width: 180, height: 60 };

  it('fit adapters and hose ends of every kind in the catalogue', () => {
    // each kind, construction, connector and angle comes up among a sixth of them
    const sixth = <T>(list: readonly T[]): T[] => list.filter((_, i) => i % 6 === 0);
    for (const f of sixth(catalogue.fittings)) expectInside(fittingDrawing(f, size));
    for (const e of sixth(catalogue.hoseEnds))
      expectInside(
        hoseEndDrawing(
          e,
          catalogue.hoses.find((h) => hoseEndProblem(e, h) === undefined),
          size,
        ),
      );
  });

  it('fit ports, components and ways', () => {
    for (const notation of ['npt 1/8 f', 'm14x1.5 f washer', 'm18x1.5 f oring', 'orb16 f', 'an6 m', 'barb 3/8', 'orb6 m', 'hose 3/8'])
      expectInside(portDrawing(parseConnector(notation), size));
    expectInside(componentDrawing(document.components[0]!, document.ports.slice(0, 5), { width: 400, height: 430 }));
    const chain = [{ fitting: catalogue.fittings.find((f) => f.id === 'npt1/4m+an6m@90')!, inEnd: 0, outEnd: 1 }];
    expectInside(wayStrip({ fittings: chain }, [{}, { hoseEnd: catalogue.hoseEnds[0]!, hose: catalogue.hoses[0]! }], size, 'way'));
  });
});

describe('threadProfile', () => {
  it('has one tooth a pitch and reaches from root to crest', () => {
    const points = threadProfile({ from: 0, to: 12, radius: 7, pitch: 1.5 });
    expect(points.filter(([, r]) => r === 7).length).toBe(16); // two crest corners a tooth
    expect(Math.min(...points.map(([, r]) => r))).toBeCloseTo(7 - 0.6134 * 1.5);
  });
});
