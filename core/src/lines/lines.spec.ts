import { judgedLine } from '../../testing/judged.js';
import { catalogue, document, drain, feed, ports, withPiece, withWay } from '../../testing/sample-job.js';
import { parseConnector } from '../connectors/index.js';
import { jointNames, waysToHoseEnd } from './index.js';
import { serviceById, services } from '../job/index.js';

const assemble = (l = feed, d = document) => judgedLine(l, d, catalogue);

describe('assembleLine', () => {
  it('numbers the joints from port A along the line to port B', () => {
    const { joints, state } = assemble();
    expect(joints.map((j) => [j.number, j.id, j.title])).toEqual([
      [1, 'A>0m', 'Port to adapter'],
      [2, '0m>p1.A', 'Adapter to hose end'],
      [3, 'p1.A>hose', 'Hose end to hose'],
      [4, 'p1.B>hose', 'Hose end to hose'],
      [5, 'p1.B>1m', 'Adapter to hose end'],
      [6, '1m>B', 'Port to adapter'],
    ]);
    expect(joints.map((j) => j.mating.kind)).toEqual(['washer', 'cone', 'olive', 'olive', 'cone', 'o-ring']);
    expect(state).toBe('seals');
    expect(jointNames(joints[5]!)).toEqual(['O-ring boss -6, female', 'O-ring boss -6, male']);
    expect(jointNames(joints[2]!)[1]).toBe('PTFE hose, steel braid, -6');
  });

  it('works the cut length out step by step and rounds it up', () => {
    const { cut } = assemble(drain).pieces[0]!;
    expect(cut!.freeMm).toBeCloseTo(400 - cut!.endAMm - cut!.endBMm, 6);
    expect(cut!.slackMm).toBeCloseTo(cut!.freeMm * 0.02, 6);
    expect(cut!.cutMm).toBe(Math.ceil(cut!.freeMm + cut!.slackMm));
    expect(cut!.assemblyMm).toBeCloseTo(cut!.cutMm + cut!.endAMm + cut!.endBMm, 6);
  });

  it('says what is open, and joins nothing that is not chosen', () => {
    const bare = withWay(withWay(withPiece(feed, { hose: null, endA: null, endB: null, length: null }), 0, null), 1, null);
    const { findings, joints, state, pieces } = assemble(bare);
    expect(findings.map((p) => p.rule)).toEqual(['hose-not-chosen', 'way-not-chosen', 'way-not-chosen', 'length-not-given']);
    expect(joints).toEqual([]);
    expect(pieces[0]!.cut).toBeUndefined();
    expect(state).toBe('open');
  });

  it('sees a port that was changed under the line', () => {
    const changed = {
      ...document,
      ports: document.ports.map((p) => (p.id === 'inlet' ? { ...p, connector: parseConnector('an6 f') } : p)),
    };
    const { state, findings } = assemble(feed, changed);
    expect(state).toBe('leaks');
    expect(findings.find((p) => p.rule === 'wrong-seal-face')!.message).toMatch(/^Joint 6 leaks: Same 9\/16-18/);
  });

  it('tells of parts, hoses and angles the catalogue does not have', () => {
    const rules = (l: typeof feed) => assemble(l).findings.map((p) => p.rule);
    expect(rules(withWay(feed, 0, [{ id: 'gone', inEnd: 0, outEnd: 1 }]))).toContain('part-gone');
    expect(rules(withPiece(feed, { hose: 'hose-ptfe-7' }))).toContain('hose-not-known');
    expect(rules(withPiece(feed, { hose: null, wanted: { construction: 'ptfe', dash: 7 } }))).toContain('hose-not-known');
    expect(rules(withPiece(feed, { endB: null, wanted: { angleB: 30 } }))).toContain('end-not-chosen');
    expect(rules(withPiece(feed, { endB: 'end-ptfe-6-17' }))).toContain('end-not-chosen');
    expect(rules(withPiece(feed, { hose: 'hose-rubber-6' }))).toContain('hose-off-its-end');
    expect(rules(withPiece(feed, { endB: 'end-fuel-6-0' }))).toContain('end-off-hose');
    expect(rules(withPiece(feed, { hose: 'hose-coolant-6' }))).toContain('hose-not-for-fluid');
    expect(rules(withPiece(feed, { length: { mm: 30, as: 'taped' } }))).toContain('length-too-short');
  });

  it('says of a hose or end that was taken out that it was, and of a fluid that it is refused', () => {
    const retired = { ...catalogue, hoses: catalogue.hoses.map((h) => ({ ...h, retired: true })) };
    expect(judgedLine(feed, document, retired).findings).toMatchObject([{ rule: 'part-retired', at: { partId: 'hose-ptfe-6' } }]);
    expect(assemble({ ...feed, fluid: 'brake fluid' }).findings.map((f) => f.rule)).toEqual(['fluid-refused', 'hose-not-for-fluid']);
    expect(assemble({ ...feed, service: 'other', fluid: 'coolant' }).state).toBe('seals');
    // fuel that runs charges a plain core
    const { findings } = assemble({ ...feed, service: 'other', fluid: 'methanol' });
    expect(findings.map((f) => f.rule)).toEqual(['hose-not-for-fluid']);
    expect(findings[0]!.remedies).toMatchObject([
      { label: expect.stringMatching(/^Take PTFE hose for fuel, conductive core/), commands: [{ set: { hose: 'hose-ptfe-fuel-6' } }] },
    ]);
    const conductive = withPiece({ ...feed, service: 'other', fluid: 'methanol' }, { hose: 'hose-ptfe-fuel-6' });
    expect(assemble(conductive).state).toBe('seals');
  });

  it('refuses a line on a port that is not there', () => expect(() => assemble({ ...feed, portA: 'nowhere' })).toThrow(RangeError));
});

describe('waysToHoseEnd', () => {
  const hoseEnd = catalogue.hoseEnds.find((e) => e.id === 'end-ptfe-6-0')!;

  it('names each way by what tells it apart, fewest joints first', () => {
    const { ways } = waysToHoseEnd(ports.gallery, hoseEnd, catalogue);
    expect(ways[0]!.name).toBe('M14 to -6');
    expect(ways.map((w) => w.name)).toContain('Banjo M14 to -6');
    // no two read alike
    expect(new Set(ways.map((w) => w.name)).size).toBe(ways.length);
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
});

describe('services', () => {
  it('each have a name, a fluid and advice', () => {
    expect(services).toHaveLength(26);
    for (const s of services) expect(s.advice.length).toBeGreaterThan(5);
    expect(serviceById('fuel').caution).toMatch(/Fuel burns/);
    expect(() => serviceById('brake')).toThrow(RangeError);
  });
});
