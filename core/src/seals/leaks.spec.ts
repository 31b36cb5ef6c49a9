import { connectorThread, everyConnector, familyById, formatConnector, parseConnector, type Connector } from '../connectors/index.js';
import { turnsInWords } from './leaks.js';
import { mate, type Mating } from './index.js';

const all = everyConnector();
const males = all.filter((c) => c.gender === 'male');
const females = all.filter((c) => c.gender === 'female');
/** Every male against every female whose thread is near it: what is tried on an engine. */
const tried: [Connector, Connector, Mating][] = males.flatMap((male) => {
  const major = connectorThread(male)?.majorMm;
  return females
    .filter((female) => major !== undefined && Math.abs((connectorThread(female)?.majorMm ?? Infinity) - major) < 1.5)
    .map((female): [Connector, Connector, Mating] => [male, female, mate(male, female)]);
});

/** A pair that is not answered as it should be. */
const told = ([male, female, { outcome, reason }]: (typeof tried)[number]): string =>
  `${formatConnector(male)} on ${formatConnector(female)}: ${outcome}, ${reason}`;

describe('what is tried on an engine', () => {
  it('has some of every outcome', () => {
    expect(tried.length).toBeGreaterThan(10_000);
    const outcomes = new Map<string, number>();
    for (const [, , { outcome }] of tried) outcomes.set(outcome, (outcomes.get(outcome) ?? 0) + 1);
    for (const outcome of ['seals', 'leaks', 'does-not-join']) expect(outcomes.get(outcome)).toBeGreaterThan(200);
  });

  it('is answered in whole sentences, without a hole in them', () => {
    for (const reason of new Set(tried.map(([, , m]) => m.reason))) {
      expect(reason).toMatch(/^[\dA-Z#].*\.$/);
      expect(reason).not.toMatch(/NaN|undefined|null|\[object/);
    }
  });

  it('says how the threads fit wherever it does not seal, and calls one that does not start a leak only where a wrench picks it up', () => {
    const wrong = tried.filter(([, , { outcome, fit }]) => {
      if ((fit !== undefined) !== (outcome !== 'seals')) return true;
      if (outcome !== 'leaks') return false;
      if (fit!.verdict === 'no-entry') return fit!.playMm <= -0.2;
      return !['same', 'binds', 'loose'].includes(fit!.verdict) || (fit!.verdict === 'binds' && fit!.turnsToBind! < 1);
    });
    expect(wrong.map(told)).toEqual([]);
  });

  it('seals only what the standards make for one another: equal sizes, threads that fit or no thread', () => {
    const wrong = tried.filter(([male, female, { outcome, kind, seal }]) => {
      const apart = connectorThread(male)!.pitchMm - (connectorThread(female)?.pitchMm ?? Infinity);
      return outcome === 'seals' && (kind === 'none' || seal!.method.length <= 5 || Math.abs(apart) > 5e-7);
    });
    expect(wrong.map(told)).toEqual([]);
  });

  it('leaks where only the seal face differs, thread for thread', () => {
    const same = tried.filter(([, , m]) => m.outcome === 'leaks' && m.fit!.verdict === 'same');
    expect(same.length).toBeGreaterThan(100);
    const wrong = same.filter(
      ([male, , { reason, source }]) =>
        !reason.includes('thread, another seal.') || !reason.includes(connectorThread(male)!.designation) || source === undefined,
    );
    expect(wrong.map(told)).toEqual([]);
  });
});

describe('words', () => {
  it.each([
    [0.4, 'half a turn'],
    [1.2, 'one turn'],
    [2.4, '2 turns'],
    [7.9, '8 turns'],
  ])('%d is %s', (count, words) => expect(turnsInWords(count)).toBe(words));

  it('name what an unthreaded thing has in common with a thread: nothing', () => {
    const reason = mate(parseConnector('bead 1/2'), parseConnector('npt 1/2 f')).reason;
    expect(reason).toContain(familyById('npt').name);
    expect(reason).toContain('nothing in common');
  });
});
