import { of, Subject, throwError } from 'rxjs';
import { ApiError } from '../data/api';
import { Attempt } from './attempt';
import { SetOver } from './set-over';

const conflict = (version: number) =>
  throwError(() => new ApiError('conflict', 'Somebody else has changed this.', { current: { version } }));
const refused = throwError(() => new ApiError('bad-value', 'No such thing.', { field: 'commands/0/name' }));

describe('setting over theirs', () => {
  it('goes over the version that stood when the form was opened; what is newer is said first, and set over when asked again', async () => {
    const setting = new SetOver(2);
    const over: number[] = [];
    const set = (answer: ReturnType<typeof conflict>) => (version: number) => {
      over.push(version);
      return answer;
    };
    expect(await setting.run(set(conflict(5)))).toBe(false);
    expect(setting.error()).toBe('Somebody else has changed this. Set again to put yours over it, or cancel to keep theirs.');
    expect(await setting.run(set(of({}) as never))).toBe(true);
    expect([over, setting.error()]).toEqual([[2, 5], null]);
  });

  it('tells a refusal where it belongs, in the words of the form, and is busy until it is answered', async () => {
    const told: unknown[] = [];
    const setting = new SetOver(1, 'Save again.', (...said) => told.push(said));
    const answer = new Subject<string>();
    const asked = setting.ask(() => answer);
    expect(setting.busy()).toBe(true);
    answer.next('done');
    answer.complete();
    expect([await asked, setting.busy()]).toEqual(['done', false]);
    expect(await setting.ask(() => refused)).toBeNull();
    expect(await setting.ask(() => conflict(9))).toBeNull();
    expect(told).toEqual([
      ['No such thing.', 'commands/0/name'],
      ['Somebody else has changed this. Save again.', undefined],
    ]);
  });

  it('hides no fault of its own', async () => {
    const setting = new SetOver(1);
    await expect(setting.run(() => throwError(() => new TypeError('a fault')))).rejects.toThrow('a fault');
    expect(setting.busy()).toBe(false);
  });
});

describe('an attempt', () => {
  it('is busy while it runs, and says why it failed until the next', async () => {
    const attempt = new Attempt();
    let done: () => void = () => undefined;
    const first = attempt.run(() => new Promise<void>((resolve) => (done = resolve)));
    expect(attempt.busy()).toBe(true);
    done();
    expect([await first, attempt.busy(), attempt.error()]).toEqual([true, false, null]);
    expect(await attempt.run(() => Promise.reject(new Error('away')))).toBe(false);
    expect([attempt.busy(), attempt.error()]).toEqual([false, 'away']);
    await attempt.run(() => Promise.resolve());
    expect(attempt.error()).toBeNull();
  });
});
