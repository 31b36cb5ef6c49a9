import fc from 'fast-check';
import { catalogue, document, drain, feed, withPiece, withWay } from '../../testing/sample-job.js';
import { services } from '../job/index.js';
import { assembleLine } from '../lines/index.js';
import {
  deratedBar,
  dischargeCoefficient,
  drainCapacity,
  figuresOf,
  FlowFigureError,
  kinematicViscosity,
  lineLoss,
  restrictorFlow,
  restrictorFor,
  selectHose,
  serviceFigures,
  wetted,
} from './index.js';
import { oilDensity, oils } from '../fluids/index.js';
import { inHouseUnits } from '../units/index.js';

const oil = oils.find((o) => o.id === '10w60')!;
const at = (tempC: number, flowLpm = 3) => ({ flowLpm, viscosityCst: kinematicViscosity(oil, tempC), densityKgM3: oilDensity(oil, tempC) });
const assemble = (line = feed) => assembleLine(line, document, catalogue);

describe('the loss of a whole line', () => {
  it('names every hose, end and fitting from port A to port B, with what comes in and goes out', () => {
    const { elements, lossBar, worst, unknown } = lineLoss(assemble(), at(120))!;
    expect(elements.map((e) => e.kind)).toEqual(['mouth', 'fitting', 'hose end', 'hose', 'hose end', 'fitting', 'mouth']);
    expect(elements.reduce((sum, e) => sum + e.lossBar, 0)).toBeCloseTo(lossBar, 12);
    expect(worst.lossBar).toBe(Math.max(...elements.map((e) => e.lossBar)));
    expect(elements.find((e) => e.kind === 'hose')).toMatchObject({ piece: 'p1', boreMm: 7.9 });
    expect(unknown).toEqual([]);
  });

  it('rises with the flow, and with the cold', () => {
    const line = assemble();
    fc.assert(
      fc.property(fc.double({ min: 0.1, max: 20, noNaN: true }), fc.integer({ min: -20, max: 130 }), (flow, temp) => {
        const loss = lineLoss(line, at(temp, flow))!.lossBar;
        expect(lineLoss(line, at(temp, flow * 1.2))!.lossBar).toBeGreaterThan(loss);
        expect(loss).toBeGreaterThan(0);
      }),
    );
    expect(lineLoss(line, at(-10))!.lossBar).toBeGreaterThan(5 * lineLoss(line, at(100))!.lossBar);
  });

  it('is less through a wider hose, and more through an elbow', () => {
    const narrow = lineLoss(assemble(), at(20))!;
    const wide = lineLoss(assemble(withPiece(feed, { hose: 'hose-ptfe-8', endA: 'end-ptfe-8-0', endB: 'end-ptfe-8-45' })), at(20))!;
    expect(wide.lossBar).toBeLessThan(narrow.lossBar);
    const elbow = withWay(feed, 0, [{ id: 'banjom14x1.5+an6m@90', inEnd: 0, outEnd: 1 }]);
    expect(assemble(elbow).ways[0]!.fittings).toHaveLength(1);
    expect(lineLoss(assemble(elbow), at(100, 20))!.lossBar).toBeGreaterThan(lineLoss(assemble(), at(100, 20))!.lossBar);
  });

  it('is not reckoned while something is open, nor without flow', () => {
    expect(lineLoss(assemble(withWay(feed, 0, null)), at(100))).toBeUndefined();
    expect(lineLoss(assemble(withPiece(feed, { length: null })), at(100))).toBeUndefined();
    expect(() => lineLoss(assemble(), at(100, 0))).toThrow(FlowFigureError);
  });
});

describe('a drilled restrictor', () => {
  const hot = { dropBar: 4, viscosityCst: 9, densityKgM3: 790 };

  it('passes what an orifice does where the flow is turbulent, and less where the oil is thick', () => {
    const flow = restrictorFlow({ ...hot, boreMm: 1.2 });
    const ideal = (Math.PI / 4) * 0.0012 ** 2 * Math.sqrt((2 * 4e5) / 790) * 60_000;
    expect(flow / ideal).toBeGreaterThan(0.6);
    expect(flow / ideal).toBeLessThan(0.7);
    expect(restrictorFlow({ ...hot, boreMm: 1.2, viscosityCst: 900 })).toBeLessThan(0.6 * flow);
    expect([dischargeCoefficient(0), dischargeCoefficient(-1)]).toEqual([0, 0]);
  });

  it('is found by its flow again', () =>
    fc.assert(
      fc.property(fc.double({ min: 0.5, max: 5, noNaN: true }), fc.double({ min: 5, max: 500, noNaN: true }), (boreMm, viscosityCst) => {
        const flow = restrictorFlow({ ...hot, boreMm, viscosityCst });
        expect(restrictorFor(flow, { ...hot, viscosityCst })).toBeCloseTo(boreMm, 4);
      }),
    ));

  it('is refused without figures, and where no bore does', () => {
    expect(() => restrictorFlow({ ...hot, boreMm: 0 })).toThrow(FlowFigureError);
    expect(() => restrictorFor(1e6, hot)).toThrow(/No bore/);
    expect(() => restrictorFor(0, hot)).toThrow(FlowFigureError);
  });
});

