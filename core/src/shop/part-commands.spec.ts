import { usualFlowRules, usualRuleRows, usualSealRules, usualStoreRules, usualWeights } from '@gewinde/core';
import { refusal, ShopInMemory } from '../../testing/shop.js';

const RING = 'o-ring fkm AS568-906';
const own = (more: object = {}) => ({
  do: 'add-part',
  entry: { kind: 'fitting', part: { ends: [end('orb', 6), end('an', 6)], code: ' G-100 ', ...more } },
});
let shop: ShopInMemory;
/** An end that the catalogue has. */
const end = (family: string, dash: number) => {
  const ends = shop.all('part').flatMap((p) => (p.kind === 'fitting' ? p.part.ends : []));
  return ends.find((e) => JSON.stringify(e).includes(`"${family}`) && JSON.stringify(e).includes(`${dash}`))!;
};
const entryOf = (id: string, change: object = {}) => {
  const { kind, part } = shop.part(id);
  return { kind, part: { ...part, ...change } };
};
const edit = (id: string, change: object, version = shop.part(id).version) =>
  shop.run({ do: 'edit-part', id, version, entry: entryOf(id, change) });
beforeEach(() => (shop = new ShopInMemory()));

describe('a part of the shop', () => {
  it('of which only the ends are said gets its name and proportions from them', () => {
    const { made, label } = shop.run(own());
    expect(made).toMatchObject([{ type: 'part', row: { version: 1, origin: 'own', kind: 'fitting', part: { code: 'G-100' } } }]);
    expect(label).toBe(`Add ${shop.part(made[0]!.row.id).part.name}`);
    expect(refusal(() => shop.run(own()))).toMatchObject({ code: 'part-taken', field: 'id' });
  });

  it.each([
    ['without ends', { ends: [] }, 'part-unsound'],
    ['with ends that nobody knows', { ends: [{ family: 'none' }] }, 'part-unsound'],
  ])('is refused %s', (_, more, code) => {
    expect(refusal(() => shop.run(own(more)))).toMatchObject({ code });
  });

  it('has a code that is its own, whatever its letters, in the same change too', () => {
    const [first, second] = shop.all('part');
    edit(first!.id, { code: 'G-1' });
    expect(refusal(() => edit(second!.id, { code: ' g-1 ' }))).toMatchObject({
      code: 'code-taken',
      field: 'code',
      message: `The code "g-1" belongs to ${first!.part.name}.`,
    });
    edit(first!.id, { code: 'g-1' });
    const both = (id: string) => ({ do: 'edit-part', id, version: shop.part(id).version, entry: entryOf(id, { code: 'G-2' }) });
    expect(refusal(() => shop.run(both(first!.id), both(second!.id))).code).toBe('code-taken');
  });

  it('is edited as it was seen, stays what it is, is taken out and put back; its shelf once counted is empty, not unknown', () => {
    edit(RING, { shelf: 4 });
    expect(refusal(() => edit(RING, {}, 1))).toMatchObject({ code: 'conflict', current: { version: 2 } });
    expect(refusal(() => shop.run({ do: 'edit-part', id: RING, version: 2, entry: { ...entryOf(RING), kind: 'fitting' } }))).toMatchObject({
      code: 'part-unsound',
      field: 'kind',
    });
    expect(refusal(() => shop.run({ do: 'edit-part', id: 'gone', version: 1, entry: entryOf(RING) })).code).toBe('not-found');
    expect(edit(RING, { retired: true, shelf: undefined }).label).toMatch(/^Take out /);
    expect(shop.part(RING).part).toMatchObject({ retired: true, shelf: 0 });
    expect(edit(RING, { retired: false }).label).toMatch(/^Put back /);
    expect(edit(RING, { priceMinor: 80 }).label).toMatch(/^Edit /);
  });

  it('that is cut has what its rack has, and no shelf', () => {
    const HOSE = 'hose-ptfe-6';
    expect(refusal(() => edit(HOSE, { shelf: 12 }))).toMatchObject({
      field: 'shelf',
      message: expect.stringMatching(/kept by its lengths/),
    });
    expect(edit(HOSE, { priceMinor: 1900 }).changed).toHaveLength(1);
  });
});

describe('what the shop has one of', () => {
  it.each([
    ['set-weights', 'weights', { weights: { ...usualWeights, leadDayMinor: 7 } }],
    ['set-seal-rules', 'sealRules', { rules: { ...usualSealRules } }],
    ['set-flow-rules', 'flowRules', { rules: { ...usualFlowRules } }],
    ['set-store-rules', 'storeRules', { rules: { ...usualStoreRules, kerfMm: 3 } }],
  ] as const)('is set by the version that was seen: %s', (command, type, set) => {
    const { id } = usualRuleRows[type];
    const stale = refusal(() => shop.run({ do: command, version: 1, ...set }));
    expect(stale).toMatchObject({ code: 'conflict', current: usualRuleRows[type] });
    shop.run({ do: command, version: 0, ...set });
    expect(shop.get(type, id)).toEqual({ id, version: 1, ...set });
    expect(refusal(() => shop.run({ do: command, version: 0, ...set }))).toMatchObject({ current: { version: 1 } });
  });
});
