import { flowFindings } from '../../testing/judged.js';
import fc from 'fast-check';
import { catalogue } from '../../testing/sample-job.js';
import { flowJob, running } from '../../testing/flow-job.js';
import { parseConnector } from '../connectors/index.js';
import { standardFittings } from '../fittings/index.js';
import { fluids } from '../fluids/index.js';
import { componentFlowProblem, runningProblem } from '../job/index.js';
import {
  alongHose,
  bypassFilter,
  couplerHold,
  downDrain,
  flowAtLoss,
  FlowFigureError,
  flowThroughHoles,
  fluidProperties,
  holeLossBar,
  lossBarAlong,
  oilOf,
  restrictorFlow,
  restrictorForTurbo,
  sizeLine,
  stepUps,
  throughHole,
  turboNeeds,
} from './index.js';
import { inHouseUnits } from '../units/index.js';

const oil = oilOf({ grade: '10w40' });
const hot = fluidProperties('engine oil', { tempC: 120, oil });

describe('what runs', () => {
  it('has its figures, thinner and lighter the hotter; what is refused has none', () => {
    for (const { id, refused } of fluids) {
      const at = (tempC: number) => fluidProperties(id, { tempC, oil });
      if (refused) expect(() => at(20)).toThrow(FlowFigureError);
      else {
        const [cold, warm] = [at(0), at(60)];
        expect(warm.densityKgM3).toBeLessThan(cold.densityKgM3);
        // air thickens with heat, all else thins
        if (id === 'air' || id === 'vacuum') expect(warm.viscosityCst).toBeGreaterThan(cold.viscosityCst);
        else expect(warm.viscosityCst).toBeLessThan(cold.viscosityCst);
        expect(warm.source.length).toBeGreaterThan(5);
      }
    }
  });

  it('says where it reaches beyond its source, and needs its oil', () => {
    expect(hot.beyond).toBeUndefined();
    expect(fluidProperties('engine oil', { tempC: -25, oil }).beyond).toMatch(/drawn on/);
    expect(inHouseUnits(fluidProperties('coolant', { tempC: 130 }).beyond!, 'metric')).toMatch(/those of 100 °C are taken/);
    expect(() => fluidProperties('engine oil', { tempC: 20 })).toThrow(/Which oil/);
    expect(() => fluidProperties('petrol', { tempC: Number.NaN })).toThrow(FlowFigureError);
    expect(() => oilOf({ grade: '7w3' as never })).toThrow(RangeError);
    expect(oilOf({ name: 'own', v40: 100, v100: 14, density15: 860 }).v100).toBe(14);
  });

  it('is held against what cannot be, at every door', () => {
    expect(runningProblem(running)).toBeUndefined();
    const crossed = { oil: { name: 'x', v40: 14, v100: 96, density15: 860 } };
    expect(runningProblem(crossed)).toEqual({ field: 'oil', message: expect.stringMatching(/may be crossed/) });
    expect(runningProblem({ coldC: 90, hottestC: 80 })!.field).toBe('coldC');
    expect(runningProblem({ idleBar: 5, fullBar: 4 })!.field).toBe('idleBar');
    expect(runningProblem({ idleRevs: 7000, mostRevs: 6000 })!.field).toBe('idleRevs');
    expect(componentFlowProblem({ takesBar: 0.3 })!.field).toBe('atLpm');
    expect(componentFlowProblem({ atLpm: 30 })!.field).toBe('takesBar');
    expect(componentFlowProblem({ takesBar: 0.3, atLpm: 30, holdsL: 1 })).toBeUndefined();
  });
});

describe('a flow by its loss', () => {
  it('is found for any curve between straight and square', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 1e-4, max: 50, noNaN: true }),
        fc.double({ min: 1, max: 2, noNaN: true }),
        fc.double({ min: 1e-3, max: 400, noNaN: true }),
        (k, power, bar) => {
          const loss = (q: number): number => k * q ** power;
          expect(loss(flowAtLoss(loss, bar)) / bar).toBeCloseTo(1, 4);
        },
      ),
    ));
  it('is nothing without pressure', () => expect([flowAtLoss((q) => q, 0), flowAtLoss((q) => q, -1)]).toEqual([0, 0]));
});

describe('turbo, bypass filter', () => {
  it('a restrictor for a flow gives that flow with the line and the bearings behind it', () => {
    const bore = restrictorForTurbo('ball', 0.8, 4, 0.1, hot);
    const all = 0.1 + holeLossBar(bore, { ...hot, flowLpm: 0.8 }) + lossBarAlong(turboNeeds.ball.bearings, { ...hot, flowLpm: 0.8 });
    expect(all).toBeCloseTo(4, 3);
    expect(() => restrictorForTurbo('ball', 8, 2, 0.1, hot)).toThrow(/even without a restrictor/);
    expect(flowThroughHoles([1.2], 3, hot)).toBeCloseTo(restrictorFlow({ boreMm: 1.2, dropBar: 3, ...hot }), 4);
  });

  it('a bypass filter passes the sump in so many minutes, and takes a share of the pump', () => {
    const found = bypassFilter({ orificeMm: 2, idleBar: 1.5, fullBar: 4, fluid: hot, sumpL: 6, pumpLpm: 40, pumpIdleLpm: 8 });
    expect(found.onceMin![1]).toBeCloseTo(6 / found.fullLpm, 9);
    expect(found.shareIdle).toBeCloseTo(found.idleLpm / 8, 9);
    expect([found.much, found.tooMuch]).toEqual([true, false]);
    expect(bypassFilter({ orificeMm: 0.8, idleBar: 1, fullBar: 4, fluid: hot })).toMatchObject({ tooMuch: false });
    expect(() => bypassFilter({ orificeMm: 0, idleBar: 1, fullBar: 4, fluid: hot })).toThrow(FlowFigureError);
    const rules = (restrictorMm: number) => {
      const q = flowJob({ block: 'block', filter: 'filter' }, [
        { from: 'block.1', to: 'filter.1', service: 'bypass-feed', hose: 'ptfe-4', flow: { restrictorMm } },
      ]);
      return flowFindings(sizeLine(q.job.lines[0]!, q), q).map((f) => f.rule);
    };
    expect(rules(3)).toContain('bypass-takes-too-much');
    expect(rules(0.8).filter((rule) => rule.startsWith('bypass-takes'))).toEqual([]);
  });
});

