import { randomUUID } from 'node:crypto';
import fc from 'fast-check';
import { catalogue, document, drain, feed, withPiece } from '../../testing/sample-job.js';
import { jointIdsIn, placedIn, type JobDocument, type Line } from '../job/index.js';
import { CommandError, rowIds, runCommands, type Command } from './index.js';

const run = (commands: Command | Command[], d: JobDocument = document): Line => {
  const done = runCommands(d, [commands].flat(), { newId: rowIds(randomUUID()), parts: catalogue, versions: 'ignore' });
  return done.document.lines[0]!;
};
const on = (line: Line): JobDocument => ({ ...document, lines: [line] });
const head = { id: 'line1', version: 3 } as const;
const adapter = { id: 'm14x1.5mwasher+an6m', inEnd: 0, outEnd: 1 };
const spacer = { id: 'an6m+an6m', inEnd: 0, outEnd: 1 };

describe('keys', () => {
  it('stay with what stands when something is put in before it, and so do the names of its joints', () => {
    const key = feed.ways[0]!.chosen!.fittings[0]!.key;
    const longer = run({ do: 'take-way', ...head, at: 0, fittings: [spacer, adapter], branches: [] });
    const [first, second] = longer.ways[0]!.chosen!.fittings;
    expect(second!.key).toBe(key);
    expect(first!.key).not.toBe(key);
    expect(jointIdsIn(longer)).toEqual(expect.arrayContaining([`${key}>p1.A`, ...jointIdsIn(feed).filter((id) => !id.startsWith('A>'))]));
    const shorter = run({ do: 'take-way', ...head, at: 0, fittings: [adapter], branches: [] }, on(longer));
    expect(jointIdsIn(shorter)).toEqual(jointIdsIn(feed));
  });

  it('carry the marks of joints along: those that are gone, or whose end is another, are no longer made', () => {
    const all = { ...feed, made: jointIdsIn(feed) };
    const longer = run({ do: 'take-way', ...head, at: 0, fittings: [spacer, adapter], branches: [] }, on(all));
    expect(longer.made).toEqual(all.made.filter((id) => !id.startsWith('A>')));
    const bent = run({ do: 'edit-piece', ...head, piece: 'p1', set: { endA: 'end-ptfe-6-90' } }, on(all));
    expect(bent.made!.some((id) => id.includes('p1.A'))).toBe(false);
    expect(bent.made).toHaveLength(4);
  });

  it('are never given twice, whatever ways are taken one after another', () => {
    const links = fc.array(fc.constantFrom(adapter, spacer), { maxLength: 4 });
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.integer({ min: 0, max: 1 }), links), { minLength: 1, maxLength: 6 }), (steps) => {
        let line = feed;
        for (const [at, fittings] of steps) {
          const before = line;
          line = run({ do: 'take-way', ...head, at, fittings, branches: [] }, on(line));
          const keys = [...line.pieces, ...placedIn(line)].map((p) => p.key);
          expect(new Set(keys).size).toBe(keys.length);
          // a part keeps its key, or has a new one: no key changes its part
          const was = new Map(placedIn(before).map((p) => [p.key, p.id]));
          for (const p of placedIn(line)) expect(was.get(p.key) ?? p.id).toBe(p.id);
        }
      }),
    );
  });
});

describe('a piece', () => {
  it('gets the ends of another hose at its angles, straight where they are not made, and the way beside stays where the end is the same', () => {
    const bigger = run({ do: 'edit-piece', ...head, piece: 'p1', set: { hose: 'hose-ptfe-8' } });
    expect(bigger.pieces[0]).toMatchObject({ hose: 'hose-ptfe-8', endA: 'end-ptfe-8-0', endB: 'end-ptfe-8-45' });
    expect(bigger.ways.map((w) => w.chosen)).toEqual([null, null]);
    const pushOn = run(
      { do: 'edit-piece', ...head, piece: 'p1', set: { hose: 'hose-pushon-6' } },
      on(withPiece(feed, { endB: 'end-ptfe-6-60' })),
    );
    expect(pushOn.pieces[0]).toMatchObject({ endA: 'end-pushon-6-0', endB: 'end-pushon-6-0' });
    expect(pushOn.ways).toEqual(feed.ways);
  });

  it('keeps what is wanted only while its hose is not chosen', () => {
    const set = { hose: null, endA: null, endB: null, wanted: { construction: 'ptfe', angleA: 90 } };
    const open = run({ do: 'edit-piece', ...head, piece: 'p1', set });
    expect(open.pieces[0]!.wanted).toEqual(set.wanted);
    const chosen = run({ do: 'edit-piece', ...head, piece: 'p1', set: { hose: 'hose-ptfe-6' } }, on(open)).pieces[0]!;
    expect([chosen.endA, chosen.endB, chosen.wanted]).toEqual(['end-ptfe-6-90', 'end-ptfe-6-0', undefined]);
  });

  it('notes what stood beside it when it was taped, and nothing for a cut that is given', () => {
    const taped = run({ do: 'edit-piece', ...head, piece: 'p1', set: { length: { mm: 700, as: 'taped' } } }).pieces[0]!;
    expect(taped.length).toEqual({ mm: 700, as: 'taped', over: { stackMm: expect.any(Number) as number, turnDeg: 0 } });
    expect(taped.length!.over!.stackMm).toBeGreaterThan(20);
    expect(run({ do: 'edit-piece', ...head, piece: 'p1', set: { length: { mm: 700, as: 'cut' } } }).pieces[0]!.length).toEqual({
      mm: 700,
      as: 'cut',
    });
  });

  it('that is cut has no length of its own; one that is kept has', () => {
    const edit = (set: Extract<Command, { do: 'edit-piece' }>['set']) => run({ do: 'edit-piece', ...head, piece: 'p1', set }).pieces[0]!;
    expect(edit({ source: 'kept', hasMm: 700 })).toMatchObject({ source: 'kept', hasMm: 700 });
    expect(edit({ source: 'cut', hasMm: 700 })).not.toHaveProperty('hasMm');
  });
});

