import { answer as changed, openSampleJob, render, settle, type OpenJob, type Rendered } from '../../test/open-job';
import { OutboxStorage } from '../data/outbox';
import { ThisTab } from '../data/this-tab';
import { TestBed } from '@angular/core/testing';
import { Board } from './board';

const [one, other] = ['11111111-1111-4111-8111-111111111111', '22222222-2222-4222-8222-222222222222'];
const key = (n: number) => `00000000-0000-4000-8000-00000000000${n}`;
const rename = (n: number) => ({ key: key(n), commands: [{ do: 'edit-job' as const, version: n, set: { name: `Name ${n}` } }] });

describe('what was left unsent', () => {
  let job: OpenJob;
  let board: Rendered<Board>;
  const changes = (id: string) => job.request('POST', `/api/jobs/${id}/changes`);
  const words = () => board.text().replace(/\s+/g, ' ');
  beforeEach(async () => {
    localStorage.clear();
    job = await openSampleJob();
    const tab = TestBed.inject(ThisTab);
    jest.spyOn(tab, 'left', 'get').mockReturnValue(['closed']);
    new OutboxStorage(one).write('closed', [rename(1), rename(2)]);
    new OutboxStorage(other).write(tab.id, [rename(3)]);
    // of a tab that is open: that one sends it
    new OutboxStorage(other).write('open elsewhere', [rename(4)]);
    board = await render(Board);
    job.http.expectOne(({ url }) => url === '/api/jobs').flush({ jobs: [], total: 0, behind: 0 });
    await settle();
    await board.stable();
  });
  afterEach(() => localStorage.clear());

  it('is told on the board and sent in order, under its keys', async () => {
    expect(words()).toContain('2 changes of a job that is not listed here not sent yet');
    expect(words()).toContain('1 change of a job that is not listed here not sent yet');
    for (const n of [1, 2]) {
      const request = changes(one);
      expect(request.request.body).toEqual(rename(n));
      request.flush(changed(key(n)));
      await settle();
    }
    changes(other).flush(changed(key(3)));
    await settle();
    await board.stable();
    expect(words()).toContain('3 changes that were left unsent have gone out now.');
    expect(words()).not.toContain('not sent yet');
    expect(new OutboxStorage(one).read('closed')).toEqual([]);
    expect(new OutboxStorage(other).read('open elsewhere')).toEqual([rename(4)]);
  });

  it('stays where it is when it is refused, and says where it is settled; what follows waits for it', async () => {
    changes(one).flush({ code: 'conflict', message: 'Somebody else has changed this.' }, { status: 409, statusText: 'conflict' });
    await settle();
    changes(other).flush({ code: 'not-found', message: 'Gone.' }, { status: 404, statusText: 'gone' });
    await settle();
    await board.stable();
    expect(words()).toContain('Somebody else has changed this. Open the job to settle it');
    expect(board.find('[role=status] a').getAttribute('href')).toBe(`/job/${one}`);
    expect(new OutboxStorage(one).read('closed')).toEqual([rename(1), rename(2)]);
    // a job that is gone took its changes with it
    expect(new OutboxStorage(other).read(TestBed.inject(ThisTab).id)).toEqual([]);
  });

  it('is tried again when nobody answers', async () => {
    jest.useFakeTimers();
    changes(one).error(new ProgressEvent('error'));
    await jest.advanceTimersByTimeAsync(0);
    changes(other).error(new ProgressEvent('error'));
    await jest.advanceTimersByTimeAsync(6000);
    expect(changes(one).request.body).toEqual(rename(1));
    jest.useRealTimers();
  });
});
