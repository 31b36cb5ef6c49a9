import { flowFindings } from '../../testing/judged.js';
import fc from 'fast-check';
import { flowJob, running } from '../../testing/flow-job.js';
import {
  backsUpBetween,
  growthOf,
  lossBarAlong,
  outcomeIn,
  pathWith,
  plannedRunning,
  sizeCurves,
  sizeLine,
  sizingRows,
  workingOf,
  type FlowQuestion,
  type LineSizing,
} from './index.js';
import { constructionById, standardHoses } from '../hose/index.js';
import { inHouseUnits } from '../units/index.js';

const feedJob = (flow: object = { bearing: 'ball', restrictorMm: 1 }, hose = 'ptfe-6', more = {}): FlowQuestion =>
  flowJob({ block: 'block', turbo: 'turbo' }, [{ from: 'block.1', to: 'turbo.1', service: 'turbo-feed', hose, flow }], more);
const first = (question: FlowQuestion, construction?: string): LineSizing => sizeLine(question.job.lines[0]!, question, construction);
const rules = (question: FlowQuestion): string[] => flowFindings(first(question), question).map((f) => f.rule);
const says = (s: LineSizing, size: string): string => s.columns.find((c) => c.size === size)!.says;

describe('a turbo feed', () => {
  it('gets the narrowest size that gives hot nine tenths and cold half of what the widest would', () => {
    const s = first(feedJob());
    expect(s.columns.map((c) => c.size)).toEqual(['-3', '-4', '-5', '-6', '-8']);
    expect(s.columns[s.taken!]!.size).toBe('-6');
    const best = s.columns[s.recommended!]!;
    const widest = s.columns.at(-1)!;
    for (const [id, least] of [
      ['hottest', 0.9],
      ['cold', 0.5],
    ] as const)
      expect(outcomeIn(best, id)!.flowLpm / outcomeIn(widest, id)!.flowLpm).toBeGreaterThanOrEqual(least);
    expect(says(s, '-3')).toBe('narrow');
    expect(inHouseUnits(s.reason!, 'metric')).toMatch(
      /^-4 is the narrowest that keeps every limit: 0\.\d L\/min hot, .* -5 would give \d+ % more when cold\.$/,
    );
    expect(s.missing).toEqual([]);
  });

  it('never gives less in a wider hose, and what it uses up is what was held', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 0.8, max: 3, noNaN: true }),
        fc.double({ min: 1, max: 8, noNaN: true }),
        fc.constantFrom('ball' as const, 'journal' as const),
        (restrictorMm, fullBar, bearing) => {
          const { columns } = first(feedJob({ restrictorMm, bearing }, 'ptfe-6', { running: { ...running, fullBar } }));
          for (const id of ['cold', 'hottest'] as const) {
            const flows = columns.map((c) => outcomeIn(c, id)!.flowLpm);
            expect(flows).toEqual([...flows].sort((a, b) => a - b));
            for (const c of columns) {
              const { endBar, loss } = outcomeIn(c, id)!;
              expect(endBar! + loss.lossBar).toBeCloseTo(fullBar, 6);
              expect(endBar!).toBeGreaterThan(0);
            }
          }
        },
      ),
      { numRuns: 12 },
    ));

  it('says what it cannot be reckoned without', () => {
    const s = first(feedJob({}, 'ptfe-6', { running: { coldC: 5 } }));
    expect(s.missing.map((m) => m.field)).toEqual(['oil', 'bearing', 'fullBar']);
    expect(s.columns.every((c) => c.outcomes.length === 0 && c.verdict === 'open')).toBe(true);
    expect(s.recommended).toBeUndefined();
  });

  it('finds what was meant once and stands twice, what is hidden, and what floods or starves a turbo', () => {
    const twice = flowJob({ block: 'block', turbo: 'turbo' }, [
      { from: 'block.1', to: 'turbo.1', service: 'turbo-feed', hose: 'ptfe-6', flow: { restrictorMm: 1, bearing: 'ball' } },
    ]);
    const [line] = twice.job.lines;
    const path = pathWith(line!, { hose: line!.pieces[0]!.hose! }, () => 500);
    expect(path.unknown).toEqual(['end A for PTFE hose, steel braid, -6', 'end B for PTFE hose, steel braid, -6']);
    expect(rules(feedJob())).toEqual([]);
    expect(rules(feedJob({ bearing: 'ball' }))).toEqual(['feed-too-much']);
    expect(rules(feedJob({ bearing: 'journal', restrictorMm: 0.8 }))).toEqual(['feed-too-little']);
  });

  it('holds for what is planned, or says what must grow', () => {
    expect(plannedRunning(running)).toBeUndefined();
    expect(growthOf(feedJob().job.lines[0]!, feedJob())).toBeUndefined();
    const planned = { ...running, plannedKw: 300, plannedRevs: 8400 };
    expect(plannedRunning(planned)).toMatchObject({ powerKw: 300, mostRevs: 8400, pumpLpm: 42 });
    const cooler = (hose: string) =>
      flowJob({ pump: 'pump', cooler: 'cooler' }, [{ from: 'pump.1', to: 'cooler.1', service: 'cooler', hose, tapedMm: 1000 }], {
        running: planned,
      });
    const verdict = (hose: string) => growthOf(cooler(hose).job.lines[0]!, cooler(hose))!;
    expect(verdict('ptfe-12')).toMatchObject({ verdict: 'holds' });
    expect(verdict('ptfe-8')).toMatchObject({ verdict: 'grows', words: expect.stringMatching(/^-8 does not hold for what is planned: /) });
  });
});