describe('a line', () => {
  it('is broken by a part, and whole again when that goes', () => {
    const broken = run({ do: 'break-line', ...head, piece: 'p1', use: ['an6m+an6m'] });
    expect(broken.pieces).toMatchObject([
      { key: 'p1', endA: 'end-ptfe-6-0', endB: 'end-ptfe-6-0', length: null },
      { hose: 'hose-ptfe-6', endA: 'end-ptfe-6-0', endB: 'end-ptfe-6-45', length: null },
    ]);
    expect(broken.ways).toEqual([feed.ways[0], { chosen: null, wishes: { use: ['an6m+an6m'] } }, feed.ways[1]]);
    expect(broken.pieces[1]!.key).not.toBe('p1');
    const whole = run({ do: 'join-line', ...head, at: 1 }, on(broken));
    expect(whole).toMatchObject({ pieces: [{ key: 'p1', endA: 'end-ptfe-6-0', endB: 'end-ptfe-6-45', length: null }], ways: feed.ways });
  });

  it('loses its hose and gets one again, its ways open', () => {
    const bare = run({ do: 'remove-piece', ...head, piece: 'p1' });
    expect([bare.pieces, bare.ways]).toEqual([[], [{ chosen: null }]]);
    const again = run({ do: 'add-piece', ...head, at: 0 }, on(bare));
    expect(again).toMatchObject({ pieces: [{ hose: null }], ways: [{ chosen: null }, { chosen: null }] });
  });

  it('has always one way more than pieces, and each key once, whatever is done to it', () => {
    const step = fc.tuple(fc.constantFrom('break', 'join', 'add', 'remove'), fc.nat({ max: 7 }));
    fc.assert(
      fc.property(fc.array(step, { maxLength: 12 }), (steps) => {
        let line = drain;
        for (const [what, n] of steps) {
          const piece = line.pieces[n % Math.max(1, line.pieces.length)]?.key ?? 'none';
          const at = n % line.ways.length;
          const rest = { id: line.id, version: 3 };
          const command: Command =
            what === 'break'
              ? { do: 'break-line', ...rest, piece }
              : what === 'join'
                ? { do: 'join-line', ...rest, at }
                : what === 'add'
                  ? { do: 'add-piece', ...rest, at }
                  : { do: 'remove-piece', ...rest, piece };
          try {
            line = run(command, on(line));
          } catch (error) {
            if (!(error instanceof CommandError)) throw error;
          }
          expect(line.ways).toHaveLength(line.pieces.length + 1);
          const keys = [...line.pieces, ...placedIn(line)].map((p) => p.key);
          expect(new Set(keys).size).toBe(keys.length);
        }
      }),
    );
  });

  it.each<[string, Command, string]>([
    ['broken by a part nobody has', { do: 'break-line', ...head, piece: 'p1', use: ['ghost'] }, 'bad-value'],
    ['broken where there is no hose', { do: 'break-line', ...head, piece: 'p7' }, 'not-found'],
    ['joined at its port', { do: 'join-line', ...head, at: 0 }, 'bad-value'],
  ])('is not %s', (_, command, code) => {
    const refused = (): Line => run(command);
    expect(refused).toThrow(CommandError);
    expect(refused).toThrow(expect.objectContaining({ code }) as Error);
  });
});
