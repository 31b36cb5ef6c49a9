import { TestBed } from '@angular/core/testing';
import { openSampleJob, settle } from '../../test/open-job';
import { InSight } from './in-sight';
import { StepsBack } from './steps-back';

const step = (key: string, label: string, id: string) => ({ key, label, rows: [{ type: 'line', id }] });
const opening = async () => {
  const opened = await openSampleJob();
  const steps = TestBed.inject(StepsBack);
  /** Presses the keys; the server says what would be done. */
  const press = async (direction: 'undo' | 'redo', told: object) => {
    steps.step(direction);
    opened.request('GET', '/api/jobs/job/steps').flush(told);
    await settle();
  };
  const done = async (direction: 'undo' | 'redo') => {
    const request = opened.request('POST', `/api/jobs/job/${direction}`);
    const { of } = request.request.body as { of: string };
    request.flush({ key: `${direction} ${of}`, label: '', put: [], removed: [], at: 1, jobId: 'job' });
    await settle();
    return of;
  };
  const notDone = () => opened.http.expectNone((r) => r.method === 'POST' && /\/(undo|redo)$/.test(r.url));
  return { opened, steps, press, done, notDone, said: () => opened.messages.at(-1)?.text };
};

describe('undo', () => {
  it('of what is in sight is done at once', async () => {
    const { press, done } = await opening();
    TestBed.inject(InSight).show({}, ['line1']);
    await press('undo', { undo: step('k1', 'Edit line L1', 'line1') });
    expect(await done('undo')).toBe('k1');
  });

  it('of what is not seen says first what it is; the same again does it, another thing is asked anew', async () => {
    const { press, done, notDone, said } = await opening();
    await press('undo', { undo: step('k1', 'Edit line L9', 'far') });
    notDone();
    expect(said()).toBe('Undo “Edit line L9”?');
    await press('undo', { undo: step('k2', 'Edit line L8', 'far') });
    notDone();
    expect(said()).toBe('Undo “Edit line L8”?');
    await press('undo', { undo: step('k2', 'Edit line L8', 'far') });
    expect(await done('undo')).toBe('k2');
  });

  it('is made again without a question right after, though what it made is not there to be seen', async () => {
    const { press, done, notDone, said } = await opening();
    await press('undo', { undo: step('k1', 'Add a line', 'new') });
    await press('undo', { undo: step('k1', 'Add a line', 'new') });
    await done('undo');
    await press('redo', { redo: step('k1', 'Add a line', 'new') });
    expect(await done('redo')).toBe('k1');
    await press('redo', { redo: step('k3', 'Add a tee', 'other') });
    notDone();
    expect(said()).toBe('Redo “Add a tee”?');
  });

  it('with nothing left, or with no server to ask, says so', async () => {
    const { opened, steps, press, said } = await opening();
    await press('undo', {});
    expect(said()).toBe('There is nothing to undo.');
    steps.step('undo');
    opened.request('GET', '/api/jobs/job/steps').error(new ProgressEvent('error'));
    await settle();
    expect(said()).toContain('not known while the server does not answer');
  });
});
