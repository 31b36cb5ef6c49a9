import { benchContracts } from '@gewinde/core';
import { startTestApp } from '../../test/test-app.js';
import { mysteryTray } from '../stand-ins/calliper/mystery-tray.js';
import { nextFitting } from './drill-store.js';

describe('the drill', () => {
  let shop: Awaited<ReturnType<typeof startTestApp>>;
  beforeAll(async () => (shop = await startTestApp()));
  afterAll(() => shop.close());
  const idOf = (thread: string, side = 'external') => mysteryTray.find((f) => f.thread === thread && f.side === side)!.id;
  const answer = (fitting: string, said: string, apprentice = 'first') =>
    shop.call('POST', '/api/drill/answers', { apprentice, fitting, answer: said });
  const results = (apprentice = 'first') => shop.ask(benchContracts.drillResults, { query: { apprentice } });

  it('starts with nothing known', async () => expect((await results()).body).toEqual({ asked: 0, right: 0, weak: [] }));

  it('hands a fitting out without its name', async () => {
    const { status, body } = await shop.call('POST', '/api/drill/next', { apprentice: 'first' });
    expect(status).toBe(200);
    expect(Object.keys(body).sort()).toEqual(['id', 'seen', 'side']);
  });

  it('takes the right name in any spelling', async () => {
    expect((await answer(idOf('M14×1.5'), 'm14x1.5')).body).toEqual({ right: true, truth: 'M14×1.5', answer: 'M14×1.5', lookAlike: false });
    expect((await answer(idOf('9/16-18 UNF'), '9/16-18')).body).toMatchObject({ right: true });
    expect((await answer(idOf('1/8-27 NPT'), 'NPTF 1/8')).body).toMatchObject({ right: true });
    expect((await answer(idOf('G 1/4', 'internal'), 'rp 1/4')).body).toMatchObject({ right: true });
  });

  it('tells a wrong name, whether it is an honest mistake, and the test that settles it', async () => {
    const { body } = await answer(idOf('M14×1.5'), '9/16-18');
    expect(body).toMatchObject({ right: false, truth: 'M14×1.5', answer: '9/16-18 UNF', lookAlike: true });
    expect(body['howToTell']).toMatch(/Pitch gauge/);
    expect((await answer(idOf('M20×1.5'), 'm10x1')).body).toMatchObject({ right: false, lookAlike: false });
  });

  it('keeps the results of each apprentice apart, weak pairs first', async () => {
    expect((await results()).body).toMatchObject({ asked: 6, right: 4 });
    expect((await results()).body.weak[0]).toMatchObject({ times: 1, rightSince: 0 });
    expect((await results('second')).body.asked).toBe(0);
  });

  it('brings weak pairs back more often', async () => {
    for (let i = 0; i < 3; i++) await answer(idOf('M22×1.5'), '7/8-14', 'third');
    await answer(idOf('M10×1'), 'M10x1', 'third');
    let state = 11;
    const chance = (): number => (state = (state * 16807) % 2147483647) / 2147483647;
    const seen = new Map<string, number>();
    for (let i = 0; i < 150; i++) {
      const { thread } = await nextFitting(shop.db, 'third', chance);
      seen.set(thread, (seen.get(thread) ?? 0) + 1);
    }
    expect(seen.get('M10×1')).toBeUndefined(); // it came last
    expect(seen.get('M22×1.5')!).toBeGreaterThan(2 * (150 / 30));
  });

  it('forgets when asked to', async () => {
    expect((await shop.call('DELETE', '/api/drill', { apprentice: 'third' })).status).toBe(204);
    expect((await results('third')).body.asked).toBe(0);
  });

  it.each([
    [{ apprentice: 'x', fitting: 'f01', answer: 'banana' }, 'unknown-thread'],
    [{ apprentice: 'x', fitting: 'f99', answer: 'm10x1' }, 'not-found'],
    [{ apprentice: '', fitting: 'f01', answer: 'm10x1' }, 'bad-value'],
    [{ apprentice: ' ', fitting: 'f01', answer: 'm10x1' }, 'bad-value'],
    [{ fitting: 'f01', answer: 'm10x1' }, 'bad-value'],
    [{ apprentice: 'x', fitting: 'f01', answer: 'm'.repeat(50) }, 'bad-value'],
  ])('refuses %j as %s', async (body, code) => {
    const refused = await shop.call('POST', '/api/drill/answers', body);
    expect(refused.status).toBeGreaterThanOrEqual(400);
    expect(refused.body['code']).toBe(code);
    expect((await results('x')).body.asked).toBe(0);
  });
});
