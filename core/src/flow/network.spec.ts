import fc from 'fast-check';
import { balance, FlowFigureError, pressureLoss, type FlowEdge } from './index.js';

/** A line that takes so many bar a litre a minute: as a resistor. */
const linear = (id: string, from: string, to: string, barPerLpm: number): FlowEdge => ({ id, from, to, loss: (q) => barPerLpm * q });
const pipe = (id: string, from: string, to: string, boreMm: number, lengthM: number): FlowEdge => ({
  id,
  from,
  to,
  loss: (flowLpm) => pressureLoss({ flowLpm, boreMm, lengthM, viscosityCst: 12, densityKgM3: 800 }).lossBar,
});

describe('a network of lines', () => {
  it('of linear lines flows as resistors do: two in parallel, one before them', () => {
    const { flowLpm, pressureBar } = balance(
      [{ id: 'pump', heldBar: 4 }, { id: 'tee' }, { id: 'sump', heldBar: 0 }],
      [linear('feed', 'pump', 'tee', 0.1), linear('a', 'tee', 'sump', 0.2), linear('b', 'tee', 'sump', 0.6)],
    );
    // 0.2 and 0.6 in parallel are 0.15: 4 / 0.25 = 16 L/min, 2.4 bar at the tee
    expect(flowLpm['feed']).toBeCloseTo(16, 5);
    expect(flowLpm['a']).toBeCloseTo(12, 5);
    expect(flowLpm['b']).toBeCloseTo(4, 5);
    expect(pressureBar['tee']).toBeCloseTo(2.4, 6);
  });

  it('balances at every place, and the loss of each line is the difference of its ends', () =>
    fc.assert(
      fc.property(
        fc.array(fc.record({ bore: fc.double({ min: 4, max: 20, noNaN: true }), length: fc.double({ min: 0.2, max: 3, noNaN: true }) }), {
          minLength: 5,
          maxLength: 5,
        }),
        fc.double({ min: 0.5, max: 8, noNaN: true }),
        fc.double({ min: 0, max: 5, noNaN: true }),
        (pipes, bar, drawn) => {
          const [p1, p2, p3, p4, p5] = pipes.map((p) => p) as { bore: number; length: number }[];
          const edges = [
            pipe('1', 'pump', 'a', p1!.bore, p1!.length),
            pipe('2', 'pump', 'b', p2!.bore, p2!.length),
            pipe('bridge', 'a', 'b', p3!.bore, p3!.length),
            pipe('3', 'a', 'sump', p4!.bore, p4!.length),
            pipe('4', 'b', 'sump', p5!.bore, p5!.length),
          ];
          const nodes = [{ id: 'pump', heldBar: bar }, { id: 'a', fedLpm: -drawn }, { id: 'b' }, { id: 'sump', heldBar: 0 }];
          const { flowLpm, pressureBar } = balance(nodes, edges);
          const into = (id: string): number =>
            edges.reduce((s, e) => s + (e.to === id ? flowLpm[e.id]! : 0) - (e.from === id ? flowLpm[e.id]! : 0), 0);
          expect(into('a')).toBeCloseTo(drawn, 3);
          expect(into('b')).toBeCloseTo(0, 3);
          for (const e of edges) {
            const q = flowLpm[e.id]!;
            expect(Math.sign(q) * e.loss(Math.abs(q))).toBeCloseTo(pressureBar[e.from]! - pressureBar[e.to]!, 4);
          }
        },
      ),
    ));

  it('two scavenges into one: each brings its own, and the common line carries both', () => {
    const { flowLpm } = balance(
      [{ id: 'front', fedLpm: 10 }, { id: 'rear', fedLpm: 14 }, { id: 'tee' }, { id: 'tank', heldBar: 0 }],
      [pipe('f', 'front', 'tee', 16, 1), pipe('r', 'rear', 'tee', 16, 1.2), pipe('both', 'tee', 'tank', 22, 0.8)],
    );
    expect(flowLpm['both']).toBeCloseTo(24, 3);
    expect(flowLpm['f']).toBeCloseTo(10, 3);
  });

  it('nothing runs back through a check valve, nor into a dead end', () => {
    const { flowLpm, still } = balance(
      [{ id: 'low', heldBar: 1 }, { id: 'high', heldBar: 3 }, { id: 'gauge' }],
      [{ ...linear('valve', 'low', 'high', 0.1), oneWay: true }, linear('stub', 'high', 'gauge', 0.5)],
    );
    expect(Math.abs(flowLpm['valve']!)).toBeLessThan(1e-3);
    expect([...still].sort()).toEqual(['stub', 'valve']);
  });

  it('is refused where nothing holds its pressure, or a line runs nowhere', () => {
    expect(() => balance([{ id: 'a' }, { id: 'b' }], [linear('x', 'a', 'b', 1)])).toThrow(/Nothing holds the pressure/);
    expect(() => balance([{ id: 'a', heldBar: 1 }], [linear('x', 'a', 'nowhere', 1)])).toThrow(FlowFigureError);
  });
});
