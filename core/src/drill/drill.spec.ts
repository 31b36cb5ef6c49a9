import fc from 'fast-check';
import { drillWeights, isHonestMistake, nextInDrill, weakPairs, type DrillAnswer } from './index.js';

const tray = ['M14×1.5', '9/16-18 UNF', 'M10×1', 'R 1/8'];
const wrong = (truth: string, answer: string): DrillAnswer => ({ truth, answer, right: false });
const right = (truth: string): DrillAnswer => ({ truth, answer: truth, right: true });

describe('the drill', () => {
  it('starts fair', () => expect([...drillWeights(tray, []).values()]).toEqual([1, 1, 1, 1]));

  it('brings a mixed-up pair back more often, both of it, until it is known', () => {
    const mixed = drillWeights(tray, [wrong('M14×1.5', '9/16-18 UNF')]);
    expect(mixed.get('M14×1.5')).toBe(3);
    expect(mixed.get('9/16-18 UNF')).toBe(2);
    expect(mixed.get('M10×1')).toBe(1);
    const learned = drillWeights(tray, [wrong('M14×1.5', '9/16-18 UNF'), ...Array<DrillAnswer>(5).fill(right('M14×1.5'))]);
    expect(learned.get('M14×1.5')).toBeLessThan(0.5);
  });

  it('keeps every thread in play and none out of bounds', () => {
    const answer = fc
      .tuple(fc.constantFrom(...tray), fc.constantFrom(...tray, 'M20×1.5'))
      .map(([truth, said]) => ({ truth, answer: said, right: truth === said }));
    fc.assert(
      fc.property(fc.array(answer, { maxLength: 60 }), fc.double({ min: 0, max: 1, noNaN: true }), (answers, chance) => {
        for (const weight of drillWeights(tray, answers).values()) {
          expect(weight).toBeGreaterThanOrEqual(0.4);
          expect(weight).toBeLessThanOrEqual(9);
        }
        const next = nextInDrill(tray, answers, chance);
        expect(tray).toContain(next);
        if (answers.length > 0) expect(next).not.toBe(answers[answers.length - 1]!.truth);
      }),
    );
  });

  it('draws by weight', () => {
    const answers = [wrong('M14×1.5', '9/16-18 UNF'), wrong('M14×1.5', '9/16-18 UNF'), right('R 1/8')];
    const drawn = Array.from({ length: 100 }, (_, i) => nextInDrill(tray, answers, (i + 0.5) / 100));
    expect(drawn.filter((t) => t === 'M14×1.5').length).toBeGreaterThan(50);
    expect(nextInDrill(['M10×1'], [right('M10×1')], 0.5)).toBe('M10×1');
    expect(nextInDrill([], [], 0.5)).toBeUndefined();
  });

  it('lists the pairs mixed up, those still weak first', () => {
    const answers = [wrong('M10×1', 'R 1/8'), right('M10×1'), wrong('M14×1.5', '9/16-18 UNF'), wrong('M14×1.5', '9/16-18 UNF')];
    expect(weakPairs(answers)).toEqual([
      { truth: 'M14×1.5', answer: '9/16-18 UNF', times: 2, rightSince: 0 },
      { truth: 'M10×1', answer: 'R 1/8', times: 1, rightSince: 1 },
    ]);
  });

  it('knows an honest mistake', () => {
    expect(isHonestMistake('M14×1.5', '9/16-18')).toBe(true);
    expect(isHonestMistake('M14×1.5', 'M27×2')).toBe(false);
  });
});
