import fc from 'fast-check';
import { document } from '../../testing/sample-job.js';
import { applyChange, receive, replicaOf, type JobChange, type JobDocument, type Replica } from './index.js';

const head = (id: number) => ({
  id,
  key: `k${id}`,
  kind: 'edit' as const,
  label: `change ${id}`,
  client: 'c',
  at: new Date(Date.UTC(2026, 0, 1, 0, id)).toISOString(),
});
const port = (id: string, label: string, version: number) => ({
  type: 'port' as const,
  row: { ...document.ports[0]!, id, label, version },
});

/** A history of puts and removals of a few rows, each change touching one or two. */
const history = fc
  .array(fc.array(fc.tuple(fc.constantFrom('gallery', 'inlet', 'new', 'other'), fc.boolean()), { minLength: 1, maxLength: 2 }), {
    minLength: 1,
    maxLength: 8,
  })
  .map((all) =>
    all.map((rows, i): JobChange => {
      const unique = [...new Map(rows)];
      return {
        ...head(i + 1),
        put: unique.filter(([, put]) => put).map(([id]) => port(id, `by ${i + 1}`, i + 2)),
        removed: unique.filter(([, put]) => !put).map(([id]) => ({ type: 'port', id })),
      };
    }),
  );
const content = ({ ports, job }: JobDocument) => [[...ports].sort((a, b) => a.id.localeCompare(b.id)), job.updatedAt];

describe('a copy of a job that follows its changes', () => {
  it('becomes the same whatever order the answers to its own commands arrive in, and however often', () =>
    fc.assert(
      fc.property(history, fc.array(fc.nat(7), { maxLength: 6 }), fc.array(fc.nat(7), { maxLength: 6 }), (changes, early, late) => {
        const straight = changes.reduce((d, change) => applyChange(d, change), document);
        let replica: Replica = replicaOf(document, 0);
        const answer = (at: number[]) => {
          for (const i of at) if (changes[i]) replica = receive(replica, changes[i], false);
        };
        // an answer can overtake the stream, and come after it as well
        for (const [i, change] of changes.entries()) {
          answer(early.filter((e) => e >= i));
          replica = receive(replica, change, true);
          answer(late.filter((e) => e <= i));
        }
        expect(content(replica.document)).toEqual(content(straight));
        expect(replica.at).toBe(changes.length);
        expect(replica.ahead.size).toBe(0);
      }),
    ));

  it('takes rows in at their places, new ones last, and leaves the rest as it is', () => {
    const next = applyChange(document, {
      ...head(1),
      put: [port('inlet', 'renamed', 2), port('new', 'new', 1)],
      removed: [{ type: 'line', id: 'line2' }],
    });
    expect(next.ports.map((p) => p.id)).toEqual([...document.ports.map((p) => p.id), 'new']);
    expect(next.ports[1]!.label).toBe('renamed');
    expect(next.lines.map((l) => l.id)).toEqual(['line1', 'line3']);
    expect(next.components).toBe(document.components);
    expect(next.job.updatedAt).toBe('2026-01-01T00:01:00.000Z');
  });
});
