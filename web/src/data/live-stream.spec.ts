import { LiveStream, type LiveNews } from './live-stream';

class Source {
  static readonly CLOSED = 2;
  static all: Source[] = [];
  readyState = 1;
  closed = false;
  readonly listeners: Record<string, (event: { data: string }) => void> = {};
  constructor(readonly url: string) {
    Source.all.push(this);
  }
  addEventListener(name: string, listener: (event: { data: string }) => void): void {
    this.listeners[name] = listener;
  }
  say(name: string, data: object = {}): void {
    this.listeners[name]!({ data: JSON.stringify(data) });
  }
  close(): void {
    this.closed = true;
  }
}

describe('the live stream', () => {
  it('tells what it hears, leaves a cut stream to the browser, and opens one that was refused anew from where it is', async () => {
    jest.useFakeTimers();
    Object.assign(globalThis, { EventSource: Source });
    Source.all = [];
    let after = 3;
    const heard: LiveNews[] = [];
    const listening = new LiveStream().listen(() => ({ job: 'j', after, shop: 8 })).subscribe((news) => heard.push(news));
    const [first] = Source.all;
    expect(first!.url).toBe('/api/live?job=j&after=3&shop=8');
    first!.say('change', { scope: 'job', change: { id: 4 } });
    first!.say('stale');
    expect(heard).toEqual([
      { scope: 'job', change: { id: 4 } },
      { scope: 'stale', of: 'all' },
    ]);
    first!.say('error'); // cut: the browser comes back by itself
    await jest.advanceTimersByTimeAsync(5000);
    expect(Source.all).toHaveLength(1);
    after = 4;
    first!.readyState = Source.CLOSED;
    first!.say('error');
    await jest.advanceTimersByTimeAsync(2100);
    expect(Source.all.map((s) => s.url)).toEqual(['/api/live?job=j&after=3&shop=8', '/api/live?job=j&after=4&shop=8']);
    listening.unsubscribe();
    expect(Source.all.map((s) => s.closed)).toEqual([true, true]);
    jest.useRealTimers();
  });

  it('says when nothing is heard: at a cut that lasts, at a database that is away, and on a line that is dead', async () => {
    jest.useFakeTimers();
    Object.assign(globalThis, { EventSource: Source });
    Source.all = [];
    const stream = new LiveStream();
    const listening = stream.listen(() => ({ shop: 8 })).subscribe();
    const [first] = Source.all;
    first!.say('open');
    first!.say('error');
    await jest.advanceTimersByTimeAsync(3000);
    expect(stream.away()).toBe(false);
    await jest.advanceTimersByTimeAsync(2000);
    expect(stream.away()).toBe(true);
    first!.say('open');
    expect(stream.away()).toBe(false);
    first!.listeners['sign']!({ data: 'away' });
    await jest.advanceTimersByTimeAsync(5000);
    expect(stream.away()).toBe(true);
    first!.listeners['sign']!({ data: 'alive' });
    expect(stream.away()).toBe(false);
    // the browser has not noticed that nobody is at the other end any more
    await jest.advanceTimersByTimeAsync(75_000);
    expect([first!.closed, Source.all.length, stream.away()]).toEqual([true, 2, true]);
    listening.unsubscribe();
    expect(stream.away()).toBe(false);
    jest.useRealTimers();
  });
});
