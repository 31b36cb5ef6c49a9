import fc from 'fast-check';
import { Outbox } from './outbox';

function memory(): Pick<Storage, 'getItem' | 'setItem' | 'removeItem'> {
  const kept = new Map<string, string>();
  return { getItem: (k) => kept.get(k) ?? null, setItem: (k, v) => void kept.set(k, v), removeItem: (k) => void kept.delete(k) };
}
const edit = (id: string, patch: Record<string, unknown>, version = 1) => ({ kind: 'line' as const, id, version, patch });

describe('Outbox', () => {
  it('makes one change of those that wait on one row', () => {
    const box = new Outbox('job', memory());
    box.add(edit('a', { name: 'x' }), false);
    box.add(edit('b', { name: 'y' }), false);
    box.add(edit('a', { note: 'z' }), false);
    expect(box.pending.map((e) => [e.id, e.patch])).toEqual([
      ['a', { name: 'x', note: 'z' }],
      ['b', { name: 'y' }],
    ]);
  });

  it('leaves a change under way alone, and starts the next from its version', () => {
    const box = new Outbox('job', memory());
    box.add(edit('a', { name: 'x' }), false);
    const sent = box.pending[0]!;
    box.add(edit('a', { name: 'y' }), true);
    expect(box.pending).toHaveLength(2);
    box.arrived(sent, 2);
    expect(box.pending).toEqual([edit('a', { name: 'y' }, 2)]);
  });

  it('survives a reload, and a spoiled storage', () => {
    const storage = memory();
    new Outbox('job', storage).add(edit('a', { name: 'x' }), false);
    expect(new Outbox('job', storage).pending).toHaveLength(1);
    expect(new Outbox('other', storage).pending).toEqual([]);
    storage.setItem('gewinde.outbox.job', '{not json');
    expect(new Outbox('job', storage).pending).toEqual([]);
  });

  it('never loses the last value of a field', () => {
    const step = fc.record({
      id: fc.constantFrom('a', 'b'),
      field: fc.constantFrom('name', 'note'),
      value: fc.integer(),
      underWay: fc.boolean(),
    });
    fc.assert(
      fc.property(fc.array(step, { maxLength: 12 }), (steps) => {
        const box = new Outbox('job', memory());
        const last = new Map<string, number>();
        for (const s of steps) {
          box.add(edit(s.id, { [s.field]: s.value }), s.underWay && box.pending.length > 0);
          last.set(`${s.id}.${s.field}`, s.value);
        }
        const sent = new Map<string, unknown>();
        for (const e of box.pending) for (const [field, value] of Object.entries(e.patch)) sent.set(`${e.id}.${field}`, value);
        expect(sent).toEqual(last);
      }),
    );
  });
});
