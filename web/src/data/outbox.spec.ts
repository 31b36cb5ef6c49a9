import type { Command } from '@gewinde/core';
import fc from 'fast-check';
import { addPending, followed, OutboxStorage, type PendingChange, rebased, without } from './outbox';

function memory(): Pick<Storage, 'getItem' | 'setItem' | 'removeItem'> & { kept: Map<string, string> } {
  const kept = new Map<string, string>();
  return { kept, getItem: (k) => kept.get(k) ?? null, setItem: (k, v) => void kept.set(k, v), removeItem: (k) => void kept.delete(k) };
}
const edit = (id: string, set: object, version = 1): Command => ({ do: 'edit-line', id, version, set });
const pending = (key: string, ...commands: Command[]): PendingChange => ({ key, commands });

describe('what waits to be sent', () => {
  it('is one change for one row, behind what is under way', () => {
    const first = addPending([], pending('1', edit('a', { name: 'x' })), null);
    expect(addPending(first, pending('2', edit('a', { note: 'y' })), null)).toEqual([pending('1', edit('a', { name: 'x', note: 'y' }))]);
    expect(addPending(first, pending('2', edit('a', { note: 'y' })), '1').map((p) => p.key)).toEqual(['1', '2']);
    expect(addPending(first, pending('2', edit('b', { note: 'y' })), null)).toHaveLength(2);
    expect(addPending(first, { key: '2', step: 'undo' }, null)).toHaveLength(2);
    const behindUndo = addPending([...first, { key: '2', step: 'undo' }], pending('3', edit('a', { note: 'y' })), null);
    expect(behindUndo.map((p) => p.key)).toEqual(['1', '2', '3']);
  });

  it('never loses what was typed last, whatever was typed before and whatever is under way', () =>
    fc.assert(
      fc.property(
        fc.array(
          fc.record({ row: fc.constantFrom('a', 'b'), field: fc.constantFrom('name', 'note'), value: fc.string(), sent: fc.boolean() }),
        ),
        (typed) => {
          let list: readonly PendingChange[] = [];
          const last = new Map<string, string>();
          for (const [i, { row, field, value, sent }] of typed.entries()) {
            list = addPending(list, pending(String(i), edit(row, { [field]: value })), sent ? (list[0]?.key ?? null) : null);
            last.set(`${row}.${field}`, value);
          }
          const shown = new Map<string, string>();
          for (const change of list)
            for (const c of 'commands' in change ? change.commands : [])
              if (c.do === 'edit-line') for (const [field, value] of Object.entries(c.set)) shown.set(`${c.id}.${field}`, value as string);
          expect(shown).toEqual(last);
        },
      ),
    ));

  it('starts from the version that the change before it has made, and from no other', () => {
    const list = [
      pending('1', edit('a', {}, 3), edit('b', {}, 3)),
      pending('2', edit('a', {}, 5)),
      pending('3', { do: 'edit-job', version: 3, set: {} }),
    ];
    expect(followed(list, 'a', 3, 4)).toEqual([pending('1', edit('a', {}, 4), edit('b', {}, 3)), list[1], list[2]]);
    expect(followed(list, 'job', 3, 4)[2]).toEqual(pending('3', { do: 'edit-job', version: 4, set: {} }));
    expect(rebased(list[1]!, 'a', 9)).toEqual(pending('2', edit('a', {}, 9)));
  });

  it('loses its commands for one row when theirs is taken, and only those', () => {
    const both = pending('1', edit('a', {}), { do: 'add-component', kind: 'pan', name: 'Pan' });
    expect(without(both, 'a')).toEqual(pending('1', { do: 'add-component', kind: 'pan', name: 'Pan' }));
    expect(without(pending('1', edit('a', {})), 'a')).toBeNull();
  });

  it('is kept by job and tab, and what is no list of changes is left out', () => {
    const store = memory();
    const box = new OutboxStorage('job', store);
    const key = (n: number) => `00000000-0000-4000-8000-00000000000${n}`;
    const list = [pending(key(1), edit('a', { name: 'x' })), { key: key(2), step: 'undo' as const }];
    box.write('tab', list);
    expect(new OutboxStorage('job', store).read('tab')).toEqual(list);
    expect([box.read('other'), new OutboxStorage('other', store).read('tab')]).toEqual([[], []]);
    box.write('tab', []);
    expect(store.kept.size).toBe(0);
    for (const broken of ['{ half', '"text"', '[1, null, {"key": 3}, {"key": "k", "step": "undo"}]', `[{"key": "${key(1)}"}]`]) {
      store.kept.set('gewinde.outbox.job.tab', broken);
      expect(box.read('tab')).toEqual([]);
    }
  });
});