describe('a drain by gravity', () => {
  const drainOf = (more: object = {}) =>
    drainCapacity({ boreMm: 12.7, fallMm: 200, lengthMm: 400, viscosityCst: 12, densityKgM3: 800, ...more });

  it('carries less the thicker the oil, the flatter it lies and the more it froths', () => {
    const base = drainOf().oilLpm;
    expect(drainOf({ viscosityCst: 500 }).oilLpm).toBeLessThan(base / 3);
    expect(drainOf({ fallMm: 50 }).oilLpm).toBeLessThan(base);
    expect(drainOf({ froth: 3 }).oilLpm).toBeLessThan(drainOf({ froth: 2 }).oilLpm);
    expect(drainOf({ boreMm: 15.9 }).oilLpm).toBeGreaterThan(base);
    // froth and all it carries what a turbo on ball bearings is fed, and not every journal's
    expect(base).toBeGreaterThan(1);
    expect(base).toBeLessThan(3);
  });

  it('half full has the hydraulic diameter of the whole bore, and half its area', () => {
    const { areaM2, hydraulicM } = wetted(0.02, 0.5);
    expect(areaM2).toBeCloseTo((Math.PI / 8) * 0.02 ** 2, 12);
    expect(hydraulicM).toBeCloseTo(0.02, 12);
  });

  it.each([{ fallMm: 0 }, { lengthMm: 100 }, { boreMm: 0 }, { filling: 0 }, { filling: 1.2 }, { froth: 0.5 }])('is refused for %j', (bad) =>
    expect(() => drainOf(bad)).toThrow(FlowFigureError),
  );
});

describe('services', () => {
  it('have their figures, each with its source, in constructions and sizes that exist', () => {
    expect(serviceFigures.map((f) => f.service).sort()).toEqual(services.map((s) => s.id).sort());
    for (const { usual, dashes, source, service } of serviceFigures) {
      expect(source.length).toBeGreaterThan(5);
      for (const construction of usual) expect(catalogue.hoses.some((h) => h.construction === construction)).toBe(true);
      expect(dashes[0]).toBeLessThan(dashes[1]);
      expect(figuresOf(service).service).toBe(service);
    }
    expect(() => figuresOf('steam' as never)).toThrow(RangeError);
  });

  it('keep their limits in the sample: the feed of 3 L/min, hot', () => {
    const { maxMs, maxLossBar } = figuresOf('turbo-feed');
    const { fastestMs, lossBar } = lineLoss(assemble(), at(120))!;
    expect(fastestMs).toBeLessThan(maxMs!);
    expect(lossBar).toBeLessThan(maxLossBar!);
    expect(drain.service).toBe('turbo-drain');
  });
});

describe('the choice of a hose', () => {
  const duty = { fluid: 'engine oil', pressureBar: 6, hottestC: 140, coldestC: -20 } as const;
  const reasons = (id: string, more: object = {}) =>
    selectHose({ ...duty, ...more }, catalogue.hoses).find((v) => v.hose.id === id)!.refusals;

  it('takes those that bear it, as the house prefers them, narrow ones first', () => {
    const found = selectHose({ ...duty, preferred: ['crimped-ptfe', 'ptfe'], leastBoreMm: 7 }, catalogue.hoses).filter(
      (v) => v.refusals.length === 0,
    );
    expect(found[0]!.hose.id).toBe('hose-crimped-ptfe-6');
    expect(found.find((v) => v.hose.construction === 'ptfe')!.hose.id).toBe('hose-ptfe-6');
    for (const { bearsBar, proofBar, burstBar, hose } of found) {
      expect(bearsBar).toBeGreaterThanOrEqual(6);
      expect([proofBar, burstBar]).toEqual([2 * hose.workingBar, 4 * hose.workingBar]);
    }
  });

  it.each([
    ['hose-coolant-10', {}, /not made for engine oil/],
    ['hose-truck-6', {}, /bears 100 °C, and it gets to 140/],
    ['hose-ptfe-6', { fluid: 'petrol', hottestC: 60 }, /plain core is charged by fuel/],
    ['hose-ptfe-fuel-6', { fluid: 'brake fluid', hottestC: 60 }, /not made for brake fluid/],
    ['hose-pushon-6', { coldestC: -50 }, /good to -40 °C/],
    ['hose-oil-20', { hottestC: 100 }, /at 100 °C it bears 3 bar, and 6 bar/],
    ['hose-pushon-16', { hottestC: 90, suckedBar: 0.6 }, /collapses: sucked by 0.6 bar/],
    ['hose-ptfe-10', { bendMm: 90 }, /bends at 165 mm, and the route asks for 90/],
    ['hose-ptfe-4', { leastBoreMm: 7 }, /bore is 4.8 mm/],
  ])('refuses %s for %j, with the reason', (id, more, reason) =>
    expect(inHouseUnits(reasons(id, more).join('; '), 'metric')).toMatch(reason),
  );

  it('bears less the hotter it gets, and nothing beyond its span', () => {
    for (const hose of catalogue.hoses) {
      const bars = [20, 60, 100, 140, 180, 220, 260].map((t) => deratedBar(hose, t));
      expect(bars).toEqual([...bars].sort((a, b) => b - a));
      expect(deratedBar(hose, 20)).toBe(hose.workingBar);
      expect(deratedBar(hose, hose.maxTempC)).toBeGreaterThan(0);
      expect(deratedBar(hose, hose.maxTempC + 1)).toBe(0);
    }
  });
});
