import { provideHttpClient } from '@angular/common/http';
import { HttpTestingController, provideHttpClientTesting } from '@angular/common/http/testing';
import { TestBed } from '@angular/core/testing';
import type { JobDocument, Line } from '@gewinde/core';
import { document as sample, feed } from '../../../core/testing/sample-job';
import { JobStore, type Message } from './job-store';

class SilentEvents {
  addEventListener(): void {
    /* nothing is heard */
  }
  close(): void {
    /* nothing to close */
  }
}

const document: JobDocument = { ...sample, lines: [feed] };
const line = (change: Partial<Line>): Line => ({ ...feed, ...change });
const settle = () => new Promise((resolve) => setTimeout(resolve, 0));

describe('JobStore', () => {
  let http: HttpTestingController;
  let store: JobStore;
  let messages: Message[];

  beforeEach(async () => {
    localStorage.clear();
    Object.assign(globalThis, { EventSource: SilentEvents });
    TestBed.configureTestingModule({ providers: [provideHttpClient(), provideHttpClientTesting()] });
    http = TestBed.inject(HttpTestingController);
    store = TestBed.inject(JobStore);
    messages = [];
    store.messages.subscribe((m) => messages.push(m));
    const opening = store.open('job');
    http.expectOne('/api/jobs/job').flush(document);
    await opening;
  });
  afterEach(() => {
    store.close();
    http.verify();
  });

  const name = () => store.document()?.lines[0]?.name;
  const patches = () => http.match({ method: 'PATCH', url: '/api/lines/line1' });

  it('shows an edit at once and sends it with the version it was made on', async () => {
    store.edit('line', 'line1', { name: 'New' });
    expect(name()).toBe('New');
    expect(store.saveState().at).toBe('saving');
    const [request] = patches();
    expect(request!.request.body).toEqual({ version: 3, name: 'New' });
    request!.flush(line({ name: 'New', version: 4 }));
    await settle();
    expect(store.saveState().at).toBe('saved');
    expect(store.document()?.lines[0]?.version).toBe(4);
  });

  it('keeps an edit while the database is away, through a reload, and sends it when it is back', async () => {
    jest.useFakeTimers();
    store.edit('line', 'line1', { name: 'Kept' });
    patches()[0]!.flush({ code: 'database-away', message: 'The database does not answer.' }, { status: 503, statusText: 'away' });
    await jest.advanceTimersByTimeAsync(0);
    expect(store.saveState()).toMatchObject({ at: 'waiting', reason: 'The database does not answer.' });
    expect(localStorage.getItem('gewinde.outbox.job')).toContain('Kept');
    await jest.advanceTimersByTimeAsync(2100);
    const again = patches();
    expect(again).toHaveLength(1);
    again[0]!.flush(line({ name: 'Kept', version: 4 }));
    await jest.advanceTimersByTimeAsync(0);
    jest.useRealTimers();
    expect(store.saveState().at).toBe('saved');
    expect(localStorage.getItem('gewinde.outbox.job')).toBeNull();
  });

  it('shows both versions of a conflict and sends mine over theirs when told to', async () => {
    store.edit('line', 'line1', { name: 'Mine' });
    patches()[0]!.flush(
      { code: 'conflict', message: 'x', current: line({ name: 'Theirs', version: 9 }) },
      { status: 409, statusText: 'conflict' },
    );
    await settle();
    expect(store.conflict()).toMatchObject({ edit: { patch: { name: 'Mine' } }, theirs: { name: 'Theirs' } });
    store.settle('mine');
    const [request] = patches();
    expect(request!.request.body).toEqual({ version: 9, name: 'Mine' });
    request!.flush(line({ name: 'Mine', version: 10 }));
    await settle();
    expect(name()).toBe('Mine');
  });

  it('takes theirs when told to, and sends nothing', async () => {
    store.edit('line', 'line1', { name: 'Mine' });
    patches()[0]!.flush(
      { code: 'conflict', message: 'x', current: line({ name: 'Theirs', version: 9 }) },
      { status: 409, statusText: 'conflict' },
    );
    await settle();
    store.settle('theirs');
    expect(patches()).toHaveLength(0);
    expect(name()).toBe('Theirs');
  });

  it('takes back an edit the server refuses, and says why', async () => {
    store.edit('line', 'line1', { slackPercent: 99 });
    patches()[0]!.flush(
      { code: 'bad-value', message: 'slackPercent must be <= 20.', field: 'slackPercent' },
      { status: 400, statusText: 'bad' },
    );
    await settle();
    http.expectOne('/api/jobs/job').flush(document);
    await settle();
    expect(store.document()?.lines[0]?.slackPercent).toBe(0);
    expect(messages).toEqual([{ text: 'slackPercent must be <= 20.', tone: 'error' }]);
  });
});