describe('hose that is clamped', () => {
  it('stays on a pipe without a bead only as long as friction holds more than twice the boost', () => {
    const joint = { pipeMm: 63.5, insertedMm: 45, bandMm: 19, bandPullN: 4000, beaded: false, oily: true, boostBar: 1.5 };
    // 0.06·2π·4000 N over π/4·0.0635² m²: 4.76 bar
    expect(couplerHold(joint).offBar).toBeCloseTo(4.76, 2);
    expect(couplerHold(joint).holds).toBe(true);
    expect(couplerHold({ ...joint, boostBar: 2.5 })).toMatchObject({ holds: false, words: expect.stringMatching(/roll a bead/) });
    expect(couplerHold({ ...joint, boostBar: 2.5, beaded: true }).holds).toBe(true);
    expect(couplerHold({ ...joint, insertedMm: 20, beaded: true })).toMatchObject({ holds: false, minInsertedMm: 43 });
    expect(() => couplerHold({ ...joint, pipeMm: 0 })).toThrow(FlowFigureError);
  });

  it('steps from one pipe to a wider one in one coupler or two hoses, each joint counted', () => {
    const of = (a: string, b: string) => stepUps(parseConnector(a), parseConnector(b), standardFittings());
    expect(of('bead 2', 'bead 2 1/2')[0]).toMatchObject({ how: 'one coupler that steps', joints: 2 });
    expect(of('barb 3/8', 'barb 5/8')[0]).toMatchObject({ how: 'two hoses and a reducer between', joints: 4 });
    expect([of('bead 2', 'bead 2'), of('an6 m', 'bead 2')]).toEqual([[], []]);
  });

  it('of a brake booster needs its valve, and a valve its direction', () => {
    const rulesOf = (fittings: { id: string; inEnd: number; outEnd: number }[], [from, to] = ['booster.1', 'block.1']) => {
      const q = flowJob({ booster: 'other', block: 'block' }, [{ from, to, service: 'brake-booster', hose: 'ptfe-6', change: {} }]);
      const [line] = q.job.lines;
      const placed = fittings.map((f) => ({ key: f.id, ...f, fitting: standardFittings().find((s) => s.id === f.id)! }));
      const ways = line!.ways.map((way, i) => (i === 0 ? { ...way, fittings: [...way.fittings!, ...placed] } : way));
      return flowFindings(sizeLine({ ...line!, ways }, q), q).map((f) => f.rule);
    };
    const valve = standardFittings().find((f) => f.name === 'Check valve, an6 m to an6 m')!.id;
    expect(rulesOf([])).toContain('booster-without-valve');
    expect(rulesOf([{ id: valve, inEnd: 0, outEnd: 1 }])).toEqual([]);
    expect(rulesOf([{ id: valve, inEnd: 1, outEnd: 0 }])).toEqual(['valve-against-flow']);
    // whichever way the line was drawn
    expect(rulesOf([{ id: valve, inEnd: 0, outEnd: 1 }], ['block.1', 'booster.1'])).toEqual(['valve-against-flow']);
    expect(rulesOf([{ id: valve, inEnd: 1, outEnd: 0 }], ['block.1', 'booster.1'])).toEqual([]);
  });
});

describe('one question without a job', () => {
  const grade = { grade: '10w40' as const };
  it('is answered with its working', () => {
    const hole = throughHole({ boreMm: 1.2, dropBar: 3, oil: grade }, 120);
    expect(hole.value).toBeCloseTo(restrictorFlow({ boreMm: 1.2, dropBar: 3, ...hot }), 9);
    const drain = downDrain({ boreMm: 12.7, fallMm: 150, lengthMm: 400, oil: grade, filling: 0.5, froth: 2 }, 100);
    expect(drain.value).toBeGreaterThan(1);
    // 150 over 400 mm are 22°
    expect(drain.note).toMatch(/running full, 22° of fall$/);
    const hose = alongHose({ boreMm: 10.3, lengthMm: 3000, flowLpm: 20, oil: grade }, 100);
    expect(hose).toMatchObject({ unit: 'bar', note: expect.stringMatching(/^.4\.0 m\/s., Re \d+, /) });
    for (const { working } of [hole, drain, hose]) {
      expect(working.steps.length).toBeGreaterThan(3);
      expect(working.sources[0]).toMatch(/ASTM D341/);
    }
  });
  it('is refused for what cannot be', () => {
    expect(() => throughHole({ boreMm: 0, dropBar: 3, oil: grade }, 120)).toThrow(FlowFigureError);
    expect(() => downDrain({ boreMm: 12.7, fallMm: -10, lengthMm: 400, oil: grade, filling: 0.5, froth: 2 }, 100)).toThrow(/does not fall/);
    expect(() => alongHose({ boreMm: 10.3, lengthMm: 3000, flowLpm: 'much' as never, oil: grade }, 100)).toThrow(FlowFigureError);
  });
});
