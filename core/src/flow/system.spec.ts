import { flowJob, running } from '../../testing/flow-job.js';
import {
  coolerOfJob,
  coolerNeed,
  oilVolume,
  systemOf,
  warmUpMinutes,
  takenBarAt,
  openShare,
  FlowFigureError,
  type JobSystem,
} from './index.js';

const flows = (s: JobSystem): (number | undefined)[] =>
  s.lines.map((l) => (l.flowLpm === undefined ? undefined : Math.round(l.flowLpm * 100) / 100));

const circuit = (flow: object = {}) =>
  flowJob(
    {
      pump: 'pump',
      filter: { kind: 'filter head', flow: { takesBar: 0.3, atLpm: 35 } },
      cooler: { kind: 'cooler', flow: { holdsL: 0.8, coolsWPerK: 250, ...flow } },
      block: 'block',
    },
    [
      { from: 'pump.1', to: 'filter.1', service: 'filter' },
      { from: 'filter.2', to: 'cooler.1', service: 'cooler' },
      { from: 'cooler.2', to: 'block.1', service: 'cooler-back' },
    ],
  );

describe('the flow of a whole job', () => {
  it('goes round a circuit: what the pump gives in every line, the pressure falling to nothing at its end, cooler behind the cooler', () => {
    const s = systemOf(circuit(), 'hottest', 'hot');
    expect(flows(s)).toEqual([35, 35, 35]);
    const [a, b, c] = s.lines;
    // each begins where the one before ended, less what the filter takes
    expect(a!.bars![1] - b!.bars![0]).toBeCloseTo(0.3, 2);
    expect(c!.bars![1]).toBe(0);
    expect(a!.lossBar).toBeCloseTo(a!.bars![0] - a!.bars![1], 4);
    expect(a!.tempC).toBe(120);
    expect(c!.tempC).toBeLessThan(115);
    expect(s.problems).toEqual([]);
  });

  it('brings two scavenges together, and splits over two ways by what each takes', () => {
    const s = systemOf(
      flowJob({ front: 'pan', rear: 'pan', join: 'valve', tank: 'tank', pump: 'pump', back: 'tank' }, [
        { from: 'pump.1', to: 'join.1', service: 'return', flow: { flowLpm: 20 } },
        { from: 'pump.2', to: 'join.2', service: 'return', flow: { flowLpm: 12 } },
        { from: 'join.3', to: 'tank.1', service: 'return', hose: 'ptfe-16' },
      ]),
      'warm',
      'hot',
    );
    expect(flows(s)).toEqual([20, 12, 32]);
    const split = systemOf(
      flowJob({ pump: 'pump', plate: 'plate', filter: 'filter head', block: 'block' }, [
        { from: 'pump.1', to: 'plate.1', service: 'pressure', hose: 'ptfe-16', flow: { flowLpm: 30 } },
        { from: 'plate.2', to: 'filter.1', service: 'cooler' },
        { from: 'plate.3', to: 'filter.2', service: 'cooler', tapedMm: 2400 },
        { from: 'filter.3', to: 'block.1', service: 'pressure', hose: 'ptfe-16' },
      ]),
      'warm',
      'hot',
    );
    const [all, short, long, out] = flows(split) as number[];
    expect(short! + long!).toBeCloseTo(all!, 2);
    expect(out).toBe(30);
    expect(short!).toBeGreaterThan(long!);
    expect(split.lines[1]!.lossBar).toBeCloseTo(split.lines[2]!.lossBar!, 4);
  });

  it('tells what ends blind, what runs round by itself, what runs against its line', () => {
    const told = (...args: Parameters<typeof flowJob>) => systemOf(flowJob(...args), 'warm', 'hot').problems;
    expect(told({ pump: 'pump', cooler: 'cooler' }, [{ from: 'pump.1', to: 'cooler.1', service: 'cooler' }])).toEqual([
      { kind: 'dead-end', lineIds: ['line1'], words: 'L1: what goes in has no way out.' },
    ]);
    // what leaves by its fall alone is a way out
    expect(
      told({ block: 'block', filter: 'filter', pan: 'pan' }, [
        { from: 'block.1', to: 'filter.1', service: 'bypass-feed', hose: 'ptfe-4', flow: { restrictorMm: 1 } },
        { from: 'filter.2', to: 'pan.1', service: 'bypass-return', flow: { fallMm: 200 } },
      ]),
    ).toEqual([]);
    expect(
      told({ pump: 'pump', filter: 'filter head', cooler: 'cooler', block: 'block' }, [
        { from: 'pump.1', to: 'filter.1', service: 'filter' },
        { from: 'filter.2', to: 'block.1', service: 'filter' },
        { from: 'filter.3', to: 'cooler.1', service: 'cooler', flow: { flowLpm: 5 } },
        { from: 'cooler.2', to: 'filter.4', service: 'cooler-back' },
      ]).map((p) => p.kind),
    ).not.toContain('loop');
    expect(
      told({ a: 'cooler', b: 'cooler' }, [
        { from: 'a.1', to: 'b.1', service: 'cooler' },
        { from: 'b.2', to: 'a.2', service: 'cooler-back' },
      ]),
    ).toEqual([
      {
        kind: 'loop',
        lineIds: ['line1', 'line2'],
        words: 'L1, L2: a ring that nothing drives. Take it to a pump, to a gallery, or put its plate on the post of the block.',
      },
    ]);
  });

  it('runs backwards where a line is drawn against the flow', () => {
    const s = systemOf(
      flowJob({ pump: 'pump', cooler: 'cooler', tank: 'tank' }, [
        { from: 'pump.1', to: 'cooler.1', service: 'return', flow: { flowLpm: 10 } },
        { from: 'tank.1', to: 'cooler.2', service: 'suction', flow: { flowLpm: 10 } },
      ]),
      'warm',
      'hot',
    );
    expect(flows(s)).toEqual([10, -10]);
    expect(s.problems).toEqual([{ kind: 'against', lineIds: ['line2'], words: expect.stringMatching(/10\.0 L\/min. run from B to A/) }]);
  });

  it('says what it is missing, and what is not all chosen takes nothing', () => {
    const { job } = circuit();
    const s = systemOf({ ...circuit(), job, running: {} }, 'warm', 'hot');
    expect(s.missing.map((m) => m.field)).toContain('oil');
    expect(s.lines.every((l) => l.how === 'open')).toBe(true);
  });
});

