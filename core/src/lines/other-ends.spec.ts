import { judgedJob, judgedLine } from '../../testing/judged.js';
import { catalogue, document, drain, feed, ports, withPiece, withWay } from '../../testing/sample-job.js';
import { usualWeights } from '../chains/index.js';
import { formatConnector, parseConnector } from '../connectors/index.js';
import type { Hose } from '../hose/index.js';
import { checkPart, findHoseEnd } from '../job/index.js';
import { gapOf, otherEnds, solveJob, takeWayCommands, waysAcross } from './index.js';
import { inHouseUnits } from '../units/index.js';

/** With a far end that is not bent. */
const straight = withPiece(feed, { endB: 'end-ptfe-6-0' });
const way = (line = feed, at = 0) => judgedLine(line, document, catalogue).ways[at]!;
const ask = (line = feed, at = 0, wishes = {}) => waysAcross(gapOf(way(line, at))!, catalogue, { wishes });
const goals = (id: string, far: string | null = null, leastBoreMm = 0) => {
  const { construction, dash } = findHoseEnd(catalogue, id)!;
  return otherEnds({ id, hose: `hose-${construction}-${dash}`, far }, catalogue, usualWeights, leastBoreMm).map((o) =>
    formatConnector(o.connector),
  );
};

describe('ways to the other ends of a hose', () => {
  it('compete with those to the end that is on it: straight on the port, with one joint less', () => {
    const { ways } = ask();
    expect(ways[0]).toMatchObject({ name: 'Straight on the port', jointCount: 1, otherEnd: 'end-ptfe-6-0-m14x1.5mwasher' });
    expect(ways[1]).toMatchObject({ name: 'M14 to -6', jointCount: 2 });
    expect(ways[1]!.otherEnd).toBeUndefined();
    expect(ways.map((w) => w.jointCount)).toEqual([...ways.map((w) => w.jointCount)].sort((a, b) => a - b));
    // from the far end of the line too, which is told from port A
    expect(ask(feed, 1).ways[0]!.otherEnd).toBe('end-ptfe-6-45-orb6madjustable');
    expect(ask(straight, 1).ways[0]).toMatchObject({ jointCount: 1, otherEnd: 'end-ptfe-6-0-orb6m' });
  });

  it('are listed only where they save a joint', () => {
    for (const { otherEnd, jointCount, joints } of [...ask().ways, ...ask(drain).ways]) {
      if (otherEnd === undefined) continue;
      expect(jointCount).toBeLessThan(2);
      expect(joints.every((j) => j.outcome === 'seals' && !j.risk)).toBe(true);
    }
  });

  it('are all there is where the end that is on it has no way', () => {
    const thin = { ...catalogue, fittings: [] };
    const { ways, explanation } = waysAcross(gapOf(way())!, thin);
    expect(ways.map((w) => [w.fittings.length, w.otherEnd])).toEqual([[0, 'end-ptfe-6-0-m14x1.5mwasher']]);
    expect(explanation).toMatch(/No chain in the catalogue joins metric parallel M14/);
  });

  it('keep to the wishes: the bore that must pass, the parts that are to be used', () => {
    expect(ask(feed, 0, { leastBoreMm: 7 }).ways.some((w) => w.otherEnd)).toBe(false);
    const use = ['m14x1.5mwasher+an6m'];
    const { ways, contradiction } = ask(feed, 0, { use });
    expect(contradiction).toBeUndefined();
    expect(ways.every((w) => w.fittings.some((f) => f.id === use[0]))).toBe(true);
  });

  it('are of the same angle, one for each connector, and no wider than wished', () => {
    expect(goals('end-ptfe-6-90')).toContain('banjo m14x1.5');
    expect(goals('end-ptfe-6-90')).not.toContain('orb6 m');
    expect(goals('end-ptfe-6-0')).toContain('an8 f swivel');
    expect(new Set(goals('end-ptfe-6-0')).size).toBe(goals('end-ptfe-6-0').length);
    expect(goals('end-ptfe-6-0', null, 100)).toEqual([]);
    expect(otherEnds({ id: 'gone', hose: 'gone', far: null }, catalogue, usualWeights)).toEqual([]);
  });

  it('never make a hose that is screwed in rigid at both ends', () => {
    expect(goals('end-ptfe-6-0', 'end-ptfe-6-0-orb6m')).not.toContain('m14x1.5 m washer');
    expect(goals('end-ptfe-6-0', 'end-ptfe-6-0-orb6m')).toContain('g 1/4 f swivel');
    // a locknut aims it, and it goes in with the hose all the same
    expect(goals('end-ptfe-6-90', 'end-ptfe-6-0-orb6m')).not.toContain('orb6 m adjustable');
    const rigid = withPiece(feed, { endB: 'end-ptfe-6-0-orb6m' });
    expect(ask(rigid).ways.some((w) => w.otherEnd === 'end-ptfe-6-0-m14x1.5mwasher')).toBe(false);
  });

  it('are taken with their end, as one change', () => {
    const [first, second] = ask().ways;
    expect(takeWayCommands('feed', way(), first!)).toEqual([
      { do: 'edit-piece', id: 'feed', piece: 'p1', set: { endA: first!.otherEnd } },
      { do: 'take-way', id: 'feed', at: 0, fittings: [], branches: [] },
    ]);
    expect(takeWayCommands('feed', way(), second!).map((c) => c.do)).toEqual(['take-way']);
    expect(takeWayCommands('feed', way(straight, 1), ask(straight, 1).ways[0]!)[0]).toMatchObject({ set: { endB: 'end-ptfe-6-0-orb6m' } });
  });
});

