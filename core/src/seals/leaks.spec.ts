import { connectorThread, everyConnector, familyById, parseConnector, type Connector } from '../connectors/index.js';
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
    for (const [, , { outcome, fit }] of tried) {
      expect(fit !== undefined).toBe(outcome !== 'seals');
      if (outcome === 'leaks' && fit!.verdict === 'no-entry') expect(fit!.playMm).toBeGreaterThan(-0.2);
      else if (outcome === 'leaks') expect(['same', 'binds', 'loose']).toContain(fit!.verdict);
      if (outcome === 'leaks' && fit!.verdict === 'binds') expect(fit!.turnsToBind).toBeGreaterThanOrEqual(1);
    }
  });

  it('seals only what the standards make for one another: equal sizes, threads that fit or no thread', () => {
    for (const [male, female, { outcome, kind, seal }] of tried) {
      if (outcome !== 'seals') continue;
      expect(kind).not.toBe('none');
      expect(seal!.method.length).toBeGreaterThan(5);
      const pitches = [male, female].map((c) => connectorThread(c)!.pitchMm);
      expect(pitches[0]).toBeCloseTo(pitches[1]!, 6);
    }
  });

  it('leaks where only the seal face differs, thread for thread', () => {
    const same = tried.filter(([, , m]) => m.outcome === 'leaks' && m.fit!.verdict === 'same');
    expect(same.length).toBeGreaterThan(100);
    for (const [male, , { reason, source }] of same) {
      expect(reason).toContain('thread, another seal.');
      expect(reason).toContain(connectorThread(male)!.designation);
      expect(source).toBeDefined();
    }
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
