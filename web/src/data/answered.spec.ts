import { signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { Subject } from 'rxjs';
import { answered } from './answered';

/** A question as a signal, and what is asked of it, answered by the test. */
function start(settledMs?: number) {
  const question = signal<{ readonly n: number } | null>(null);
  const asked: { readonly n: number; readonly answer: Subject<string> }[] = [];
  const ask = ({ n }: { readonly n: number }): Subject<string> => {
    const answer = new Subject<string>();
    asked.push({ n, answer });
    return answer;
  };
  const state = TestBed.runInInjectionContext(() => answered(question, ask, settledMs));
  const put = (n: number | null) => {
    question.set(n === null ? null : { n });
    TestBed.tick();
  };
  const how = () => ({ answer: state.answer(), waiting: state.waiting(), failed: state.failed() });
  return { question, asked, state, put, how };
}
const still = { answer: undefined, waiting: false, failed: undefined };

describe('a question that is worked out elsewhere', () => {
  it('waits, and is answered', () => {
    const { put, how, asked, state } = start();
    expect(how()).toEqual(still);
    put(1);
    expect(how()).toEqual({ ...still, waiting: true });
    asked[0]!.answer.next('one');
    expect(how()).toEqual({ ...still, answer: 'one' });
    expect(state.last()).toEqual({ to: { n: 1 }, answer: 'one' });
  });

  it('that is another one is asked anew: the first is given up, its answer stale from that moment and never taken for the second', () => {
    const { put, how, asked, question, state } = start();
    put(1);
    asked[0]!.answer.next('one');
    question.set({ n: 2 });
    expect(how()).toEqual({ ...still, waiting: true });
    TestBed.tick();
    expect(asked.map(({ n, answer }) => [n, answer.observed])).toEqual([
      [1, false],
      [2, true],
    ]);
    asked[0]!.answer.next('late');
    expect(how()).toEqual({ ...still, waiting: true });
    expect(state.last()?.answer).toBe('one');
    asked[1]!.answer.next('two');
    expect(how().answer).toBe('two');
  });

  it('that fails says why, for as long as it is the question; the next is asked all the same', () => {
    const { put, how, asked, state } = start();
    put(1);
    asked[0]!.answer.error(new Error('The server is away.'));
    expect(how()).toEqual({ ...still, failed: 'The server is away.' });
    put(2);
    expect(how()).toEqual({ ...still, waiting: true });
    asked[1]!.answer.next('two');
    expect(how()).toEqual({ ...still, answer: 'two' });
    put(3);
    asked[2]!.answer.error('no');
    expect([how(), state.last()?.answer]).toEqual([{ ...still, failed: 'no' }, 'two']);
  });

  it('that is none has no answer, and what was there is no longer one', () => {
    const { put, how, asked } = start();
    put(1);
    put(null);
    expect([how(), asked[0]!.answer.observed]).toEqual([still, false]);
    put(2);
    asked[1]!.answer.next('two');
    put(null);
    expect(how()).toEqual(still);
  });

  it('is asked once it stands still, where that is wanted', () => {
    jest.useFakeTimers();
    try {
      const { put, how, asked } = start(200);
      for (const n of [1, 2, 3]) put(n);
      expect([asked.length, how()]).toEqual([0, { ...still, waiting: true }]);
      jest.advanceTimersByTime(200);
      expect(asked.map(({ n }) => n)).toEqual([3]);
      asked[0]!.answer.next('three');
      expect(how()).toEqual({ ...still, answer: 'three' });
    } finally {
      jest.useRealTimers();
    }
  });
});
