import { inHouseUnits } from '@gewinde/core';
import { refusal, ShopInMemory, TODAY } from '../../testing/shop.js';

const HOSE = 'hose-ptfe-6';
const TUBE_END = 'o-ring fkm AS568-906';

let shop: ShopInMemory;
const put = (mm: number, more: object = {}) => {
  shop.run({ do: 'add-length', length: { part: HOSE, kind: 'length', mm, ...more } });
  return shop.length().id;
};
const cut = (lengthId: string, measuredMm: number, more: object = {}) =>
  shop.run({
    do: 'cut-piece',
    jobId: 'a',
    lineId: 'lineA',
    piece: 'p1',
    of: 'hose',
    ticket: '2403-L1',
    lengthId,
    lengthVersion: shop.get('length', lengthId).version,
    plannedMm: measuredMm,
    trimMm: 0,
    measuredMm,
    trimmedMm: 10,
    ...more,
  });
const words = (act: () => unknown) => inHouseUnits(refusal(act).message, 'metric');
const metres = () => shop.part(HOSE).part.shelf;
beforeEach(() => (shop = new ShopInMemory()));

describe('a length', () => {
  it('hangs on the rack under a number of its own, since today; its part is told in whole metres, at its own version', () => {
    const { label, told, counted } = shop.run({ do: 'add-length', length: { part: HOSE, kind: 'reel', mm: 12_300, place: 'R1' } });
    expect(label).toMatch(/^Put H-0001 on the rack: /);
    expect(shop.length()).toMatchObject({ id: 'H-0001', since: TODAY, state: 'there', version: 1, place: 'R1' });
    expect([told.map((p) => p.part.shelf), counted, shop.part(HOSE).version]).toEqual([[12], [], 1]);
    expect(put(2800)).toBe('H-0002');
    expect(metres()).toBe(15);
  });

  it.each([
    ['of no length', { mm: 0 }, /has a length/],
    ['made tomorrow', { mm: 100, madeOn: '2026-11-27' }, /not made in the future/],
    ['made, without its ends', { mm: 100, kind: 'made' }, /two ends: say which/],
    ['with ends on, and not made', { mm: 100, ends: [HOSE, HOSE] }, /Only a made hose/],
    ['with ends that are none', { mm: 100, kind: 'made', ends: [HOSE, HOSE] }, /is no hose end/],
    ['of what is not cut', { mm: 100, part: TUBE_END }, /is not cut to length/],
    ['for a job that is not there', { mm: 100, jobId: 'gone' }, /job is not there/],
  ])('is refused %s', (_, length, why) => {
    expect(words(() => shop.run({ do: 'add-length', length: { part: HOSE, kind: 'length', ...length } }))).toMatch(why);
    expect(shop.all('length')).toEqual([]);
  });

  it('is measured anew, moved and looked over; too short to keep, its rest is thrown away', () => {
    const id = put(2000);
    const edit = (set: object) => shop.run({ do: 'edit-length', id, version: shop.length().version, set }).label;
    expect(edit({ place: 'R2', madeOn: '2020-01-01', inspected: { by: 'RA', on: TODAY } })).toBe(`Change ${id}`);
    expect(edit({ place: null, mm: 1500 })).toBe(`Measure ${id}`);
    expect(shop.length()).toMatchObject({ mm: 1500, kind: 'offcut', madeOn: '2020-01-01', inspected: { by: 'RA' } });
    expect(shop.length().place).toBeUndefined();
    expect(edit({ mm: 249 })).toBe(`Throw the rest of ${id} away`);
    expect(shop.length()).toMatchObject({ state: 'used' });
    expect(words(() => edit({ mm: 500 }))).toBe(`${id} is not on the rack any more.`);
    expect(metres()).toBe(0);
  });

  it('is thrown away with who and why; what was reserved of it is free', () => {
    const id = put(2000);
    shop.run({ do: 'reserve-lengths', jobId: 'a', lengths: [{ id, mm: 900 }] });
    expect(shop.run({ do: 'scrap-length', id, version: 2, note: 'kinked', by: 'RA' }).label).toBe(`Throw ${id} away: kinked (RA)`);
    expect(shop.length()).toMatchObject({ state: 'scrapped' });
    expect(shop.length().reserved).toBeUndefined();
    expect(words(() => shop.run({ do: 'scrap-length', id, version: 3 }))).toMatch(/not on the rack any more/);
  });
});