describe('a cooler by heat', () => {
  const duty = { powerKw: 200, heatToOilPercent: 8, flowLpm: 35, densityKgM3: 800, heatJKgK: 2200, oilC: 120, airC: 30 };

  it('carries off what the power puts in: Q = m·c·ΔT worked by hand', () => {
    // 16 kW over 35/60000·800·2200 = 1026.7 W/K are 15.58 K; 16000/(120 − 7.79 − 30) = 194.6 W/K
    const { heatKw, dropK, backC, needsWPerK, settlesC } = coolerNeed({ ...duty, coolsWPerK: 250 });
    expect(heatKw).toBeCloseTo(16, 9);
    expect(dropK).toBeCloseTo(15.58, 2);
    expect(backC).toBeCloseTo(104.42, 2);
    expect(needsWPerK).toBeCloseTo(194.6, 1);
    // 30 + 16000/250 + 7.79
    expect(settlesC).toBeCloseTo(101.79, 2);
    for (const bad of [{ powerKw: 0 }, { flowLpm: 0 }, { oilC: 20 }])
      expect(() => coolerNeed({ ...duty, ...bad })).toThrow(FlowFigureError);
  });

  it('warms up in the time that the oil alone takes where nothing cools it, and longer without a thermostat', () => {
    const warm = { litres: 6, densityKgM3: 850, heatJKgK: 2000, fromC: 10, toC: 80, heatKw: 3, coolsWPerK: 20, airC: 10 };
    // 6e-3·850·2000·70/3000 = 238 s
    expect(warmUpMinutes({ ...warm, coolsWPerK: 0 })).toBeCloseTo(238 / 60, 1);
    const [without, withOne] = [warmUpMinutes(warm), warmUpMinutes({ ...warm, thermostat: { opensC: 80, fullOpenC: 92 } })];
    expect(withOne).toBeCloseTo(238 / 60, 1);
    expect(without).toBeGreaterThan(withOne);
    expect(warmUpMinutes({ ...warm, coolsWPerK: 100 })).toBe(Infinity);
    expect([70, 80, 86, 95].map((t) => openShare(t, { opensC: 80, fullOpenC: 92 }))).toEqual([0, 0, 0.5, 1]);
    expect([79, 80].map((t) => openShare(t, { opensC: 80, fullOpenC: 80 }))).toEqual([0, 1]);
  });

  it('is judged for the job that it is in, with what its circuit takes', () => {
    const question = circuit({ takesBar: 0.4, atLpm: 35 });
    const cooler = question.job.document.components.find((c) => c.kind === 'cooler')!;
    const found = coolerOfJob(cooler, question);
    expect(found.enough).toBe(found.need!.needsWPerK <= cooler.flow!.coolsWPerK!);
    expect(coolerOfJob({ ...cooler, flow: { ...cooler.flow, coolsWPerK: 2000 } }, question).enough).toBe(true);
    expect(found.flowLpm).toBeCloseTo(35, 3);
    expect(found.lossBar!).toBeGreaterThan(0.4);
    expect(found.warmUp!.withoutMin).toBeGreaterThan(found.warmUp!.withMin);
    expect(found.missing).toEqual([]);
    expect(coolerOfJob({ ...cooler, flow: { coolsWPerK: 60 } }, question).enough).toBe(false);
    expect(coolerOfJob(cooler, { ...question, running: {} }).missing).toContain('the power of the engine');
  });

  it('takes at another flow as the square above its own, and never less than straight below', () => {
    const takes = { takesBar: 0.4, atLpm: 40 };
    expect([20, 40, 80].map((q) => takenBarAt(takes, q))).toEqual([0.2, 0.4, 1.6]);
  });
});

describe('the oil of a job', () => {
  it('is what lines and components hold, by cans, with what is not known told', () => {
    const question = circuit();
    const { addedL, totalL, cans, missing, rounds, lines } = oilVolume(question.job, question.running);
    expect(addedL).toBeCloseTo(0.8 + lines.reduce((sum, l) => sum + l.litres!, 0), 9);
    // 0.6 m of -10, bore 12.7 mm, are 76 mL, with ends and adapters a little more
    for (const l of lines) expect(l.litres).toBeGreaterThan(0.06);
    for (const l of lines) expect(l.litres).toBeLessThan(0.12);
    expect(totalL).toBeCloseTo(5 + addedL, 9);
    expect(cans).toEqual({ number: 2, litres: 5 });
    expect(rounds.map((r) => r.litres).reduce((a, b) => a + b)).toBeCloseTo(totalL!, 9);
    expect(missing).toEqual([]);
    expect(oilVolume(question.job, {}).missing).toEqual(['what the engine itself takes', 'the can it is sold in']);
  });

  it('fills an exact can with one can', () => {
    const question = circuit();
    const { addedL } = oilVolume(question.job, running);
    expect(oilVolume(question.job, { ...running, sumpL: 10 - addedL }).cans).toEqual({ number: 2, litres: 5 });
  });
});