describe('a fuel line', () => {
  const fuelJob = (fluid: 'petrol' | 'methanol', hose: string) =>
    flowJob({ tank: 'tank', rail: 'other' }, [{ from: 'tank.1', to: 'rail.1', service: 'fuel', hose, tapedMm: 2000, change: { fluid } }], {
      running: { ...running, powerKw: 300 },
    });

  it('goes by what its fuel burns, and is looked at in hose with a conductive core', () => {
    const [petrol, methanol] = [first(fuelJob('petrol', 'ptfe-6')), first(fuelJob('methanol', 'ptfe-6'))];
    // 0.32 and 0.75 kg/kWh, the pump gives twice that
    expect(methanol.duty.flow!.value / petrol.duty.flow!.value).toBeCloseTo(
      (0.75 / 0.32) * (petrol.duty.at(80)!.densityKgM3 / methanol.duty.at(80)!.densityKgM3),
      1,
    );
    expect(petrol.columns.filter((c) => !c.taken).every((c) => c.hose.core === 'conductive')).toBe(true);
    expect(petrol.columns[petrol.taken!]!.verdict).toBe('fails');
    expect(petrol.columns[petrol.recommended!]!.size).toBe('-6');
    expect(methanol.columns[methanol.recommended!]!.size).toBe('-8');
  });
});

describe('a line by a pump', () => {
  const cooler = (more: object = {}, hose = 'ptfe-10'): FlowQuestion =>
    flowJob({ pump: 'pump', cooler: 'cooler' }, [{ from: 'pump.1', to: 'cooler.1', service: 'cooler', hose, ...more }]);

  it('takes what the pump gives, at a cold start what it gives at idle, against the limits of its service', () => {
    const s = first(cooler());
    const column = s.columns[s.taken!]!;
    expect(outcomeIn(column, 'warm')!.flowLpm).toBe(35);
    expect(outcomeIn(column, 'cold')!.flowLpm).toBe(5);
    expect(s.duty.flow).toMatchObject({ value: 35, from: 'job' });
    expect(says(s, '-6')).toMatch(/too fast|takes too much|thick when cold/);
    for (const c of s.columns.filter((c) => c.verdict === 'passes')) expect(outcomeIn(c, 'warm')!.loss.lossBar).toBeLessThanOrEqual(0.7);
    expect(first(cooler({ flow: { flowLpm: 10 } })).duty.flow).toMatchObject({ value: 10, from: 'line' });
  });

  it('looks at another construction, with its own sizes and what speaks against all of them', () => {
    const s = first(cooler(), 'rubber');
    expect(new Set(s.columns.map((c) => c.hose.construction))).toEqual(new Set(['rubber']));
    expect(s.taken).toBeUndefined();
    // the size in hand stays in sight
    expect(first(cooler({}, 'ptfe-16'), 'rubber').columns.map((c) => c.size)).toContain('-16');
    expect(s.refusals).toEqual([]);
    expect(first(cooler(), 'truck').refusals.map((r) => inHouseUnits(r, 'metric'))).toEqual(['it bears 100 °C, and it gets to 120 °C']);
    expect(s.hoses.find((h) => h.hose.construction === 'coolant')!.refusals[0]).toMatch(/not made for engine oil/);
  });

  it('without a length is not reckoned until one is said', () => {
    const open = cooler({ change: { pieces: [{ ...cooler().job.lines[0]!.line.pieces[0]!, length: null }] } });
    expect(first(open).missing).toEqual([{ of: 'line', field: 'reckonMm', words: expect.stringMatching(/tape it/) }]);
    const said = cooler({ flow: { reckonMm: 700 }, change: { pieces: [{ ...cooler().job.lines[0]!.line.pieces[0]!, length: null }] } });
    expect(first(said).columns.every((c) => c.outcomes.length === 3)).toBe(true);
  });

  it('follows power where it carries fuel, air or blow-by', () => {
    const of = (service: 'fuel' | 'charge-air' | 'breather', hose: string) =>
      first(flowJob({ tank: 'tank', engine: 'block' }, [{ from: 'tank.1', to: 'engine.1', service, hose }])).duty;
    // 200 kW at 0.32 kg/kWh are 64 kg/h; the pump gives twice that, at about 0.70 kg/L when hot
    expect(of('fuel', 'ptfe-6').flow!.value).toBeCloseTo((64 * 2) / 60 / 0.686, 1);
    expect(of('breather', 'fuel-10').flow!.value).toBe(100);
    expect(of('breather', 'fuel-10').fluid).toBe('air');
    expect(of('fuel', 'ptfe-6').missing).toEqual([]);
  });
});