describe('what is reserved', () => {
  it('is kept for a job: the other gets what is free and no more; reserved anew, the old is given free', () => {
    const [one, two] = [put(2000), put(1000)];
    const reserve = (jobId: string, ...lengths: [string, number][]) =>
      shop.run({ do: 'reserve-lengths', jobId, lengths: lengths.map(([id, mm]) => ({ id, mm })) }).label;
    expect(reserve('a', [one, 1500])).toBe('Reserve 1 length for 2403');
    expect(words(() => reserve('b', [one, 600]))).toBe(
      `Of ${one} 500 mm are free by now, the rest is reserved for another job: plan again.`,
    );
    expect(words(() => cut(one, 600, { jobId: 'b', lineId: 'lineB' }))).toBe(`Of ${one} 500 mm are free: the rest is reserved for 2403.`);
    expect(words(() => reserve('a', [one, 10], [one, 20]))).toBe('A length stands twice.');
    expect(reserve('a', [two, 900])).toBe('Reserve 1 length for 2403');
    expect([shop.get('length', one).reserved, shop.get('length', two).reserved]).toEqual([undefined, [{ jobId: 'a', mm: 900 }]]);
    expect(reserve('a')).toBe('Give the lengths free that were reserved for 2403');
    expect(shop.get('length', two).reserved).toBeUndefined();
  });

  it('is less by what is cut for it, and by what the length is short of when it is measured', () => {
    const id = put(3000);
    const reserve = (jobId: string, mm: number) => shop.run({ do: 'reserve-lengths', jobId, lengths: [{ id, mm }] });
    reserve('a', 1000);
    reserve('b', 1500);
    cut(id, 588);
    expect(shop.length().reserved).toEqual([
      { jobId: 'a', mm: 400 },
      { jobId: 'b', mm: 1500 },
    ]);
    shop.run({ do: 'edit-length', id, version: shop.length().version, set: { mm: 1000 } });
    expect(shop.length().reserved).toEqual([
      { jobId: 'a', mm: 400 },
      { jobId: 'b', mm: 600 },
    ]);
  });

  it('is nothing where what is left is too short to be kept; what another has reserved keeps it', () => {
    const id = put(400);
    const reserve = (jobId: string, length: string, mm: number) =>
      shop.run({ do: 'reserve-lengths', jobId, lengths: [{ id: length, mm }] });
    reserve('a', id, 400);
    cut(id, 140);
    expect([shop.length().state, shop.length().mm, shop.length().reserved]).toEqual(['used', 248, undefined]);
    const other = put(400);
    reserve('a', other, 200);
    reserve('b', other, 200);
    cut(other, 140, { piece: 'p2', ticket: '2403-L2' });
    expect(shop.get('length', other)).toMatchObject({
      state: 'there',
      kind: 'offcut',
      mm: 248,
      reserved: [
        { jobId: 'a', mm: 48 },
        { jobId: 'b', mm: 200 },
      ],
    });
    // measured shorter than was thought, one's own is less and not the other's
    const short = put(2000);
    reserve('a', short, 1500);
    reserve('b', short, 500);
    cut(short, 588, { piece: 'p3', ticket: '2403-L3', leftMm: 900 });
    expect(shop.get('length', short).reserved).toEqual([
      { jobId: 'a', mm: 400 },
      { jobId: 'b', mm: 500 },
    ]);
  });

  it('of a length that is kept for another job is nothing', () => {
    const id = put(1000, { jobId: 'b' });
    expect(words(() => shop.run({ do: 'reserve-lengths', jobId: 'a', lengths: [{ id, mm: 100 }] }))).toMatch(/not there to be cut from/);
    expect(words(() => cut(id, 100))).toBe(`${id} is kept for another job.`);
  });
});