describe('all ends solved together', () => {
  const solved = (parts = catalogue) => {
    const open = withWay(withWay(feed, 0, null), 1, null);
    const work = solveJob(judgedJob({ ...document, lines: [open] }, parts), { weights: usualWeights });
    for (let step = work.next(); ; step = work.next()) if (step.done) return step.value.ends;
  };

  it('keep the end that is on its hose, as long as there is a way to it', () =>
    expect(solved().map((end) => [end.way?.otherEnd, end.way!.fittings.length])).toEqual([
      [undefined, 1],
      [undefined, 1],
    ]));

  it('take another one where there is none', () => {
    const ends = solved({ ...catalogue, fittings: [] });
    expect(ends.map((end) => end.way?.otherEnd)).toEqual(['end-ptfe-6-0-m14x1.5mwasher', 'end-ptfe-6-45-orb6madjustable']);
    expect(ends.every((end) => end.why === undefined)).toBe(true);
  });
});

describe('a hose in the store', () => {
  const hose = catalogue.hoses.find((h) => h.id === 'hose-coolant-16mm')!;
  const said = (part: Hose) => checkPart({ kind: 'hose', part }).map((p) => p.message);

  it('is called by a bore that it has', () => {
    expect(said(hose)).toEqual([]);
    expect(said({ ...hose, metricMm: 19 }).map((w) => inHouseUnits(w, 'metric'))).toEqual(['A hose of 16 mm bore is not called 19 mm.']);
  });
});

