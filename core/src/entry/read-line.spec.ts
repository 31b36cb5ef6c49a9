import fc from 'fast-check';
import { catalogue, document } from '../../testing/sample-job.js';
import { running } from '../../testing/flow-job.js';
import { parseConnector } from '../connectors/index.js';
import { usualFlowRules } from '../job/index.js';
import { fluidProblem, hoseSize } from '../hose/index.js';
import { services, type Component, type JobDocument, type Port } from '../job/index.js';
import { assembleJob } from '../lines/index.js';
import { callOf } from './said-of-hose.js';
import { callOfService } from './said-of-service.js';
import { lineFrom, matchingPorts, portChoices, readLine, readLines, type LineRead } from './index.js';

const component = (id: string, kind: Component['kind'], name: string): Component => ({
  id,
  jobId: 'job',
  kind,
  name,
  note: '',
  order: 0,
  version: 1,
});
let order = 0;
const port = (id: string, label: string, notation: string): Port => ({
  id,
  jobId: 'job',
  componentId: id.split('.')[0]!,
  label,
  connector: parseConnector(notation),
  note: '',
  order: order++,
  version: 1,
});
const bench: JobDocument = {
  ...document,
  components: [
    component('block', 'block', 'Block'),
    component('turbo', 'turbo', 'Turbo'),
    component('pan', 'pan', 'Pan'),
    component('cooler', 'cooler', 'Oil cooler'),
  ],
  ports: [
    port('block.p', 'oil pressure', 'orb6 f'),
    port('block.r', 'cooler return', 'orb10 f'),
    port('block.w', 'water, rear', 'm14x1.5 f washer'),
    port('turbo.in', 'oil inlet', 'an4 m'),
    port('turbo.w', 'water inlet', 'm14x1.5 f washer'),
    port('turbo.out', 'oil drain', 'an10 m'),
    port('pan.d', 'drain return', 'an10 m'),
    port('cooler.a', 'left', 'orb10 f'),
    port('cooler.b', 'right', 'orb10 f'),
  ],
  lines: [],
};
const place = (d = bench, system: 'metric' | 'inch' = 'metric') => ({ document: d, ports: portChoices(d), system });
const read = (text: string, d = bench) => readLine(text, place(d));
const drawn = (text: string) => lineFrom(read(text), { job: assembleJob(bench, catalogue), running, rules: usualFlowRules }, 'line-1');
const asked = ({ asks }: LineRead) => asks.map((a) => a.about);

