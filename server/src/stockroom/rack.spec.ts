import { inHouseUnits, taped, type StockCommand } from '@gewinde/core';
import { sampleJob } from '../../test/test-app.js';
import { HOSE, said, startStockroom, WASHER, type TestStockroom } from '../../test/test-stockroom.js';

let t: TestStockroom;
beforeAll(async () => {
  t = await startStockroom('7001');
});
afterAll(() => t.close());

describe('the rack', () => {
  const put = async (mm: number, more: object = {}): Promise<string> => {
    const { body } = await t.run({ do: 'add-length', length: { part: HOSE, kind: 'offcut', mm, ...more } } as StockCommand);
    return (body.put!.find((e) => e.type === 'length')!.row as { id: string }).id;
  };
  const cut = (lengthId: string, lengthVersion: number, measuredMm: number, more: object = {}): StockCommand =>
    ({
      do: 'cut-piece',
      jobId: t.jobId,
      lineId: t.lineId,
      piece: ((more as { ticket?: string }).ticket ?? '7001-L1').slice(5),
      of: 'hose',
      ticket: '7001-L1',
      lengthId,
      lengthVersion,
      plannedMm: measuredMm,
      trimMm: 0,
      measuredMm,
      trimmedMm: 10,
      ...more,
    }) as StockCommand;
  const length = async (id: string) => (await t.room()).lengths.find((l) => l.id === id);

  it('a piece that is cut makes its length shorter by itself, the kerf and the trimmed end', async () => {
    const id = await put(1240);
    await t.run(cut(id, 1, 600));
    expect(await length(id)).toMatchObject({ mm: 1240 - 600 - 2 - 10, version: 2 });
    expect((await t.room()).cuts.at(-1)).toMatchObject({ ticket: '7001-L1', measuredMm: 600, state: 'cut', lengthId: id });
    // what was measured goes before what is reckoned
    await t.run(cut(id, 2, 100, { ticket: '7001-L2', leftMm: 520, trimmedMm: 0 }));
    expect(await length(id)).toMatchObject({ mm: 520 });
    // what is too short to keep is used up
    await t.run(cut(id, 3, 400, { ticket: '7001-L3', trimmedMm: 0 }));
    expect(await length(id)).toBeUndefined();
  });

  it('two who cut from one length: one gets it, the other is told how much is left', async () => {
    const id = await put(2000);
    const [one, other] = await Promise.all(['a', 'b'].map((who) => t.run(cut(id, 1, 900, { ticket: `7001-${who}` }), who)));
    const [got, told] = one!.status === 200 ? [one, other] : [other, one];
    expect(got!.status).toBe(200);
    expect([told!.status, told!.body.code]).toEqual([409, 'conflict']);
    expect(inHouseUnits(told!.body.message!, 'metric')).toMatch(/1088 mm are left/);
    expect((await t.room()).cuts.filter((c) => c.lengthId === id)).toHaveLength(1);
  });

  it.each([
    ['longer than it is', 5000, {}, 'not-enough', /is 800 mm long/],
    ['and more left than there was', 500, { leftMm: 700 }, 'bad-value', /cannot be longer/],
  ])('refuses a piece %s', async (_, mm, more, code, words) => {
    const id = await put(800);
    const { body } = await t.run(cut(id, 1, mm, { ticket: '7001-L4', ...more }));
    expect(body.code).toBe(code);
    expect(inHouseUnits(body.message!, 'metric')).toMatch(words);
    expect(await length(id)).toMatchObject({ mm: 800, version: 1 });
  });

  it('what is off a car is cut once it was looked over, what is kept for another job never', async () => {
    const salvaged = await put(900, { salvaged: true });
    expect((await t.run(cut(salvaged, 1, 500, { ticket: '7001-L5' }))).body.message).toMatch(/not looked over/);
    await t.run({ do: 'edit-length', id: salvaged, version: 1, set: { inspected: { by: 'MO', on: '2026-11-01' } } });
    expect((await t.run(cut(salvaged, 2, 500, { ticket: '7001-L5' }))).status).toBe(200);
    // a piece of it that is spoiled is still off a car
    const made = (await t.room()).cuts.find((c) => c.ticket === '7001-L5')!;
    const { body } = await t.run({ do: 'spoil-cut', id: made.id, version: 1, keepMm: 450 });
    const back = body.put!.find((e) => e.type === 'length' && (e.row as { from?: string }).from === salvaged)!;
    expect(back.row).toMatchObject({ mm: 450, salvaged: true, inspected: { by: 'MO' } });
    const other = (await t.call('POST', '/api/jobs', { number: '7002', name: 'Other' })).body['id'] as string;
    const kept = await put(900, { jobId: other });
    expect((await t.run(cut(kept, 1, 500, { ticket: '7001-L6' }))).body.message).toMatch(/kept for another job/);
  });

  it('a spoiled piece is countered: it is told, and what of it is long enough goes back', async () => {
    const id = await put(1500);
    await t.run(cut(id, 1, 700, { ticket: '7001-L9' }));
    const made = (await t.room()).cuts.find((c) => c.ticket === '7001-L9')!;
    const { body } = await t.run({ do: 'spoil-cut', id: made.id, version: 1, keepMm: 650 });
    expect(body.put!.find((e) => e.type === 'cut')!.row).toMatchObject({ state: 'spoiled' });
    expect((await t.room()).lengths.find((l) => l.from === id)).toMatchObject({ mm: 650, kind: 'offcut' });
    expect((await t.run({ do: 'spoil-cut', id: made.id, version: 2 })).body.message).toMatch(/already/);
  });

  it('a piece is cut once, off whichever length, until the first is told as spoiled', async () => {
    const [one, other] = [await put(900), await put(900)];
    const piece = { ticket: '7001-L10' };
    await t.run(cut(one, 1, 500, piece));
    const again = await t.run(cut(other, 1, 500, piece));
    expect([again.status, again.body.code]).toEqual([409, 'conflict']);
    expect(again.body.message).toBe(`7001-L10 is cut already, off ${one}. If that piece is no good, say it is spoiled first.`);
    expect(await length(other)).toMatchObject({ mm: 900, version: 1 });
    // the sleeve over it is another piece
    expect((await t.run(cut(other, 1, 100, { ...piece, of: 'sleeve' }))).status).toBe(200);
    await t.run({ do: 'spoil-cut', id: (await t.room()).cuts.find((c) => c.lengthId === one)!.id, version: 1 });
    expect((await t.run(cut(other, 2, 500, piece))).status).toBe(200);
  });

  it('is known by line and piece: under another ticket it is not cut again, and for the line of another job not at all', async () => {
    const [one, other] = [await put(900), await put(900)];
    await t.run(cut(one, 1, 500, { ticket: '7001-L11' }));
    await t.change(t.jobId, { do: 'edit-job', version: (await t.document(t.jobId)).job.version, set: { number: '7001-B' } });
    const again = await t.run(cut(other, 1, 500, { ticket: '7001-B-L11', piece: 'L11' } as object));
    expect(again.body.message).toMatch(/is cut already/);
    const { jobId } = await sampleJob(t, '7055');
    expect((await t.run(cut(other, 1, 500, { ticket: '7001-L12', jobId } as object))).body.message).toMatch(/of another job/);
    expect((await t.run(cut(other, 1, 500, { ticket: '7001-L12', lineId: 'gone' } as object))).body.code).toBe('not-found');
    expect(await length(other)).toMatchObject({ mm: 900, version: 1 });
  });

  it('what a job has reserved no other cuts, and what it has cut of it is free again', async () => {
    const id = await put(2000);
    const { jobId: other, lineId } = await sampleJob(t, '7056');
    const reserve = (jobId: string, mm: number) => t.run(said({ do: 'reserve-lengths', jobId, lengths: mm > 0 ? [{ id, mm }] : [] }));
    expect((await reserve(t.jobId, 1500)).status).toBe(200);
    expect((await reserve(other, 600)).body).toMatchObject({
      code: 'not-enough',
      message: expect.stringContaining(`Of ${id} ${taped(500)} are free`),
    });
    expect((await reserve(other, 400)).status).toBe(200);
    const theirs = (mm: number, version: number) => t.run(cut(id, version, mm, { ticket: '7056-L1', jobId: other, lineId } as object));
    expect((await theirs(520, 3)).body.message).toBe(`Of ${id} ${taped(500)} are free: the rest is reserved for 7001-B.`);
    // 500 of it and the kerf would be more than what is free
    expect((await theirs(488, 3)).status).toBe(200);
    expect(await length(id)).toMatchObject({ mm: 1500, reserved: [{ jobId: t.jobId, mm: 1500 }] });
    expect((await t.run(cut(id, 4, 700, { ticket: '7001-L13' }))).status).toBe(200);
    expect(await length(id)).toMatchObject({ mm: 788, reserved: [{ jobId: t.jobId, mm: 788 }] });
    await reserve(t.jobId, 0);
    expect(await length(id)).not.toHaveProperty('reserved');
  });

  it('a cut has its own way back: not sawn, its length is whole again with the kerf; sawn, the piece hangs on the rack', async () => {
    const id = await put(1200, { kind: 'length' });
    await t.run(cut(id, 1, 600, { ticket: '7001-L14' }));
    expect(await length(id)).toMatchObject({ mm: 588, kind: 'offcut' });
    const made = async () => (await t.room()).cuts.find((c) => c.ticket === '7001-L14')!;
    const back = async (sawn: boolean, version: number) => t.run(said({ do: 'take-back-cut', id: (await made()).id, version, sawn }));
    expect((await back(false, 1)).body.label).toBe(`Take back the cut of 7001-L14: ${id} is whole again`);
    expect(await length(id)).toMatchObject({ mm: 1200, kind: 'length', state: 'there' });
    expect((await back(false, 2)).body.message).toMatch(/taken back already/);
    // cut again, for good, and used up
    const piece = { ticket: '7001-L15' };
    await t.run(cut(id, 3, 1100, piece));
    expect(await length(id)).toBeUndefined();
    const used = (await t.room()).cuts.find((c) => c.ticket === '7001-L15')!;
    await t.run(said({ do: 'take-back-cut', id: used.id, version: 1, sawn: true }));
    expect(await length(id)).toBeUndefined();
    expect((await t.room()).lengths.find((l) => l.from === id)).toMatchObject({ mm: 1100, kind: 'offcut' });
  });

  it('a piece that was cut long is trimmed, and its final length recorded', async () => {
    const id = await put(1500);
    await t.run(cut(id, 1, 620, { ticket: '7001-L8', trimMm: 20 }));
    const made = (await t.room()).cuts.find((c) => c.ticket === '7001-L8')!;
    expect((await t.run({ do: 'trim-cut', id: made.id, version: 1, finalMm: 700 })).body.code).toBe('bad-value');
    await t.run({ do: 'trim-cut', id: made.id, version: 1, finalMm: 601 });
    expect((await t.room()).cuts.find((c) => c.id === made.id)).toMatchObject({ measuredMm: 620, finalMm: 601 });
  });

  it('a made hose goes to a job, and gives what is cut off it back to the rack', async () => {
    const made = await put(1490, { kind: 'made', ends: ['end-ptfe-10-45', 'end-ptfe-10-0'] });
    await t.run({
      do: 'use-made',
      id: made,
      version: 1,
      jobId: t.jobId,
      lineId: t.lineId,
      piece: 'p1',
      ticket: '7001-L7',
      cutMm: 1080,
      restMm: 300,
    });
    const now = await t.room();
    expect(now.lengths.find((l) => l.id === made)).toBeUndefined();
    expect(now.lengths.find((l) => l.from === made)).toMatchObject({ mm: 300, kind: 'offcut' });
    expect(now.cuts.find((c) => c.lengthId === made)).toMatchObject({ of: 'made', measuredMm: 1080 });
  });

  it('the metres of a hose are those on its rack', async () => {
    const total = (await t.room()).lengths.filter((l) => l.part === HOSE && l.kind !== 'made').reduce((sum, l) => sum + l.mm, 0);
    expect(await t.shelfOf(HOSE)).toBe(Math.floor(total / 1000));
  });
});