describe('a line says of its hose', () => {
  const rules = (line = feed, d = document) => judgedLine(line, d, catalogue).findings;

  it('that neither of its ends turns', () => {
    const direct = withWay(withPiece(feed, { endA: 'end-ptfe-6-0-m14x1.5mwasher' }), 0, []);
    expect(rules(direct).some((f) => f.rule === 'hose-cannot-turn')).toBe(false);
    const rigid = withWay(withPiece(direct, { endB: 'end-ptfe-6-0-orb6m' }), 1, []);
    expect(rules(rigid).find((f) => f.rule === 'hose-cannot-turn')).toMatchObject({ at: { piece: 'p1' }, severity: 'leak' });
    // the swivel may be on the other side of the joint
    const swivel = { ...document, ports: document.ports.map((p) => (p.id === 'inlet' ? { ...p, connector: parseConnector('an6 m') } : p)) };
    expect(rules(withWay(withPiece(direct, { endB: 'end-ptfe-6-0' }), 1, []), swivel).some((f) => f.rule === 'hose-cannot-turn')).toBe(
      false,
    );
  });

  it('where a drain is too narrow: hose, end or fitting', () => {
    const narrow = (line = drain) =>
      rules(line)
        .filter((f) => f.rule === 'drain-narrow')
        .map((f) => f.message);
    expect(narrow()).toEqual([]);
    expect(
      inHouseUnits(narrow(withPiece(drain, { hose: 'hose-ptfe-8', endA: 'end-ptfe-8-0', endB: 'end-ptfe-8-0' })).join(), 'metric'),
    ).toMatch(/-8 passes 10.3 mm; 11 mm and up are usual in a drain by gravity|straight, 37° swivel passes 8.9 mm; froth stands/);
    const stepped = narrow(withPiece(drain, { endA: 'end-ptfe-10-0-an8fswivel' }));
    expect(stepped).toHaveLength(1);
    expect(stepped[0]).toMatch(/^Olive end -10, straight, an8 f swivel passes .8/);
    expect(narrow({ ...drain, service: 'return' } as typeof drain)).toEqual([]);
  });

  it('that crimped ends come from the supplier, with what orders it so', () => {
    const crimped = withPiece(feed, { hose: 'hose-crimped-6', endA: 'end-crimped-6-0', endB: 'end-crimped-6-0' });
    const found = rules(crimped).find((f) => f.rule === 'crimped-by-supplier')!;
    expect(inHouseUnits(found.message, 'metric')).toMatch(/ordered made up, 6\d\d(\.\d)? mm from seat to seat/);
    const [command] = found.remedies[0]!.commands;
    expect(command).toMatchObject({ do: 'edit-piece', set: { source: 'bought' } });
    const { set } = command as { set: Parameters<typeof withPiece>[1] };
    expect(rules(withPiece(crimped, set)).map((f) => f.rule)).toEqual([]);
    // one that is on the car is not opened to be shortened
    const kept = withPiece(crimped, { source: 'kept', hasMm: 900 });
    expect(rules(kept).map((f) => f.rule)).toEqual(['made-hose-too-long']);
    expect(judgedLine(kept, document, catalogue).pieces[0]!.cut!.shortenMm).toBeUndefined();
  });

  it('nothing of the nuts of a hard line, which turn on it; and makes no joint of a flare and its tube', () => {
    const tube = withPiece(feed, { hose: 'hose-steel-tube-6', endA: 'end-steel-tube-6-0', endB: 'end-steel-tube-6-0' });
    const line = judgedLine(tube, document, catalogue);
    expect(line.findings).toEqual([]);
    expect(line.joints.map((j) => j.mating.kind)).toEqual(['washer', 'cone', 'cone', 'o-ring']);
    // stiff: no slack, and what both flares take is added
    expect(line.pieces[0]!.cut).toMatchObject({ slackPercent: 0, slackMm: 0, cutMm: Math.ceil(line.pieces[0]!.cut!.givenMm + 2) });
    // a nut of steel on an adapter of aluminium: the weaker says how tight
    expect(line.joints[1]!.metals).toEqual(['aluminium', 'steel']);
  });

  it('which joint seals only at a risk', () => {
    const keg = {
      ...document,
      ports: document.ports.map((p) => (p.id === ports.gallery.id ? { ...p, connector: parseConnector('m10x1 f washer') } : p)),
    };
    const risky = withWay(feed, 0, [{ id: 'kegm10x1m+an6m', inEnd: 0, outEnd: 1 }]);
    const made = {
      ...catalogue,
      fittings: [
        ...catalogue.fittings,
        { id: 'kegm10x1m+an6m', name: 'Keg', ends: [parseConnector('keg m10x1 m'), parseConnector('an6 m')] },
      ],
    };
    expect(judgedLine(risky, keg, made).findings.find((f) => f.rule === 'joint-at-risk')).toMatchObject({
      severity: 'risk',
      message: expect.stringMatching(/^Joint 1 seals only at a risk: /) as string,
    });
  });
});
