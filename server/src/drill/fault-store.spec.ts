import { benchContracts, brokenExample, faultsToFind, nameOfQuestion } from '@gewinde/core';
import { startTestApp } from '../../test/test-app.js';
import { nextLine } from './fault-store.js';

describe('find the fault', () => {
  let shop: Awaited<ReturnType<typeof startTestApp>>;
  beforeAll(async () => (shop = await startTestApp()));
  afterAll(() => shop.close());
  const [faulty, sound] = [true, false].map((is) => nameOfQuestion({ rule: faultsToFind()[0]!, faulty: is })) as [string, string];
  const answer = (question: string, said: string, apprentice = 'Ana') =>
    shop.call('POST', '/api/faults/answers', { apprentice, question, answer: said });
  const results = (apprentice = 'Ana') => shop.ask(benchContracts.faultResults, { query: { apprentice } });

  it('hands out a line with its parts, what is known of it, and what may be wrong', async () => {
    expect((await results()).body).toEqual({ asked: 0, right: 0, weak: [] });
    const { status, body } = await shop.ask(benchContracts.nextLine, { body: { apprentice: 'Ana' } });
    expect(status).toBe(200);
    expect(Object.keys(body).sort()).toEqual(['choices', 'id', 'job', 'said']);
    expect(body.choices).toHaveLength(6);
    expect(body.said.length).toBeGreaterThan(3);
    expect(body.job.hoses.length).toBeGreaterThan(0);
  });

  it('tells what was wrong, whatever was said, and counts it', async () => {
    const [first] = faultsToFind();
    const message = brokenExample(first!).findings.find((f) => f.rule === first)!.message;
    expect((await answer(faulty, first!)).body).toEqual({ right: true, truth: first, answer: first, message });
    expect((await answer(faulty, 'sound')).body).toEqual({ right: false, truth: first, answer: 'sound', message });
    expect((await answer(sound, first!)).body).toEqual({ right: false, truth: 'sound', answer: first, message: '' });
    expect((await answer(sound, 'sound')).body).toMatchObject({ right: true });
    const { body } = await results();
    expect(body).toMatchObject({ asked: 4, right: 2 });
    expect(body.weak.map(({ truth, answer: said, times }) => [truth, said, times]).sort()).toEqual(
      [
        [first, 'sound', 1],
        ['sound', first, 1],
      ].sort(),
    );
    expect((await results('Ben')).body.asked).toBe(0);
  });

  it('refuses what was never asked and what is no rule, and counts neither', async () => {
    const unasked = await answer('an4', 'sound');
    expect(unasked).toMatchObject({ status: 404, body: { code: 'not-found', message: 'This line was not asked about.' } });
    const wrong = await answer(faulty, 'a rule');
    expect(wrong).toMatchObject({ status: 400, body: { code: 'bad-value', message: 'There is no rule "a rule".' } });
    expect((await answer(faulty, 'sound', '')).status).toBe(400);
    expect((await results()).body.asked).toBe(4);
  });

  it('asks again for what was missed more often than for the rest, and now and then nothing is wrong', async () => {
    const missed = faultsToFind()[3]!;
    const question = nameOfQuestion({ rule: missed, faulty: true });
    for (let i = 0; i < 4; i++) await answer(question, 'sound', 'Cem');
    await answer(nameOfQuestion({ rule: faultsToFind()[0]!, faulty: true }), faultsToFind()[0]!, 'Cem');
    const steps = 40;
    let times = 0;
    for (let i = 0; i < steps; i++) if ((await nextLine(shop.db, 'Cem', [(i + 0.5) / steps, 1])).id === question) times += 1;
    expect(times).toBeGreaterThan(3);
    expect((await nextLine(shop.db, 'Cem', [0.5, 0.1])).id).toBe(questionSound((await nextLine(shop.db, 'Cem', [0.5, 0.9])).id));
  });

  it('forgets when asked to', async () => {
    expect((await shop.call('DELETE', '/api/faults', { apprentice: 'Cem' })).status).toBe(204);
    expect((await results('Cem')).body.asked).toBe(0);
    expect((await results()).body.asked).toBe(4);
  });
});

/** The name of the sound line that the faulty one of that name was made from. */
const questionSound = (name: string): string => {
  const rule = faultsToFind().find((id) => nameOfQuestion({ rule: id, faulty: true }) === name)!;
  return nameOfQuestion({ rule, faulty: false });
};
