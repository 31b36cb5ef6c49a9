import { ChainStates, type StepEffect } from './chain-states.js';
import { JOINT } from './sealing-index.js';
import { priceOnly, usualWeights, type ChainWeights } from './chain-weights.js';

const effect = (change: Partial<StepEffect> = {}): StepEffect => ({ turn: 0, takes: 0, uses: 0, aims: false, lead: 0, ...change });
const states = (change: Partial<ConstructorParameters<typeof ChainStates>[0]> = {}): ChainStates =>
  new ChainStates({ turn: undefined, turns: [0, 450, 900], takeOffs: 0, uses: 0, weights: priceOnly, ...change });
/** Follows effects from the start: the state and what was paid on the way; undefined where a step is not allowed. */
function follow(s: ChainStates, ...effects: StepEffect[]): { state: number; cost: number } | undefined {
  let state = s.start;
  let cost = 0;
  for (const e of effects) {
    const { next, extra } = s.transition(e);
    if (next[state]! < 0) return undefined;
    cost += extra[state]!;
    state = next[state]!;
  }
  return { state, cost };
}

describe('the state of a chain', () => {
  it('is one where nothing is asked, and ends free of cost', () => {
    const s = states();
    expect(s.size).toBe(1);
    expect(s.final(follow(s, effect({ turn: 900 }), effect())!.state)).toBe(0);
  });

  it('adds up turns to the wished one, and goes no further', () => {
    const s = states({ turn: 900 });
    expect(s.final(follow(s, effect({ turn: 450 }), effect({ turn: 450 }))!.state)).toBe(0);
    expect(s.final(follow(s, effect({ turn: 450 }))!.state)).toBe(Infinity);
    expect(follow(s, effect({ turn: 900 }), effect({ turn: 450 }))).toBeUndefined();
    expect(s.final(s.start)).toBe(Infinity);
  });

  it('serves each branch and each wanted part once', () => {
    const s = states({ takeOffs: 2, uses: 1 });
    const all = follow(s, effect({ takes: 1 }), effect({ takes: 2, uses: 1 }))!;
    expect(s.final(all.state)).toBe(0);
    expect(s.final(follow(s, effect({ takes: 1, uses: 1 }))!.state)).toBe(Infinity);
    expect(follow(s, effect({ takes: 1 }), effect({ takes: 1 }))).toBeUndefined();
    expect(follow(s, effect({ uses: 1 }), effect({ uses: 1 }))).toBeUndefined();
  });

  it('charges each elbow where elbows are unwanted, and its absence where one is wanted', () => {
    const weigh = (elbows: ChainWeights['elbows']): ChainStates => states({ weights: { ...priceOnly, elbows, elbowMinor: 70 } });
    const bent = effect({ turn: 450 });
    expect(follow(weigh('unwanted'), bent, bent)!.cost).toBe(140);
    expect(follow(weigh('either'), bent)!.cost).toBe(0);
    const wanted = weigh('wanted');
    expect([wanted.final(wanted.start), wanted.final(follow(wanted, bent)!.state)]).toEqual([70, 0]);
  });

  it('charges an elbow only until something can be turned', () => {
    const s = states({ weights: { ...priceOnly, aimMinor: 50 } });
    const bent = effect({ turn: 900 });
    // and as one joint more
    expect(follow(s, bent)!.cost).toBe(50 + JOINT);
    expect(follow(s, { ...bent, aims: true })!.cost).toBe(0);
    expect(follow(s, effect({ aims: true }), bent)!.cost).toBe(0);
    expect(follow(s, bent, effect({ aims: true }), bent)!.cost).toBe(50 + JOINT);
  });

  it('waits for the slowest part, not for all of them', () => {
    const s = states({ weights: { ...priceOnly, leadDayMinor: 10 } });
    const lead = (step: number): StepEffect => effect({ lead: step });
    expect(follow(s, lead(2), lead(1), lead(2))!.cost).toBe(70);
    expect(follow(s, lead(1), lead(4))!.cost).toBe(300);
    // what is only a cost does not make another place of a connector
    expect(s.place(follow(s, lead(4))!.state)).toBe(s.place(s.start));
  });

  it('keeps all of these apart at once', () => {
    const s = states({ turn: 900, takeOffs: 1, uses: 1, weights: { ...usualWeights, elbows: 'wanted' } });
    const end = follow(s, effect({ turn: 900, aims: true, lead: 1 }), effect({ takes: 1, lead: 2 }), effect({ uses: 1 }))!;
    expect(s.final(end.state)).toBe(0);
    expect(end.cost).toBe(7 * usualWeights.leadDayMinor);
  });
});
