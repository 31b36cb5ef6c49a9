import fc from 'fast-check';
import { bodies, plate } from '../../testing/sample-bodies.js';
import { feed, jobOf, withWay } from '../../testing/sample-job.js';
import { dot, lengthBetween, plus, scaled, standardFittings, turnBetween, type EndFrame, type Fitting } from '../fittings/index.js';
import { placedEnds, wayFrames } from './index.js';

const start: EndFrame = { origin: [0, 0, 0], axis: [1, 0, 0], up: [0, 0, 1] };
const parts = [...standardFittings(), ...bodies].filter((f) => f.ends.length > 1);
const placed = fc
  .constantFrom(...parts)
  .chain((fitting) =>
    fc
      .uniqueArray(fc.integer({ min: 0, max: fitting.ends.length - 1 }), { minLength: 2, maxLength: 2 })
      .map(([inEnd, outEnd]) => ({ fitting, inEnd: inEnd!, outEnd: outEnd! })),
  );

describe('parts placed along a way', () => {
  it('meet what is before them face to face, and turn the way as they turn', () =>
    fc.assert(
      fc.property(fc.array(placed, { minLength: 1, maxLength: 5 }), (way) => {
        let here = start;
        for (const part of way) {
          const ends = placedEnds(here, part);
          const [inner, outer] = [ends[part.inEnd]!, ends[part.outEnd]!];
          expect(Math.hypot(...plus(inner.origin, scaled(here.origin, -1)))).toBeCloseTo(0, 6);
          expect(dot(inner.axis, here.axis)).toBeCloseTo(-1, 6);
          expect(dot(outer.axis, outer.up)).toBeCloseTo(0, 6);
          const turned = (Math.acos(Math.max(-1, Math.min(1, dot(outer.axis, here.axis)))) * 180) / Math.PI;
          expect(turned).toBeCloseTo(turnBetween(part.fitting, part.inEnd, part.outEnd), 1);
          here = outer;
        }
      }),
    ));

  it('that run straight lie one behind the other by their stack', () => {
    const straight = (f: Fitting): boolean => f.ends.length === 2 && !f.angleDeg && !f.legsMm && f.kind !== 'cooler';
    fc.assert(
      fc.property(fc.array(fc.constantFrom(...parts.filter(straight)), { minLength: 1, maxLength: 5 }), (way) => {
        const end = way.reduce((here, fitting) => placedEnds(here, { fitting, inEnd: 0, outEnd: 1 })[1]!, start);
        expect(end.origin[0]).toBeCloseTo(
          way.reduce((sum, f) => sum + lengthBetween(f, 0, 1), 0),
          // lists keep hundredths
          1,
        );
      }),
    );
  });

  it('give every joint of the way its frame, those of its branches too', () => {
    const tee = { id: 'm14x1.5mwasher+m14x1.5fwasher+m14x1.5fwasher', inEnd: 0, outEnd: 1 };
    const line = withWay(feed, 0, [tee], [{ at: 0, end: 2, to: 'plug', fittings: [{ id: 'm14x1.5mwasher', inEnd: 0, outEnd: 0 }] }]);
    const { ways, joints } = jobOf([line]).lines[0]!;
    const frames = wayFrames(line, ways[0]!);
    expect([...frames.keys()].sort()).toEqual(
      joints
        .filter((j) => j.way === 0)
        .map((j) => j.id)
        .sort(),
    );
    const branch = frames.get('0m.2>0n')!;
    expect(dot(branch.axis, start.axis)).toBeCloseTo(0);
    expect(wayFrames(line, { ...ways[0]!, fittings: undefined as never }).size).toBe(0);
    expect(placedEnds(start, { fitting: plate, inEnd: 0, outEnd: 1 })[1]!.origin[0]).toBeCloseTo(32);
  });
});
