import fc from 'fast-check';
import { cutLength, CutLengthError, hoseEndProblem, hoseJoint, standardHoseEnds, standardHoses } from './index.js';

const hoses = standardHoses();
const ends = standardHoseEnds();
const hose = (id: string) => hoses.find((h) => h.id === id)!;
const end = (id: string) => ends.find((e) => e.id === id)!;

describe('cutLength', () => {
  const query = { assemblyLengthMm: 664, endA: { aMm: 38 }, endB: { aMm: 41 } };

  it('is the assembly less what both ends take', () => expect(cutLength(query)).toBe(585));
  it('adds slack to the hose, not to the ends', () => expect(cutLength({ ...query, slackPercent: 2 })).toBeCloseTo(596.7));

  it.each([
    [{ assemblyLengthMm: 0 }, /more than zero/],
    [{ assemblyLengthMm: -5 }, /more than zero/],
    [{ assemblyLengthMm: NaN }, /more than zero/],
    [{ assemblyLengthMm: 99_000 }, /30 m/],
    [{ assemblyLengthMm: 90 }, /only .11 mm.. of hose/],
    [{ slackPercent: -1 }, /Slack/],
    [{ slackPercent: 50 }, /Slack/],
  ])('refuses %j', (change, message) => {
    expect(() => cutLength({ ...query, ...change })).toThrow(CutLengthError);
    expect(() => cutLength({ ...query, ...change })).toThrow(message);
  });

  it('gives the assembly back when the ends are put on again', () => {
    fc.assert(
      fc.property(fc.double({ min: 300, max: 5000, noNaN: true }), fc.constantFrom(...ends), fc.constantFrom(...ends), (length, a, b) => {
        const cut = cutLength({ assemblyLengthMm: length, endA: a, endB: b });
        expect(cut + a.aMm + b.aMm).toBeCloseTo(length, 6);
      }),
    );
  });
});

describe('hose ends', () => {
  it('fit the standard hoses, and every hose has at least one', () => {
    for (const h of hoses) expect(ends.some((e) => hoseEndProblem(e, h) === undefined)).toBe(true);
  });

  it('have virtual legs that meet on both axes', () => {
    for (const e of ends.filter((x) => x.angleDeg > 0 && x.angleDeg < 180)) {
      const angle = (e.angleDeg * Math.PI) / 180;
      const alongPort = e.bMm / Math.sin(angle);
      const alongHose = e.aMm - alongPort * Math.cos(angle);
      expect(alongPort).toBeGreaterThan(0);
      expect(alongHose).toBeGreaterThan(0);
    }
  });

  it('refuse another construction and another size', () => {
    expect(hoseJoint(end('end-ptfe-6-0'), hose('hose-rubber-6')).reason).toMatch(/for PTFE core/);
    expect(hoseJoint(end('end-ptfe-6-0'), hose('hose-ptfe-8'))).toMatchObject({
      outcome: 'does-not-join',
      reason: 'This end is -6, and the hose is -8.',
    });
  });

  it.each([
    ['end-ptfe-6-45', 'hose-ptfe-6', 'olive', 'gap'],
    ['end-rubber-10-90', 'hose-rubber-10', 'socket', 'gap'],
    ['end-pushon-8-0', 'hose-pushon-8', 'socket', 'push'],
    ['end-fuel-6-0', 'hose-fuel-6', 'clamp', undefined],
  ])('%s on %s holds by %s', (e, h, kind, makeUp) => {
    const joint = hoseJoint(end(e), hose(h));
    expect(joint).toMatchObject({ outcome: 'seals', kind });
    expect(joint.makeUp?.kind).toBe(makeUp);
  });
});