describe('a line in one text', () => {
  it('has its service, ports, hose, size and length', () => {
    expect(read('turbo feed: block pressure > turbo oil inlet, ptfe 4, 620')).toMatchObject({
      service: 'turbo-feed',
      from: { id: 'block.p' },
      to: { id: 'turbo.in' },
      construction: 'ptfe',
      size: { dash: 4 },
      length: { mm: 620, as: 'taped' },
      bare: false,
      asks: [],
    });
  });

  it.each([
    [
      'Turbo drain: turbo drain -> pan, rubber -10, 14 in',
      {
        service: 'turbo-drain',
        from: 'turbo.out',
        to: 'pan.d',
        construction: 'rubber',
        size: { dash: 10 },
        length: { mm: 355.6, as: 'taped' },
      },
    ],
    ['turbo drain: turbo drain > pan, push-on 5/8 350', { construction: 'pushon', size: { dash: 10 }, length: { mm: 350, as: 'taped' } }],
    [
      'cooler: block pressure → left, an10, cut 587',
      { service: 'cooler', to: 'cooler.a', size: { dash: 10 }, length: { mm: 587, as: 'cut' } },
    ],
    ['to the cooler: block pressure > cooler, right, 26 1/8 in assembled', { to: 'cooler.b', length: { mm: 663.575, as: 'assembly' } }],
    [
      'turbo water: block water > turbo water, coolant 16 mm, straight 90°',
      { service: 'coolant', from: 'block.w', to: 'turbo.w', construction: 'coolant', size: { metricMm: 16 }, angles: [0, 90] },
    ],
    ['scavenge: pan > block return, 5/8, 14 in', { size: { dash: 10 }, length: { mm: 355.6, as: 'taped' } }],
    ['scavenge: pan > block return, cut length 587', { length: { mm: 587, as: 'cut' } }],
    ['filter: block pressure > left, bare', { service: 'filter', bare: true }],
    ['turbo feed left: block pressure > oil inlet', { service: 'turbo-feed', name: 'Turbo feed, left' }],
    ['scav: pan > block return', { service: 'scavenge' }],
  ] as const)('%s', (text, expected) => {
    const { from, to, ...rest } = expected as Record<string, unknown>;
    const found = read(text);
    expect(found.asks).toEqual([]);
    expect(found).toMatchObject(rest);
    if (from) expect(found.from?.id).toBe(from);
    if (to) expect(found.to?.id).toBe(to);
  });

  it('takes the port of its fluid where the words fit several, and asks where that does not settle it', () => {
    expect(read('turbo feed: block pressure > turbo inlet').to?.id).toBe('turbo.in');
    expect(read('coolant: block water > turbo inlet').to?.id).toBe('turbo.w');
    const { asks, to } = read('cooler: block pressure > cooler');
    expect(to).toBeUndefined();
    expect(asks).toMatchObject([{ about: 'to', words: 'Where it goes to may be several.' }]);
    expect(asks[0]!.choices.map((c) => c.words)).toEqual(
      expect.arrayContaining(['Oil cooler, left · orb10 f', 'Oil cooler, right · orb10 f']),
    );
  });

  it('is settled by taking any of what is offered', () => {
    for (const text of [
      'cooler: block pressure > cooler, ptfe 10',
      'block pressure > turbo oil inlet',
      'wizard: block pressure > oil inlet',
    ])
      for (const choice of read(text).asks[0]!.choices) expect([choice.text, asked(read(choice.text))]).toEqual([choice.text, []]);
  });

  it.each([
    ['turbo feed', ['service', 'rest']],
    ['turbo feed: block pressure', ['rest']],
    ['turbo feed: nothing > turbo oil inlet', ['from']],
    ['turbo feed: > turbo oil inlet', ['from']],
    ['turbo feed: block pressure > oil inlet, wizard', ['rest']],
    ['turbo feed: oil inlet > oil inlet', ['to']],
    ['turbo feed: block pressure > oil inlet, ptfe 4, 99999999', ['rest']],
    ['turbo feed: block pressure > oil inlet, ptfe 4, 0.01', ['rest']],
    [`turbo feed ${'x'.repeat(90)}: block pressure > oil inlet`, ['rest']],
    ['', ['service', 'rest']],
  ])('asks for what is missing: "%s"', (text, about) => expect(asked(read(text))).toEqual(about));

  it('tells a port that is used, and by what', () => {
    const [ask] = read('turbo drain: turbo > pan', document).asks.filter((a) => a.about === 'from');
    expect(ask?.words).toMatch(/is already used by L\d|All \d are used: .* by L\d|may be several/);
  });

  it('never throws, and never takes a port that is not offered (property)', () => {
    const bits = fc.constantFrom(
      'turbo feed',
      ':',
      ' > ',
      ', ',
      'block',
      'pressure',
      'turbo',
      'oil inlet',
      'ptfe',
      ' 4',
      '-',
      '620',
      '1/2 in',
      'ends 45',
      '°',
      'mm',
      '  ',
      '\n',
      'x',
      '→',
      '[(',
      '$1',
    );
    fc.assert(
      fc.property(fc.array(bits, { maxLength: 14 }), (some) => {
        for (const line of readLines(some.join(''), place())) {
          expect(line.from === undefined || line.from.id !== line.to?.id).toBe(true);
          expect(line.asks.length === 0 ? [line.service, line.from, line.to].every(Boolean) : true).toBe(true);
        }
      }),
      { numRuns: 300 },
    );
  });

  it('is one of several: a port that one takes is not free for the next, and empty lines are nothing', () => {
    const lines = readLines('cooler: block pressure > cooler left\n\n cooler back: cooler > block return\n', place());
    expect(lines.map((l) => [l.from?.id, l.to?.id, l.asks.length])).toEqual([
      ['block.p', 'cooler.a', 0],
      ['cooler.b', 'block.r', 0],
    ]);
  });

  it('reads lengths in the units of the house', () =>
    expect(readLine('scavenge: pan > block return, 14', place(bench, 'inch')).length?.mm).toBeCloseTo(355.6));
});

