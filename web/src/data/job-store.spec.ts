import { TestBed } from '@angular/core/testing';
import type { JobChange, Line } from '@gewinde/core';
import { Subject } from 'rxjs';
import { document as sample, feed } from '../../../core/testing/sample-job';
import { answer, openSampleJob, settle, shopAt0, type OpenJob } from '../../test/open-job';
import type { LiveNews, LivePlace } from './live-stream';
import { ThisTab } from './this-tab';
import { ShopStore } from './shop-store';

const away = { status: 503, statusText: 'away' };
const row = (change: Partial<Line>) => ({ type: 'line' as const, row: { ...feed, ...change } as never });

describe('the open job', () => {
  let job: OpenJob;
  let news: Subject<LiveNews>;
  let places: (() => LivePlace)[];
  const name = () => job.store.document()?.lines[0]?.name;
  const tell = (change: JobChange) => news.next({ scope: 'job', change });
  const theirs = (change: Partial<Line>, more: Partial<JobChange> = {}) =>
    answer('their-key', { client: 'other', put: [row(change)], label: 'Edit L1', ...more });

  beforeEach(async () => {
    news = new Subject();
    places = [];
    job = await openSampleJob({}, { listen: (place) => (places.push(place), news) });
  });
  afterEach(() => {
    jest.useRealTimers();
    job.store.close();
  });

  it('shows an edit at once, and sends it with the version it was made on', async () => {
    job.store.edit('line', 'line1', { name: 'New' });
    expect([name(), job.store.saveState().at]).toEqual(['New', 'saving']);
    const { commands, key, request } = job.sent();
    expect(commands).toEqual([{ do: 'edit-line', id: 'line1', version: 3, set: { name: 'New' } }]);
    request.flush(answer(key, { put: [row({ name: 'New', version: 4 })] }));
    expect(job.store.saveState().at).toBe('saved');
    expect(job.store.document()?.lines[0]?.version).toBe(4);
  });

  it('refuses what cannot be done before it is sent, and nothing has happened', () => {
    expect(() => job.store.change({ do: 'delete-port', id: 'gallery' })).toThrow('L1 ends on it');
    job.nothingSent();
    expect(job.store.document()).toEqual(sample);
  });

  it('listens from where it was read, and from where it has come to when the stream is opened anew', () => {
    const place = places[places.length - 1]!;
    expect(place()).toEqual({ job: 'job', after: 0, shop: 0 });
    tell(theirs({ name: 'Theirs', version: 4 }, { id: 7 }));
    expect(place()).toEqual({ job: 'job', after: 7, shop: 0 });
    expect(name()).toBe('Theirs');
    expect(job.messages).toEqual([{ text: 'Changed elsewhere: Edit L1', tone: 'plain' }]);
  });

  it('does not say that all is saved while something waits', async () => {
    job.store.edit('line', 'line1', { name: 'One' });
    const { key, request } = job.sent();
    job.store.edit('line', 'line2', { name: 'Two' });
    request.flush(answer(key, { put: [row({ name: 'One', version: 4 })] }));
    expect(job.store.saveState().at).toBe('saving');
    const second = job.sent();
    second.request.flush(answer(second.key, { id: 2 }));
    expect(job.store.saveState().at).toBe('saved');
  });

  it.each([
    ['the database is away', { code: 'database-away', message: 'No database.' }, 503],
    ['the server is wrong inside', { code: 'internal', message: 'Something went wrong.' }, 500],
    ['too much is asked', { code: 'too-many-requests', message: 'Wait.' }, 429],
    ['a proxy answers', '<html>', 502],
  ])('keeps an edit while %s, and sends the same change when it is better', async (_, body, status) => {
    jest.useFakeTimers();
    job.store.edit('line', 'line1', { name: 'Kept' });
    const first = job.sent();
    first.request.flush(body, { status, statusText: 'no' });
    expect(job.store.saveState().at).toBe('waiting');
    expect(JSON.stringify({ ...localStorage })).toContain('Kept');
    await jest.advanceTimersByTimeAsync(2100);
    const again = job.sent();
    expect([again.key, again.commands]).toEqual([first.key, first.commands]);
    again.request.flush(answer(again.key, { put: [row({ name: 'Kept', version: 4 })] }));
    expect([job.store.saveState().at, name()]).toEqual(['saved', 'Kept']);
    expect(JSON.stringify({ ...localStorage })).not.toContain('Kept');
  });

  it('goes on where the browser has no room to keep what waits, and says once what that means', () => {
    const full = jest.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError');
    });
    job.store.edit('line', 'line1', { name: 'One' });
    job.store.edit('line', 'line2', { name: 'Two' });
    full.mockRestore();
    expect(name()).toBe('One');
    expect(job.sent().commands).toMatchObject([{ id: 'line1' }]);
    expect(job.messages.map((m) => m.text)).toEqual([expect.stringContaining('Leave this page open')]);
  });

  it('knows its own change again when the answer to it was lost and the stream tells of it', async () => {
    jest.useFakeTimers();
    job.store.edit('line', 'line1', { name: 'Mine' });
    const { key, request } = job.sent();
    request.error(new ProgressEvent('error'));
    job.store.edit('line', 'line1', { note: 'behind it' });
    tell(answer(key, { id: 5, put: [row({ name: 'Mine', version: 4 })] }));
    expect(job.messages).toEqual([]);
    const next = job.sent();
    expect(next.commands).toEqual([{ do: 'edit-line', id: 'line1', version: 4, set: { note: 'behind it' } }]);
    next.request.flush(answer(next.key, { id: 6, put: [row({ name: 'Mine', note: 'behind it', version: 5 })] }));
    await jest.advanceTimersByTimeAsync(60_000);
    job.nothingSent();
  });

  it('takes back what was done last, also when that is still on its way', async () => {
    job.store.edit('line', 'line1', { name: 'New' });
    job.store.step('undo');
    const { key, request } = job.sent();
    job.http.expectNone('/api/jobs/job/undo');
    request.flush(answer(key, { put: [row({ name: 'New', version: 4 })] }));
    const undo = job.request('POST', '/api/jobs/job/undo');
    undo.flush(answer((undo.request.body as { key: string }).key, { id: 2, label: 'Edit L1', put: [row({ version: 5 })] }));
    expect(name()).toBe('Line 1');
    expect(job.messages).toEqual([{ text: 'Undone: Edit L1', tone: 'plain' }]);
  });

  it('shows side effects of a command as the server tells them, and nothing else', () => {
    job.store.change({ do: 'delete-line', id: 'line1' });
    const { key, request } = job.sent();
    request.flush(
      answer(key, {
        removed: [
          { type: 'line', id: 'line1' },
          { type: 'port', id: 'vent' },
        ],
      }),
    );
    expect(job.store.document()?.lines.map((l) => l.id)).toEqual(['line2', 'line3']);
    expect(job.store.document()?.ports.some((p) => p.id === 'vent')).toBe(false);
    job.http.expectNone('/api/jobs/job');
  });

  it('takes an edit back that is refused for what it says, says why, and sends the next', () => {
    job.store.change({ do: 'edit-piece', id: 'line1', piece: 'p1', set: { slackPercent: 99 } });
    const { request } = job.sent();
    job.store.edit('line', 'line2', { name: 'Next' });
    request.flush({ code: 'bad-value', message: 'slackPercent must be <= 20.' }, { status: 400, statusText: 'bad' });
    expect(job.store.document()?.lines[0]?.pieces[0]?.slackPercent).toBe(0);
    expect(job.messages).toEqual([{ text: 'slackPercent must be <= 20.', tone: 'error' }]);
    expect(job.sent().commands).toMatchObject([{ id: 'line2' }]);
  });

  it('can be given up while it waits, and what is behind it goes', async () => {
    jest.useFakeTimers();
    job.store.edit('line', 'line1', { name: 'Poison' });
    const { key, request } = job.sent();
    job.store.edit('line', 'line2', { name: 'Next' });
    request.flush({ code: 'internal', message: 'Broken.' }, { status: 500, statusText: 'no' });
    job.store.giveUp(key);
    expect(name()).toBe('Line 1');
    expect(job.sent().commands).toMatchObject([{ id: 'line2' }]);
  });

  describe('in a conflict', () => {
    const meet = (current: Partial<Line>) => {
      job.store.edit('line', 'line1', { name: 'Mine' });
      const { request } = job.sent();
      request.flush({ code: 'conflict', message: 'x', current: { ...feed, ...current } }, { status: 409, statusText: 'conflict' });
    };

    it('shows both versions, and sends mine over theirs when told to', () => {
      meet({ name: 'Theirs', version: 9 });
      expect(job.store.conflict()).toMatchObject({ mine: { name: 'Mine' }, theirs: { name: 'Theirs' } });
      expect(job.store.saveState().at).toBe('saving');
      job.store.settle('mine');
      const { commands, key, request } = job.sent();
      expect(commands).toMatchObject([{ version: 9, set: { name: 'Mine' } }]);
      request.flush(answer(key, { id: 3, put: [row({ name: 'Mine', version: 10 })] }));
      expect([name(), job.store.conflict(), job.store.saveState().at]).toEqual(['Mine', null, 'saved']);
    });

    it('takes theirs when told to, sends nothing, and goes on with what waits', () => {
      meet({ name: 'Theirs', version: 9 });
      job.store.edit('line', 'line2', { name: 'Next' });
      job.store.settle('theirs');
      expect(name()).toBe('Theirs');
      expect(job.sent().commands).toMatchObject([{ id: 'line2' }]);
    });

    it('that was begun before somebody else came is one, also when theirs has been shown meanwhile', () => {
      const begun = job.store.versionOf('line', 'line1');
      tell(theirs({ name: 'Theirs', version: 4 }));
      job.store.edit('line', 'line1', { name: 'Half typed before' }, begun);
      expect(job.sent().commands).toMatchObject([{ version: 3 }]);
    });

    it('is none against a change of one’s own that arrives while one types', () => {
      job.store.edit('line', 'line1', { note: 'first' });
      const begun = job.store.versionOf('line', 'line1');
      const { key, request } = job.sent();
      request.flush(answer(key, { put: [row({ note: 'first', version: 4 })] }));
      job.store.edit('line', 'line1', { name: 'Then' }, begun);
      expect(job.sent().commands).toMatchObject([{ version: 4, set: { name: 'Then' } }]);
    });
  });

  it('reads everything anew when the stream says that what it has is not to be built on', () => {
    news.next({ scope: 'stale', of: 'all' });
    job.request('GET', '/api/jobs/job').flush({ document: { ...sample, lines: [] }, at: 3 });
    expect(job.store.document()?.lines).toEqual([]);
    expect(places[places.length - 1]!().after).toBe(3);
  });

  it('reads the shop alone anew when so much of it has changed that it is not told', () => {
    job.http.match('/api/catalogue');
    news.next({ scope: 'stale', of: 'shop' });
    job.http.expectNone('/api/jobs/job');
    job.request('GET', '/api/catalogue').flush({ ...shopAt0, at: 9 });
    expect(TestBed.inject(ShopStore).at).toBe(9);
  });
});