describe('a suction', () => {
  const suction = (hose: string, flow: object = {}) =>
    flowJob({ tank: 'tank', pump: 'pump' }, [{ from: 'tank.1', to: 'pump.1', service: 'suction', hose, tapedMm: 900, flow }]);

  it('is judged by the absolute pressure at the pump; a tank that lies higher helps, one that lies lower does not', () => {
    const abs = (fallMm: number) => {
      const s = first(suction('ptfe-16', { fallMm }));
      return outcomeIn(s.columns[s.taken!]!, 'hottest')!.absBar!;
    };
    // 300 mm of oil of some 800 kg/m³ are 0.024 bar
    expect(abs(300) - abs(0)).toBeCloseTo(0.0235, 3);
    expect(abs(0)).toBeGreaterThan(abs(-200));
    expect(says(first(suction('ptfe-16')), '-10')).toMatch(/starves|too little when cold/);
    const worst = first(suction('ptfe-10'));
    expect(inHouseUnits(worst.columns[worst.taken!]!.against.join(), 'metric')).toMatch(
      /bar absolute at the pump; 0\.[68] bar are the least/,
    );
  });

  it('a drain that leads to a pump is one, and carries what the feed brings', () => {
    const question = flowJob({ block: 'block', turbo: 'turbo', pump: 'pump' }, [
      { from: 'turbo.1', to: 'pump.1', service: 'turbo-drain' },
      { from: 'block.1', to: 'turbo.2', service: 'turbo-feed', hose: 'ptfe-6', flow: { bearing: 'ball', restrictorMm: 1 } },
    ]);
    const s = first(question);
    expect(s.duty.figures.drive).toBe('suction');
    const feed = sizeLine(question.job.lines[1]!, question);
    // what the feed brings, with its air
    expect(outcomeIn(s.columns[s.taken!]!, 'hottest')!.flowLpm / 1.6).toBeCloseTo(
      outcomeIn(feed.columns[feed.taken!]!, 'hottest')!.flowLpm,
      6,
    );
    expect(s.brought.find((b) => b.state.id === 'cold')!.from).toBe('what L2 brings');
  });
});

describe('a drain by gravity', () => {
  const drainJob = (flow: object, feed: object = { bearing: 'ball', restrictorMm: 1 }, hose = 'ptfe-10') =>
    flowJob({ block: 'block', turbo: 'turbo', pan: 'pan' }, [
      { from: 'turbo.1', to: 'pan.1', service: 'turbo-drain', hose, tapedMm: 400, flow },
      { from: 'block.1', to: 'turbo.2', service: 'turbo-feed', hose: 'ptfe-6', flow: feed },
    ]);

  it('carries at each temperature more or less than comes, and where it does not it backs up', () => {
    const good = drainJob({ fallMm: 250 });
    const s = first(good);
    expect(s.columns[s.taken!]!.verdict).not.toBe('fails');
    const curves = sizeCurves(s, good);
    expect(curves.temps[0]).toBe(5);
    expect(curves.temps.at(-1)).toBe(120);
    const flat = drainJob({ fallMm: 5 }, { bearing: 'journal' });
    const bad = first(flat);
    expect(bad.columns[bad.taken!]!.says).toBe('backs up');
    expect(backsUpBetween(sizeCurves(bad, flat), bad.taken!)![1]).toBe(120);
    expect(rules(flat)).toContain('size-fails');
  });

  it('that does not fall is told, not reckoned', () => {
    expect(first(drainJob({})).missing.map((m) => m.field)).toEqual(['fallMm']);
    expect(rules(drainJob({ fallMm: 0 }))).toContain('drain-rises');
    expect(rules(drainJob({ fallMm: -20 }))).toContain('drain-rises');
  });

  it('through the filler cap needs an end that turns and slack', () => {
    const cap = flowJob({ filter: 'filter', block: 'block' }, [
      { from: 'filter.1', to: 'block.1', service: 'bypass-return', flow: { comesBack: 'filler cap', fallMm: 200, flowLpm: 1 } },
    ]);
    expect(rules(cap)).toContain('cap-must-turn');
  });
});