describe('a cut', () => {
  it('takes the piece, the kerf and the trimmed end off its length; what is left measured goes before what is reckoned', () => {
    const id = put(2000);
    expect(cut(id, 600, { by: 'RA' }).label).toBe(`Cut 2403-L1 off ${id}`);
    expect(shop.length()).toMatchObject({ mm: 1388, kind: 'offcut', sawnOn: TODAY });
    expect(shop.cut()).toMatchObject({ tookMm: 612, state: 'cut', by: 'RA' });
    cut(id, 300, { piece: 'p2', ticket: '2403-L2', leftMm: 1080 });
    expect([shop.length().mm, shop.cut().tookMm]).toEqual([1080, 308]);
    expect(metres()).toBe(1);
  });

  it('of a piece is made once, whatever its ticket is called by then, until it is said to be spoiled', () => {
    const id = put(3000);
    cut(id, 600);
    const twice = () => cut(id, 600, { ticket: '2403-L9' });
    expect(words(twice)).toBe(`2403-L9 is cut already, off ${id}. If that piece is no good, say it is spoiled first.`);
    const { id: made } = shop.cut();
    expect(shop.run({ do: 'spoil-cut', id: made, version: 1, keepMm: 400, note: 'slipped' }).label).toBe(
      '2403-L1 is spoiled: slipped; H-0002 goes back to the rack',
    );
    expect(shop.length()).toMatchObject({ id: 'H-0002', kind: 'offcut', mm: 400, from: id });
    expect(twice().label).toBe(`Cut 2403-L9 off ${id}`);
    expect(words(() => shop.run({ do: 'spoil-cut', id: made, version: 2 }))).toMatch(/spoiled already/);
  });

  it('is refused off what another has used meanwhile, off what is too short, and off what nobody looked over', () => {
    const id = put(1000);
    cut(id, 600);
    expect(refusal(() => cut(id, 300, { piece: 'p2', lengthVersion: 1 }))).toMatchObject({ code: 'conflict', current: { version: 2 } });
    expect(words(() => cut(id, 300, { piece: 'p2', lengthVersion: 1 }))).toMatch(/388 mm are left of it\. Nothing was booked/);
    expect(words(() => cut(id, 500, { piece: 'p2' }))).toMatch(/is 388 mm long: no piece of 500 mm comes off it/);
    expect(words(() => cut(id, 100, { piece: 'p2', leftMm: 400 }))).toMatch(/cannot be longer than what the piece left/);
    const old = put(1000, { madeOn: '2016-11-26' });
    expect(words(() => cut(old, 100, { piece: 'p2' }))).toMatch(/is 10 years old and was not looked over/);
    const salvaged = put(1000, { salvaged: true });
    expect(words(() => cut(salvaged, 100, { piece: 'p2' }))).toMatch(/is off a car and was not looked over/);
    expect(words(() => cut(put(1000), 100, { lineId: 'lineB' }))).toMatch(/is of another job/);
    expect(words(() => cut(put(1000), 100, { lineId: 'gone' }))).toMatch(/is not there any more/);
  });

  it('that was booked and not sawn is taken back: its length is as it was; sawn, the piece hangs on the rack', () => {
    const id = put(2000);
    cut(id, 600);
    const back = (sawn: boolean) => shop.run({ do: 'take-back-cut', id: shop.cut().id, version: shop.cut().version, sawn, by: 'RA' }).label;
    expect(back(false)).toBe(`Take back the cut of 2403-L1: ${id} is whole again (RA)`);
    expect(shop.length()).toMatchObject({ mm: 2000, kind: 'length', state: 'there' });
    expect(words(() => back(false))).toMatch(/taken back already/);
    cut(id, 600);
    expect(back(true)).toBe('2403-L1 is not needed (RA); H-0002 goes to the rack');
    expect([shop.get('length', id).mm, shop.length().mm]).toEqual([1388, 600]);
  });

  it('is not put back on a length that was thrown away', () => {
    const id = put(2000);
    cut(id, 600);
    shop.run({ do: 'scrap-length', id, version: 2 });
    expect(words(() => shop.run({ do: 'take-back-cut', id: shop.cut().id, version: 1, sawn: false }))).toMatch(/was thrown away/);
  });

  it('is trimmed to what it is long, never longer than it was', () => {
    cut(put(2000), 600);
    const trim = (finalMm: number) => shop.run({ do: 'trim-cut', id: shop.cut().id, version: shop.cut().version, finalMm });
    trim(590);
    expect(shop.cut()).toMatchObject({ measuredMm: 600, finalMm: 590 });
    expect(words(() => trim(595))).toBe('A piece of 590 mm is not trimmed to 595 mm.');
    expect(words(() => trim(0))).toMatch(/is not trimmed to 0 mm/);
  });
});

describe('a made hose', () => {
  const END = 'hose end';
  const made = (more: object = {}) => {
    const end = shop.all('part').find((p) => p.kind === END)!.id;
    return put(800, { kind: 'made', ends: [end, end], ...more });
  };
  const use = (id: string, more: object = {}) =>
    shop.run({
      do: 'use-made',
      id,
      version: shop.get('length', id).version,
      jobId: 'a',
      lineId: 'lineA',
      piece: 'p1',
      ticket: '2403-L1',
      cutMm: 500,
      ...more,
    });

  it('goes to a job as it is; what is cut off it goes back to the rack; it counts for no metres', () => {
    const id = made();
    expect(metres()).toBe(0);
    expect(use(id, { restMm: 300 }).label).toBe(`Use ${id} for 2403-L1; H-0002 goes back to the rack`);
    expect([shop.get('length', id).state, shop.length(), shop.cut()]).toMatchObject([
      'used',
      { kind: 'offcut', mm: 300, from: id },
      { of: 'made', lengthId: id, measuredMm: 500 },
    ]);
    expect(shop.length().ends).toBeUndefined();
    expect(words(() => shop.run({ do: 'take-back-cut', id: shop.cut().id, version: 1, sawn: false }))).toMatch(
      /a hose that was made before/,
    );
  });

  it.each([
    ['for another job', { jobId: 'b' }, {}, /kept for another job/],
    ['off a car, not looked over', { salvaged: true }, {}, /off a car/],
    ['with more cut off than it has', {}, { restMm: 800 }, /Of 800 mm no 800 mm come off/],
  ])('is not used %s', (_, length, command, why) => {
    const id = made(length);
    expect(words(() => use(id, command))).toMatch(why);
    expect(shop.get('length', id).state).toBe('there');
  });

  it('is not what is cut from, and what is cut from is no made hose', () => {
    const [one, other] = [made(), put(1000)];
    expect(refusal(() => cut(one, 100)).code).toBe('not-enough');
    expect(words(() => use(other))).toMatch(/is no made hose on the rack/);
  });
});
