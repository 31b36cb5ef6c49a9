import fc from 'fast-check';
import {
  basicDiameter,
  expectedTrial,
  identifyThread,
  measurableThreads,
  ThreadMeasurementError,
  trialInWords,
  trialProblem,
  trialResults,
  type Side,
  type ThreadMeasurement,
  type ThreadTrial,
} from './index.js';
import { trialLikelihood } from './trial.js';

const sides: readonly Side[] = ['external', 'internal'];
const other = (side: Side): Side => (side === 'external' ? 'internal' : 'external');
const sought = fc.constantFrom(...sides.flatMap((side) => measurableThreads(side).map((thread) => ({ side, thread }))));
/** A thread sought, and one to try on it. */
const pairs = sought.chain(({ side, thread }) =>
  fc.constantFrom(...measurableThreads(other(side))).map((known) => ({ side, thread, known: known.designation })),
);
const first = (measurement: ThreadMeasurement) => identifyThread(measurement)[0]?.designation;
const tried = (side: Side, ...trials: ThreadTrial[]): string | undefined => first({ side, trials });

describe('naming by trial', () => {
  // common practice: what fitters know of these pairs
  it.each([
    ['an M20×1.5 nut goes on and rocks', 'external', { known: 'M20×1.5', result: 'rocks' }, '3/4-16 UNF'],
    ['an M14×1.5 bolt binds in it after three turns', 'internal', { known: 'M14×1.5', result: 'binds', turns: 3 }, '9/16-18 UNF'],
    ['an M22×1.5 nut runs on freely', 'external', { known: 'M22×1.5', result: 'runs' }, 'M22×1.5'],
  ] as const)('knows the thread where %s', (_, side, trial, name) => expect(tried(side, trial)).toBe(name));

  it('knows a taper by the turns it stops after, as it should; a metric hole stops it as late', () => {
    const trials = [{ known: '1/4-18 NPT', result: 'binds', turns: 4.5 }] as const;
    expect(first({ side: 'internal', taper: 'tapered', trials })).toBe('1/4-18 NPT');
    expect(identifyThread({ side: 'internal', trials }).map((c) => c.designation)).toEqual(
      expect.arrayContaining(['1/4-18 NPT', 'M14×1.5']),
    );
  });

  it('settles what the calliper leaves open', () => {
    const measured = { side: 'external', diameterMm: 13.9 } as const;
    expect(identifyThread(measured)[0]!.score).toBeLessThan(0.7);
    const [best] = identifyThread({ ...measured, trials: [{ known: '9/16-18', result: 'binds', turns: 3 }] });
    expect(best).toMatchObject({
      designation: 'M14×1.5',
      trials: [{ known: '9/16-18', agrees: true, expected: 'bind after about 3.5 turns' }],
    });
    expect(best!.score).toBeGreaterThan(0.7);
  });

  it('leaves the last word to the pitch gauge', () => {
    const [best] = identifyThread({ side: 'external', diameterMm: 13.9, pitchMm: 1.5, trials: [{ known: '9/16-18', result: 'runs' }] });
    expect(best).toMatchObject({ designation: 'M14×1.5', trials: [{ agrees: false }] });
  });

  it('keeps the thread among the first two of its figures when a trial goes as the fit says', () => {
    fc.assert(
      fc.property(pairs, ({ side, thread, known }) => {
        const trials = [{ known, ...expectedTrial(thread, side, known) }];
        const figures = { side, diameterMm: basicDiameter(thread, side), pitchMm: thread.pitchMm };
        expect(identifyThread({ ...figures, taper: thread.taperPerMm > 0 ? 'tapered' : 'parallel', trials }).slice(0, 2)).toContainEqual(
          expect.objectContaining({ designation: thread.designation }),
        );
      }),
      { numRuns: 150 },
    );
  });
});

describe('the chances of a trial', () => {
  it('add up to one over its outcomes, none of them nothing; the likeliest is what is expected', () => {
    fc.assert(
      fc.property(pairs, ({ side, thread, known }) => {
        const chances = trialResults.map((result) => trialLikelihood(thread, side, { known, result }));
        expect(chances.reduce((a, b) => a + b)).toBeCloseTo(1, 9);
        expect(Math.min(...chances)).toBeGreaterThanOrEqual(0.02 - 1e-12);
        expect(trialResults[chances.indexOf(Math.max(...chances))]).toBe(expectedTrial(thread, side, known).result);
      }),
    );
  });

  it('with turns are a density: over all turns it makes the chance that it binds', () => {
    const thread = measurableThreads('external').find((t) => t.designation === '9/16-18 UNF')!;
    for (const known of ['M14×2', '5/8-18 UNF', 'M16×1.5']) {
      let sum = 0;
      for (let turns = 0.005; turns < 12; turns += 0.01)
        sum += 0.01 * trialLikelihood(thread, 'external', { known, result: 'binds', turns });
      expect(sum).toBeCloseTo(trialLikelihood(thread, 'external', { known, result: 'binds' }), 1);
    }
  });
});

describe('the words of a trial', () => {
  it.each([
    [{ result: 'runs' }, 'external', 'run on freely'],
    [{ result: 'rocks' }, 'external', 'go on and rock'],
    [{ result: 'binds', turns: 0.9 }, 'external', 'bind after about 1 turn'],
    [{ result: 'binds' }, 'external', 'bind'],
    [{ result: 'slides-in' }, 'external', 'slip over it'],
    [{ result: 'slides-in' }, 'internal', 'slide in'],
    [{ result: 'no-entry' }, 'internal', 'not start'],
  ] as const)('of %j on an %s thread are "%s"', (outcome, side, words) => expect(trialInWords(outcome, side)).toBe(words));
});

describe('a trial that cannot be', () => {
  it.each([
    ['a thread that is none', { known: 'twenty', result: 'runs' }, 'twenty'],
    ['an outside thread as the nut', { known: 'R 1/8', result: 'binds' }, 'R 1/8 is always an outside thread'],
    ['turns of what does not bind', { known: 'M20×1.5', result: 'runs', turns: 3 }, 'Turns until it binds'],
    ['turns that are no number', { known: 'M20×1.5', result: 'binds', turns: NaN }, 'Turns until it binds'],
    ['an outcome there is none of', { known: 'M20×1.5', result: 'fits' as never }, 'no outcome'],
  ] as const)('is refused: %s', (_, trial, words) => {
    const good = { known: 'M20×1.5', result: 'rocks' } as const;
    let said: unknown;
    try {
      identifyThread({ side: 'external', trials: [good, trial] });
    } catch (error) {
      said = error;
    }
    expect(said).toBeInstanceOf(ThreadMeasurementError);
    expect(said).toMatchObject({ field: 'trials', trial: 1, message: expect.stringContaining(words) as string });
  });

  it('is one of too many, or an inside thread as the bolt', () => {
    const trials = Array.from({ length: 7 }, () => ({ known: 'M20×1.5', result: 'rocks' }) as const);
    expect(() => identifyThread({ side: 'external', trials })).toThrow('7 trials');
    expect([trialProblem('Rc 1/8', 'internal'), trialProblem('Rc 1/8', 'external')]).toEqual([
      'Rc 1/8 is always an inside thread: what is tried here is a bolt or a male fitting.',
      undefined,
    ]);
  });
});