describe('the figures of a sizing', () => {
  it('are amber beyond a rule of thumb and red beyond what will do, as the word under them', () => {
    const cooler = (tapedMm: number): FlowQuestion =>
      flowJob({ pump: 'pump', cooler: 'cooler' }, [{ from: 'pump.1', to: 'cooler.1', service: 'cooler', hose: 'ptfe-10', tapedMm }]);
    const tones = new Set<string>();
    for (const tapedMm of [300, 1500, 3000, 6000]) {
      const s = first(cooler(tapedMm));
      const rows = sizingRows(s).filter(({ id }) => id !== 'margin');
      for (const [i, column] of s.columns.entries()) {
        const tone = !rows.some((r) => r.bad[i]) ? 'passes' : rows.every((r) => r.soft[i] === r.bad[i]) ? 'tight' : 'fails';
        expect([tapedMm, column.size, tone]).toEqual([tapedMm, column.size, column.verdict]);
        tones.add(tone);
      }
    }
    expect([...tones].sort()).toEqual(['fails', 'passes', 'tight']);
  });

  it('stand in rows by what drives the flow, and each has its working with sources', () => {
    const s = first(feedJob());
    const rows = sizingRows(s);
    expect(rows.map((r) => r.id)).toEqual([
      'bore',
      'narrowest',
      'flow hottest',
      'flow idle',
      'flow cold',
      'speed hottest',
      'left hottest',
      'fills cold',
      'margin',
    ]);
    const long = first(
      flowJob({ block: 'block', turbo: 'turbo' }, [
        { from: 'block.1', to: 'turbo.1', service: 'turbo-feed', hose: 'ptfe-6', tapedMm: 9000, flow: { bearing: 'journal' } },
      ]),
    );
    expect(sizingRows(long).find((r) => r.id === 'flow cold')!.bad[0]).toBe(true);
    for (const row of rows) {
      const { title, steps, sources } = workingOf(s, row, s.columns[1]!);
      expect(title).toContain('-4');
      expect(steps.length).toBeGreaterThan(0);
      expect(sources.length).toBeGreaterThan(0);
    }
    const flow = workingOf(s, rows[4]!, s.columns[1]!);
    expect(inHouseUnits(flow.steps.find((step) => step.what === 'the whole line')!.result, 'metric')).toMatch(/bar$/);
  });

  it('of a line in which nothing runs are what it bears', () => {
    const gauge = first(
      flowJob({ block: 'block', gauge: 'other' }, [{ from: 'block.1', to: 'gauge.1', service: 'gauge', hose: 'ptfe-4' }]),
    );
    expect(sizingRows(gauge).map((r) => r.id)).toEqual(['bore', 'narrowest', 'bears', 'burst']);
    expect(gauge.columns[gauge.recommended!]!.size).toBe('-3');
    const other = first(flowJob({ a: 'block', b: 'other' }, [{ from: 'a.1', to: 'b.1', service: 'other' }]));
    expect(other.reason).toMatch(/give it its service/);
  });
});

describe('a hose with folds inside', () => {
  it('takes three times the friction of a smooth one', () => {
    const [smooth, folded] = ['hose-crimped-10', 'hose-convoluted-ptfe-10'].map((id) => {
      const hose = standardHoses().find((h) => h.id === id)!;
      const passed = { name: '', kind: 'hose', boreMm: 15.9, lengthMm: 1000, turns: [] } as const;
      const { frictionTimes } = constructionById(hose.construction);
      return lossBarAlong([{ ...passed, ...(frictionTimes ? { frictionTimes } : {}) }], {
        flowLpm: 40,
        viscosityCst: 12,
        densityKgM3: 800,
      });
    });
    expect(folded! / smooth!).toBeCloseTo(3, 9);
  });
});
