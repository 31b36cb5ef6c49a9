import { catalogue, document, drain, endOn, feed, line, ports } from '../../testing/sample-job.js';
import { parseConnector } from '../connectors/index.js';
import { assembleLine, jointNames, waysToHoseEnd } from './index.js';
import { serviceById, services } from '../job/index.js';

const assemble = (l = feed, d = document) => assembleLine(l, d, catalogue);

describe('assembleLine', () => {
  it('numbers the joints from port A along the line to port B', () => {
    const { joints, state } = assemble();
    expect(joints.map((j) => [j.number, j.side, j.title])).toEqual([
      [1, 'A', 'Port to adapter'],
      [2, 'A', 'Adapter to hose end'],
      [3, 'A', 'Hose end to hose'],
      [4, 'B', 'Hose end to hose'],
      [5, 'B', 'Adapter to hose end'],
      [6, 'B', 'Port to adapter'],
    ]);
    expect(joints.map((j) => j.mating.kind)).toEqual(['washer', 'cone', 'olive', 'olive', 'cone', 'o-ring']);
    expect(state).toBe('seals');
    expect(jointNames(joints[5]!)).toEqual(['O-ring boss -6, female', 'O-ring boss -6, male']);
    expect(jointNames(joints[2]!)[1]).toBe('PTFE hose, steel braid, -6');
  });

  it('works the cut length out step by step and rounds it up', () => {
    const { cut } = assemble(drain);
    expect(cut!.freeMm).toBeCloseTo(400 - cut!.endAMm - cut!.endBMm, 6);
    expect(cut!.slackMm).toBeCloseTo(cut!.freeMm * 0.02, 6);
    expect(cut!.cutMm).toBe(Math.ceil(cut!.freeMm + cut!.slackMm));
    expect(cut!.assemblyMm).toBeCloseTo(cut!.cutMm + cut!.endAMm + cut!.endBMm, 6);
  });

  it('says what is open, and joins nothing that is not chosen', () => {
    const bare = line(9, {
      construction: null,
      dash: null,
      tapedLengthMm: null,
      endA: { ...feed.endA, fittings: null },
      endB: { ...feed.endB, fittings: null },
    });
    const { problems, joints, state, cut } = assemble(bare);
    expect(problems.map((p) => p.code)).toEqual(['hose-open', 'way-open', 'way-open', 'length-open']);
    expect(joints).toEqual([]);
    expect(cut).toBeUndefined();
    expect(state).toBe('open');
  });

  it('sees a port that was changed under the line', () => {
    const changed = {
      ...document,
      ports: document.ports.map((p) => (p.id === 'inlet' ? { ...p, connector: parseConnector('an6 f') } : p)),
    };
    const { state, problems } = assemble(feed, changed);
    expect(state).toBe('leaks');
    expect(problems.find((p) => p.code === 'joint')!.message).toMatch(/^Joint 6 leaks: Same 9\/16-18/);
  });

  it('tells of parts, hoses and angles the catalogue does not have', () => {
    const codes = (l: typeof feed) => assemble(l).problems.map((p) => p.code);
    expect(codes({ ...feed, endA: { ...feed.endA, fittings: [{ id: 'gone', inEnd: 0, outEnd: 1 }] } })).toContain('part-missing');
    expect(codes({ ...feed, dash: 7 })).toContain('hose-open');
    expect(codes({ ...feed, construction: 'pushon', endB: { ...feed.endB, angleDeg: 30 } })).toContain('end-not-made');
    expect(codes({ ...feed, construction: 'coolant', dash: 6 })).toContain('fluid');
    expect(codes({ ...feed, tapedLengthMm: 30 })).toContain('length');
  });

  it('is checked only while it seals', () => {
    expect(assemble({ ...feed, checked: true }).state).toBe('checked');
    expect(assemble({ ...feed, checked: true, tapedLengthMm: null }).state).toBe('open');
  });

  it('refuses a line on a port that is not there', () =>
    expect(() => assemble({ ...feed, endA: { ...feed.endA, portId: 'nowhere' } })).toThrow(RangeError));
});

describe('waysToHoseEnd', () => {
  const hoseEnd = catalogue.hoseEnds.find((e) => e.id === 'end-ptfe-6-0')!;

  it('names each way by what tells it apart, fewest joints first', () => {
    const { ways } = waysToHoseEnd(ports.gallery, hoseEnd, catalogue);
    expect(ways[0]!.name).toBe('1 adapter');
    expect(ways.map((w) => w.name)).toContain('Banjo');
    expect(ways.map((w) => w.joints.length)).toEqual([...ways.map((w) => w.joints.length)].sort((a, b) => a - b));
    expect(ways.every((w) => w.leastBoreMm <= hoseEnd.boreMm)).toBe(true);
  });

  it('takes a flare port without an adapter, and says so where nothing joins', () => {
    expect(waysToHoseEnd({ connector: parseConnector('an6 m') }, hoseEnd, catalogue).ways[0]!.name).toBe('Straight on the port');
    const none = waysToHoseEnd({ connector: parseConnector('m48x2 f washer') }, hoseEnd, catalogue);
    expect(none.ways).toEqual([]);
    expect(none.explanation).toMatch(/No chain in the catalogue joins metric parallel M48×2/);
    expect(none.missingLinks).toHaveLength(1);
  });

  it('gives the way that the sample line took', () => expect(endOn(ports.inlet, 'ptfe', 6, 45)).toEqual(feed.endB));
});

describe('services', () => {
  it('each have a name, a fluid and advice', () => {
    expect(services).toHaveLength(10);
    for (const s of services) expect(s.advice.length).toBeGreaterThan(5);
    expect(serviceById('fuel').caution).toMatch(/Fuel burns/);
    expect(() => serviceById('brake')).toThrow(RangeError);
  });
});
