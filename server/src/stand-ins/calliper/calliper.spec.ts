import { benchContracts, identifyThread, parseThread, taperBetween, isTapered, type BodyOf, type Reading } from '@gewinde/core';
import { startTestApp } from '../../../test/test-app.js';
import { mysteryTray } from './mystery-tray.js';
import { SimulatedCalliper } from './simulated-calliper.js';

/** Repeatable chance. */
function dice(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state * 16807) % 2147483647;
    return state / 2147483647;
  };
}
const mean = (numbers: readonly number[]): number => numbers.reduce((a, b) => a + b, 0) / numbers.length;

describe('the simulated calliper', () => {
  const calliper = new SimulatedCalliper(dice(7));
  const readings = (id: string, place: Reading['place'], count = 60): Reading[] => {
    const fitting = mysteryTray.find((f) => f.id === id)!;
    return Array.from({ length: count }, () => calliper.read(fitting, fitting.side === 'external' ? 'outside' : 'inside', place));
  };
  const fittingOf = (thread: string, side = 'external') => mysteryTray.find((f) => f.thread === thread && f.side === side)!;

  it('measures what is there, with noise, in hundredths', () => {
    const mm = readings(fittingOf('M20×1.5').id, 'crest').map((r) => r.mm);
    expect(Math.abs(mean(mm) - 19.85)).toBeLessThan(0.12);
    expect(new Set(mm).size).toBeGreaterThan(3);
    for (const value of mm) expect(Math.abs(value * 100 - Math.round(value * 100))).toBeLessThan(1e-6);
  });

  it('finds the taper at two places, and none on a parallel thread', () => {
    const taper = (thread: string, side = 'external') => {
      const { id } = fittingOf(thread, side);
      const front = readings(id, 'front');
      return taperBetween(mean(front.map((r) => r.mm)), mean(readings(id, 'back').map((r) => r.mm)), front[0]!.apartMm!);
    };
    for (const thread of ['R 1/8', '1/8-27 NPT', '1/2-14 NPT', 'M10×1 keg']) expect(isTapered(taper(thread))).toBe(true);
    expect(isTapered(taper('Rc 1/8', 'internal'))).toBe(true);
    for (const thread of ['M10×1', 'G 1/4', '9/16-18 UNF']) expect(isTapered(taper(thread))).toBe(false);
  });

  it('lets every fitting of the tray be named from its readings', () => {
    for (const fitting of mysteryTray) {
      const [span] = readings(fitting.id, 'span', 1);
      const taper = parseThread(fitting.thread).taperPerMm > 0 ? 'tapered' : 'parallel';
      const names = identifyThread({
        side: fitting.side,
        diameterMm: mean(readings(fitting.id, 'crest', 5).map((r) => r.mm)),
        pitchMm: span!.mm / span!.pitches!,
        taper,
      }).map((c) => c.designation);
      expect(names.slice(0, 3)).toContain(fitting.thread);
    }
  });

  it('holds no two fittings under one number, and tells nothing by the order', () => {
    expect(new Set(mysteryTray.map((f) => f.id)).size).toBe(40);
    expect(mysteryTray.slice(0, 3).map((f) => f.thread)).not.toEqual(['M14×1.5', '9/16-18 UNF', 'G 1/4']);
  });
});

describe('the calliper over HTTP', () => {
  let shop: Awaited<ReturnType<typeof startTestApp>>;
  beforeAll(async () => (shop = await startTestApp()));
  afterAll(() => shop.close());

  it('shows the tray without telling the threads', async () => {
    const { status, body, text } = await shop.ask(benchContracts.readTray, {});
    expect(status).toBe(200);
    expect(body.fittings).toHaveLength(40);
    expect(text).not.toMatch(/NPT|UNF|M14|wear/);
  });

  it('gives a reading, and refuses the wrong jaws and a fitting that is not there', async () => {
    const outside = mysteryTray.find((f) => f.side === 'external')!.id;
    const read = (body: object) => shop.ask(benchContracts.takeReading, { body: body as BodyOf<typeof benchContracts.takeReading> });
    expect((await read({ fitting: outside, jaws: 'outside', place: 'crest' })).body.mm).toBeGreaterThan(5);
    expect((await read({ fitting: outside, jaws: 'outside', place: 'span' })).body.pitches).toBeGreaterThanOrEqual(4);
    const wrong = await read({ fitting: outside, jaws: 'inside', place: 'crest' });
    expect(wrong).toMatchObject({ status: 400, body: { code: 'wrong-jaws', field: 'jaws' } });
    expect(wrong.body.message).toContain('take the outside ones');
    expect((await read({ fitting: 'f99', jaws: 'outside', place: 'crest' })).status).toBe(404);
    expect((await read({ fitting: outside, jaws: 'sideways', place: 'crest' })).status).toBe(400);
    expect((await read({ fitting: outside, jaws: 'outside' })).status).toBe(400);
  });

  it('refuses a stream with the wrong jaws before it opens', async () => {
    const inside = mysteryTray.find((f) => f.side === 'internal')!.id;
    const { status, body } = await shop.call('GET', `/api/calliper/live?fitting=${inside}&jaws=outside&place=crest`);
    expect(status).toBe(400);
    expect(body['code']).toBe('wrong-jaws');
  });

  it('streams readings until it is hung up', async () => {
    const address = await shop.app.listen({ port: 0, host: '127.0.0.1' });
    const outside = mysteryTray.find((f) => f.side === 'external')!.id;
    const hangUp = new AbortController();
    const response = await fetch(`${address}/api/calliper/live?fitting=${outside}&jaws=outside&place=front`, { signal: hangUp.signal });
    expect(response.headers.get('content-type')).toContain('text/event-stream');
    let said = '';
    const decoder = new TextDecoder();
    for await (const chunk of response.body as unknown as AsyncIterable<Uint8Array>) {
      said += decoder.decode(chunk);
      if ((said.match(/event: reading/g) ?? []).length >= 2) break;
    }
    hangUp.abort();
    expect(JSON.parse(/data: (.*)/.exec(said)![1]!)).toMatchObject({ place: 'front', apartMm: 4 });
  });
});
