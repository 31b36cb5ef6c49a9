import { convert, cutLength, minCutMm, SOCKET_GAP_MM, standardHoseEnds, standardHoses, straightened } from '../src/index.js';

describe('exact conversions (international inch 25.4 mm; pound-force 4.4482216152605 N)', () => {
  it.each([
    [1, 'in', 'mm', 25.4, 10],
    [1, 'bar', 'psi', 14.503774, 5],
    [1, 'N·m', 'lbf·ft', 0.737562, 6],
    [100, '°C', '°F', 212, 10],
    [1, 'qt', 'L', 0.946352946, 9],
  ])('%d %s in %s', (value, from, to, expected, digits) => expect(convert(value, from, to)).toBeCloseTo(expected, digits));
});

describe('cut length (common practice, worked by hand)', () => {
  it('a 600 mm assembly with straight ends that take 20 mm each is cut to 560 mm', () =>
    expect(cutLength({ assemblyLengthMm: 600, endA: { aMm: 20 }, endB: { aMm: 20 } })).toBe(560));
  it('two per cent of slack on it makes 571.2 mm', () =>
    expect(cutLength({ assemblyLengthMm: 600, endA: { aMm: 20 }, endB: { aMm: 20 }, slackPercent: 2 })).toBeCloseTo(571.2));
});

describe('the shortest piece (common practice): both insertion lengths and a gap', () => {
  it.each([
    ['ptfe', 6, 21.6],
    ['ptfe', 10, 28],
    ['ptfe', 16, 37.6],
  ])('%s -%d: two sockets of %d mm do not meet', (construction, dash, socket) => {
    const end = standardHoseEnds().find((e) => e.id === `end-${construction}-${dash}-0`)!;
    expect(end.socketLengthMm).toBeCloseTo(socket, 1);
    const least = 2 * socket + SOCKET_GAP_MM;
    expect(minCutMm(end, end)).toBeCloseTo(least, 1);
    const ends = { endA: end, endB: end };
    expect(cutLength({ assemblyLengthMm: least + 2 * end.aMm, ...ends })).toBeCloseTo(least, 1);
    expect(() => cutLength({ assemblyLengthMm: least + 2 * end.aMm - 0.5, ...ends })).toThrow(/sockets and a gap take/);
  });
});

describe('taping at a bent end (worked by hand: r = 27.8 mm, tail 14.7 mm): the way round a -10 90° end is 30.5 mm longer', () => {
  const [straight, bent, back] = [0, 90, 180].map((angle) => standardHoseEnds().find((e) => e.id === `end-ptfe-10-${angle}`)!);
  it.each([
    [bent!, straight!, 30.5],
    [bent!, bent!, 61],
    [straight!, straight!, 0],
  ])('%#', (a, b, off) => expect(700 - straightened(700, a, b)!).toBeCloseTo(off, 0));
  it('and cannot be told of an end of 180°', () => expect(straightened(700, straight!, back!)).toBeUndefined());
});

describe('what straight ends usually take off, mm (common practice)', () => {
  it.each([
    [6, 22, 25],
    [10, 28, 33],
  ])('-%d: %d to %d', (dash, low, high) => {
    const { aMm } = standardHoseEnds().find((e) => e.id === `end-ptfe-${dash}-0`)!;
    expect(aMm).toBeGreaterThanOrEqual(low);
    expect(aMm).toBeLessThanOrEqual(high);
  });
});

describe('geometry of bent ends (virtual legs: L1 = B/sin θ, L2 = A − L1·cos θ)', () => {
  it('a 90° end has its legs along A and B', () => {
    const end = standardHoseEnds().find((e) => e.id === 'end-ptfe-6-90')!;
    const l1 = end.bMm / Math.sin(Math.PI / 2);
    expect(l1).toBeCloseTo(end.bMm);
    expect(end.aMm - l1 * Math.cos(Math.PI / 2)).toBeCloseTo(end.aMm);
  });
});

describe('SAE J517: 100R14 bores and working pressures, by dash size (from memory)', () => {
  it.each([
    [4, 4.8, 103],
    [6, 7.9, 103],
    [8, 10.3, 69],
    [10, 12.7, 55],
    [12, 15.9, 55],
    [16, 22.2, 55],
  ])('-%d', (dash, bore, bar) =>
    expect(standardHoses().find((h) => h.construction === 'ptfe' && h.dash === dash)).toMatchObject({ boreMm: bore, workingBar: bar }),
  );
});