describe('the live stream', () => {
  type Listener = (event: { data: string }) => void;
  const streams: { url: string; listeners: Record<string, Listener>; closed: boolean }[] = [];
  let http: HttpTestingController;
  let store: JobStore;

  beforeEach(async () => {
    localStorage.clear();
    streams.length = 0;
    Object.assign(globalThis, {
      EventSource: class {
        private readonly stream = { url: '', listeners: {} as Record<string, Listener>, closed: false };
        constructor(url: string) {
          this.stream.url = url;
          streams.push(this.stream);
        }
        addEventListener(name: string, listener: Listener): void {
          this.stream.listeners[name] = listener;
        }
        close(): void {
          this.stream.closed = true;
        }
      },
    });
    TestBed.configureTestingModule({ providers: [provideHttpClient(), provideHttpClientTesting()] });
    http = TestBed.inject(HttpTestingController);
    store = TestBed.inject(JobStore);
    const opening = store.open('job');
    http.expectOne('/api/jobs/job').flush(document);
    await opening;
  });
  afterEach(() => store.close());

  const tell = (name: string, data: object = {}) => streams[0]!.listeners[name]!({ data: JSON.stringify(data) });

  it('belongs to the job and this tab, and ends with the job', () => {
    expect(streams[0]!.url).toMatch(/^\/api\/jobs\/job\/live\?client=\w+$/);
    store.close();
    expect(streams[0]!.closed).toBe(true);
  });

  it('brings what others change, with a word about it', async () => {
    const messages: Message[] = [];
    store.messages.subscribe((m) => messages.push(m));
    tell('change', { label: 'Edit L1' });
    http.expectOne('/api/jobs/job').flush({ ...document, lines: [line({ name: 'Theirs', version: 5 })] });
    await settle();
    expect(store.document()?.lines[0]).toMatchObject({ name: 'Theirs', version: 5 });
    expect(messages).toEqual([{ text: 'Changed elsewhere: Edit L1', tone: 'plain' }]);
  });

  it('makes up for what it missed whenever it opens', async () => {
    tell('open');
    http.expectOne('/api/jobs/job').flush({ ...document, lines: [line({ name: 'Missed', version: 6 })] });
    await settle();
    expect(store.document()?.lines[0]?.name).toBe('Missed');
  });

  it("does not take an edit of one's own off the screen", async () => {
    store.edit('line', 'line1', { name: 'Mine' });
    tell('change', { label: 'Edit Block' });
    tell('open');
    http.expectNone('/api/jobs/job');
    http.expectOne({ method: 'PATCH', url: '/api/lines/line1' }).flush(line({ name: 'Mine', version: 4 }));
    await settle();
    http.expectOne('/api/jobs/job').flush({ ...document, lines: [line({ name: 'Mine', version: 4 })] });
    await settle();
    expect(store.document()?.lines[0]?.name).toBe('Mine');
  });
});

describe('opening and acting', () => {
  const start = async () => {
    Object.assign(globalThis, { EventSource: SilentEvents });
    TestBed.configureTestingModule({ providers: [provideHttpClient(), provideHttpClientTesting()] });
    const http = TestBed.inject(HttpTestingController);
    return { http, store: TestBed.inject(JobStore) };
  };

  it('puts what an earlier visit could not send back on the screen, and sends it', async () => {
    localStorage.clear();
    localStorage.setItem('gewinde.outbox.job', JSON.stringify([{ kind: 'line', id: 'line1', version: 3, patch: { name: 'From before' } }]));
    const { http, store } = await start();
    const opening = store.open('job');
    http.expectOne('/api/jobs/job').flush(document);
    await opening;
    expect(store.document()?.lines[0]?.name).toBe('From before');
    expect(http.expectOne('/api/lines/line1').request.body).toEqual({ version: 3, name: 'From before' });
    store.close();
  });

  it('reads the job anew after something was made, and tells of it', async () => {
    localStorage.clear();
    const { http, store } = await start();
    const messages: Message[] = [];
    store.messages.subscribe((m) => messages.push(m));
    const opening = store.open('job');
    http.expectOne('/api/jobs/job').flush(document);
    await opening;
    const acting = store.act(
      () => Promise.resolve('x'),
      (x) => ({ text: `made ${x}`, tone: 'plain' }),
    );
    await settle();
    http.expectOne('/api/jobs/job').flush({ ...document, lines: [] });
    expect(await acting).toBe('x');
    expect(store.document()?.lines).toEqual([]);
    expect(messages).toEqual([{ text: 'made x', tone: 'plain' }]);
    await expect(store.act(() => Promise.reject(new Error('refused')))).rejects.toThrow('refused');
    expect(store.saveState().at).toBe('saved');
    store.close();
  });
});