describe('what is put on the rack', () => {
  const length = { part: HOSE, kind: 'length', mm: 3000 };
  const ends = ['end-ptfe-10-45', 'end-ptfe-10-0'];
  const put = (change: object) => t.run(said({ do: 'add-length', length: { ...length, ...change } }));

  it.each([
    ['what is counted', { part: WASHER }, 'bad-value', 'part', /not cut to length/],
    ['what nobody has', { part: 'no such hose' }, 'not-found', 'part', /not in the catalogue/],
    ['nothing', { mm: 0 }, 'bad-value', 'mm', /has a length/],
    ['hose of next year', { madeOn: '2999-01-01' }, 'bad-value', 'madeOn', /future/],
    ['a made hose without ends', { kind: 'made' }, 'bad-value', 'ends', /say which/],
    ['a length with its ends on', { ends }, 'bad-value', 'ends', /Only a made hose/],
    ['a made hose whose end is a hose', { kind: 'made', ends: [ends[0], HOSE] }, 'bad-value', 'ends', /is no hose end/],
    ['a hose for a job that is not there', { jobId: 'nobody' }, 'not-found', 'jobId', /job/],
    ['a length below nothing', { mm: -1 }, 'bad-value', 'mm', /too small/],
  ])('is not %s, in words, at its field', async (_, change, code, field, words) => {
    const before = (await t.room()).lengths.length;
    const { body } = await put(change);
    expect([body.code, body.field]).toEqual([code, expect.stringContaining(field)]);
    expect(inHouseUnits(body.message!, 'metric')).toMatch(words);
    expect((await t.room()).lengths).toHaveLength(before);
  });

  const hung = async (change: object = {}) => {
    const { body } = await put(change);
    return body.put!.find((e) => e.type === 'length')!.row as { id: string; version: number };
  };
  const edit = (id: string, version: number, set: object) => t.run(said({ do: 'edit-length', id, version, set }));

  it('has a number of its own, is found again, moved to another place and kept for a job', async () => {
    const [one, two] = [await hung(), await hung({ place: 'rack 2' })];
    expect(one.id).toMatch(/^H-\d{4}$/);
    expect(two.id).not.toBe(one.id);
    await edit(two.id, 1, { place: null, jobId: t.jobId, madeOn: '2025-03-01' });
    const now = (await t.room()).lengths.find((l) => l.id === two.id)!;
    expect(now).toMatchObject({ jobId: t.jobId, madeOn: '2025-03-01', version: 2 });
    expect(now).not.toHaveProperty('place');
    expect((await edit(two.id, 2, { madeOn: '2999-01-01' })).body.message).toMatch(/future/);
    expect((await edit(two.id, 2, { jobId: 'nobody' })).body.code).toBe('not-found');
  });

  it('measured shorter than thought is an offcut; too short to keep, it is thrown away; and the metres follow', async () => {
    const { id } = await hung();
    const before = await t.shelfOf(HOSE);
    const { body } = await edit(id, 1, { mm: 900 });
    expect(body.put!.map((e) => e.type).sort()).toEqual(['length', 'part']);
    expect(body.put!.find((e) => e.type === 'length')!.row).toMatchObject({ mm: 900, kind: 'offcut' });
    const told = body.put!.find((e) => e.type === 'part')!.row as { part: { shelf: number } };
    expect(told.part.shelf).toBe(await t.shelfOf(HOSE));
    expect(told.part.shelf).toBeLessThan(before);
    await edit(id, 2, { mm: 120 });
    expect((await t.room()).lengths.find((l) => l.id === id)).toBeUndefined();
    expect((await edit(id, 3, { mm: 120 })).body.code).toBe('not-enough');
  });

  it('is thrown away with who and why in the history; two who do it at once: the second is told', async () => {
    const { id } = await hung();
    const scrap = (client: string) => t.run(said({ do: 'scrap-length', id, version: 1, note: 'kinked', by: 'TK' }), client);
    const answers = await Promise.all([scrap('a'), scrap('b')]);
    const done = answers.find((a) => a.status === 200)!;
    expect(done.body.label).toBe(`Throw ${id} away: kinked (TK)`);
    expect(answers.filter((a) => a.body.code === 'conflict')).toMatchObject([
      { body: { message: `${id} is not on the rack any more: somebody else has used it. Nothing was booked.` } },
    ]);
  });

  it('made up is used only with its job, looked over, and never gives back more than it has', async () => {
    const use = (id: string, version: number, more: object = {}) =>
      t.run(
        said({ do: 'use-made', id, version, jobId: t.jobId, lineId: t.lineId, piece: `p-${id}`, ticket: `T-${id}`, cutMm: 800, ...more }),
      );
    const other = (await t.call('POST', '/api/jobs', { number: '7009', name: 'Other' })).body['id'] as string;
    const kept = await hung({ kind: 'made', ends, jobId: other });
    expect((await use(kept.id, 1)).body.message).toMatch(/kept for another job/);
    const off = await hung({ kind: 'made', ends, salvaged: true });
    expect((await use(off.id, 1)).body.message).toMatch(/not looked over/);
    expect((await edit(off.id, 1, { inspected: { by: 'MO', on: '2026-11-01', note: 'bent, core sound' } })).status).toBe(200);
    expect((await use(off.id, 2, { restMm: 3000 })).body).toMatchObject({
      code: 'bad-value',
      message: expect.stringContaining(`no ${taped(3000)}`),
    });
    expect((await use(off.id, 2)).status).toBe(200);
    expect((await use(off.id, 3)).body.code).toBe('not-enough');
    const plain = await hung();
    expect((await use(plain.id, 1)).body.message).toMatch(/no made hose/);
  });
});