describe('the line that is drawn for it', () => {
  it('has the hose that was said, with its ends and its length', () => {
    const line = drawn('turbo feed: block pressure > turbo oil inlet, ptfe 4, 620, ends 45 90');
    if ('ask' in line) throw new Error(line.ask.words);
    expect(line).toMatchObject({ sizedBy: 'said', hose: { construction: 'ptfe', dash: 4 } });
    expect(line.command).toMatchObject({
      do: 'add-line',
      service: 'turbo-feed',
      fromPortId: 'block.p',
      toPortId: 'turbo.in',
      piece: { length: { mm: 620, as: 'taped' } },
    });
    const angles = [line.command.piece!.endA, line.command.piece!.endB].map((id) => catalogue.hoseEnds.find((e) => e.id === id)!.angleDeg);
    expect(angles).toEqual([45, 90]);
  });

  it('proposes hose and size where they are not said, never the smallest that there is', () => {
    const line = drawn('turbo drain: turbo drain > pan, 400');
    if ('ask' in line) throw new Error(line.ask.words);
    expect(line.hose!.dash).toBeGreaterThanOrEqual(10);
    const guessed = drawn('turbo drain: turbo drain > pan');
    expect(guessed).toMatchObject({ sizedBy: 'ports', hose: { dash: 10 } });
  });

  it('asks for a size that is not made, with those that are', () => {
    const line = drawn('turbo feed: block pressure > turbo oil inlet, ptfe 7, 620');
    expect(line).toMatchObject({ ask: { about: 'hose', words: 'PTFE core, steel braid is not made in -7.' } });
    const choices = 'ask' in line ? line.ask.choices : [];
    expect(choices.map((c) => c.text)).toContain('turbo feed: block pressure > turbo oil inlet, ptfe -6, 620');
    for (const { text } of choices) expect('command' in drawn(text)).toBe(true);
  });

  it('says when an end is not made at an angle, and what is still unclear', () => {
    expect(drawn('turbo feed: block pressure > turbo oil inlet, ptfe 4, ends 17 90')).toMatchObject({ ask: { about: 'hose' } });
    expect(drawn('turbo feed: block pressure')).toMatchObject({ ask: { about: 'rest' } });
    expect(drawn('filter: block pressure > cooler left, bare')).toMatchObject({ command: { hose: false } });
  });

  it('is of the make that bears what runs in it, where a size has several', () => {
    const line = drawn('fuel: block pressure > cooler left, ptfe 6, 600');
    if ('ask' in line) throw new Error(line.ask.words);
    expect(fluidProblem(line.hose!, 'petrol')).toBeUndefined();
    expect(catalogue.hoses.some((h) => h.construction === 'ptfe' && h.dash === 6 && fluidProblem(h, 'petrol') !== undefined)).toBe(true);
  });

  it('can be of any hose of the store, called as it is called there', () => {
    const kinds = [...new Map(catalogue.hoses.map((h) => [`${h.construction} ${hoseSize(h)}`, h])).values()];
    expect(kinds.length).toBeGreaterThan(100);
    for (const { construction, dash, metricMm } of kinds) {
      const said = `${callOf(construction)} ${metricMm === undefined ? `-${dash}` : `${metricMm} mm`}`;
      const found = read(`other: block pressure > cooler left, ${said}, 500`);
      expect([said, found.asks, found.construction, found.size, found.length?.mm]).toEqual([
        said,
        [],
        construction,
        metricMm === undefined ? { dash } : { metricMm },
        500,
      ]);
    }
  });

  it('can be for any service, called as it is called in the form, or by what shops say', () => {
    for (const { id } of services) expect([id, read(`${callOfService(id)}: pan > cooler left`).service]).toEqual([id, id]);
    expect(['water', 'vent', 'turbo return', 'intercooler', 'pump suction'].map((said) => read(`${said}: pan > left`).service)).toEqual([
      'coolant',
      'breather',
      'turbo-drain',
      'charge-air',
      'suction',
    ]);
  });
});

describe('ports by a few letters', () => {
  const names = (text: string, d = bench) => matchingPorts(portChoices(d), text).map((p) => p.name);

  it('are found by component, name, thread and its full words; nearest first', () => {
    expect(names('turbo oil')).toEqual(['Turbo, oil inlet', 'Turbo, oil drain']);
    expect(names('an10')).toEqual(['Turbo, oil drain', 'Pan, drain return']);
    expect(names('Oil cooler, right')[0]).toBe('Oil cooler, right');
    // "inlet" begins a word there, "let" only stands in one
    expect(names('let')).toEqual(['Turbo, oil inlet', 'Turbo, water inlet']);
    expect(names('')).toHaveLength(bench.ports.length);
  });

  it('that are used come last, however near they are', () => {
    const [first] = document.lines;
    const used = { ...bench, lines: [{ ...first!, portA: 'turbo.in', portB: 'block.p' }] };
    expect(names('oil inlet', { ...used, ports: [...bench.ports, port('pan.x', 'boil inlet', 'an6 m')] })).toEqual([
      'Pan, boil inlet',
      'Turbo, oil inlet',
    ]);
    expect(portChoices(used).find((p) => p.id === 'turbo.in')!.usedBy).toMatch(/^L\d+ /);
    expect(portChoices(used, first!.id).find((p) => p.id === 'turbo.in')!.usedBy).toBeUndefined();
  });
});