describe('opening', () => {
  it('one job and then another quickly shows the second, whichever answers first', async () => {
    const { http, store } = await openSampleJob();
    store.open('a');
    const first = http.expectOne('/api/jobs/a');
    store.open('b');
    expect([first.cancelled, store.document()]).toEqual([true, null]);
    http.expectOne('/api/jobs/b').flush({ document: { ...sample, job: { ...sample.job, id: 'b' } }, at: 0 });
    expect(store.jobId()).toBe('b');
  });

  it('puts what this tab, or one that is gone, could not send back on the screen, and sends it', async () => {
    const { http, store } = await openSampleJob();
    const tab = TestBed.inject(ThisTab);
    Object.assign(tab, { free: ['gone'] });
    const [here, there] = ['00000000-0000-4000-8000-00000000000a', '00000000-0000-4000-8000-00000000000b'];
    const kept = (key: string, id: string) =>
      JSON.stringify([{ key, commands: [{ do: 'edit-line', id, version: 3, set: { name: `From ${key.slice(-1)}` } }] }]);
    localStorage.setItem(`gewinde.outbox.other.${tab.id}`, kept(here, 'line1'));
    localStorage.setItem('gewinde.outbox.other.gone', kept(there, 'line2'));
    store.open('other');
    http.expectOne('/api/jobs/other').flush({ document: { ...sample, job: { ...sample.job, id: 'other' } }, at: 0 });
    expect(store.document()?.lines.map((l) => l.name)).toEqual(['From a', 'From b', 'Line 3']);
    const request = http.expectOne('/api/jobs/other/changes');
    expect(request.request.body).toMatchObject({ key: here });
    request.flush(answer(here));
    expect(http.expectOne('/api/jobs/other/changes').request.body).toMatchObject({ key: there });
    expect(localStorage.getItem('gewinde.outbox.other.gone')).toBeNull();
  });

  it('says why a job cannot be read, and reads it again when asked', async () => {
    const { http, store } = await openSampleJob();
    store.open('x');
    http.expectOne('/api/jobs/x').flush({ code: 'database-away', message: 'No database.' }, away);
    expect(store.loadError()).toMatchObject({ code: 'database-away', transient: true });
    store.reload();
    http.expectOne('/api/jobs/x').flush({ document: sample, at: 0 });
    await settle();
    expect([store.loadError(), store.jobId()]).toEqual([null, 'job']);
  });
});
