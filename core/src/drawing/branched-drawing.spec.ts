import { parseConnector } from '../connectors/index.js';
import { kindOf, openEnds, standardFittings, type Fitting } from '../fittings/index.js';
import { drawBranched } from './draw-branched.js';
import { drawOnBranch } from './draw-on-branch.js';
import { boundsOf, drawingToSvg, fittingDrawing } from './index.js';
import { pointAt, startFrame } from './frame.js';

const all = standardFittings();
const byId = new Map(all.map((f) => [f.id, f]));
const tee = byId.get('an6m+an6m+an4m') ?? byId.get('an6m+an6m+an6m')!;
const style = { hatch: 60, view: 'half' } as const;
const draw = (fitting: Fitting, inEnd: number, outEnd: number) =>
  drawBranched(startFrame(1), { fitting, inEnd, outEnd }, style, 1, fitting.boreMm!);

describe('a tee', () => {
  it('comes out where its legs end, its branch square to the run', () => {
    const { after, branches } = draw(tee, 0, 1);
    expect(after.x).toBeCloseTo(tee.legsMm![0]! + tee.legsMm![1]!, 6);
    const branch = branches!.get(2)!;
    expect(Math.abs(Math.sin(branch.heading))).toBeCloseTo(1, 9);
    const [x, y] = pointAt(branch, 0, 0);
    expect([x, Math.abs(y)]).toEqual([expect.closeTo(tee.legsMm![1]!, 6), expect.closeTo(tee.legsMm![2]!, 6)]);
  });

  it('turns the corner when the way goes into its branch', () => {
    const { after, branches } = draw(tee, 2, 0);
    expect(Math.abs(Math.sin(after.heading))).toBeCloseTo(1, 9);
    expect(branches!.get(1)!.heading).toBe(0);
  });

  it('has its branches on both sides as a cross', () => {
    const cross = byId.get('an6m+an6m+an6m+an6m')!;
    const { branches } = draw(cross, 0, 1);
    const [up, down] = openEnds(cross, 0, 1).map((end) => branches!.get(end)!.y);
    expect(up! * down!).toBeLessThan(0);
  });
});

describe('what stands on a branch', () => {
  const on = (branch: Omit<Parameters<typeof drawOnBranch>[2], 'at' | 'end'>, end: string) =>
    drawOnBranch(startFrame(1), parseConnector(end), { at: 0, end: 2, ...branch }, [], style).shapes;

  it('is a plug, a sensor with its wire, or the arrow to another line', () => {
    const plug = on({ to: 'plug', fittings: [{ fitting: byId.get('npt1/8m')!, inEnd: 0, outEnd: 0 }] }, 'npt 1/8 f');
    const sensor = on({ to: 'sensor', fittings: [], sensor: { name: 's', connector: parseConnector('npt 1/8 m') } }, 'npt 1/8 f');
    const line = on({ to: 'line', fittings: [] }, 'an4 m');
    expect(boundsOf(sensor).right).toBeGreaterThan(boundsOf(plug).right);
    expect(line.some((s) => s.kind === 'area' && s.fill === 'accent')).toBe(true);
    const adapter = { fitting: byId.get('npt1/8m+rc1/8f')!, inEnd: 0, outEnd: 1 };
    const far = on({ to: 'sensor', fittings: [adapter], sensor: { name: 's', connector: parseConnector('r 1/8 m') } }, 'npt 1/8 f');
    expect(boundsOf(far).right).toBeGreaterThan(boundsOf(sensor).right);
  });
});

describe('every standard part', () => {
  it('can be drawn on its card, inside it, with nothing out of measure', () => {
    const size = { width: 332, height: 176 };
    // every eighteenth of what is made, and of what branches every sixth
    for (const fitting of all.filter((f, i) => i % (f.ends.length > 2 ? 6 : 18) === 0)) {
      const drawing = fittingDrawing(fitting, size);
      const box = boundsOf(drawing.shapes);
      expect(drawing.shapes.length).toBeGreaterThan(2);
      expect(Object.values(box).every(Number.isFinite)).toBe(true);
      expect(box.left >= 0 && box.top >= 0 && box.right <= size.width && box.bottom <= size.height).toBe(true);
    }
  });

  it('reads as a file of its own, each kind', () => {
    for (const kind of new Set(all.filter((f) => !f.body).map(kindOf))) {
      const part = all.find((f) => kindOf(f) === kind)!;
      const svg = drawingToSvg(fittingDrawing(part, { width: 300, height: 160 }));
      expect(svg).toContain(`<title>${part.name.replace(/[&<>"']/g, (x) => `&#${x.charCodeAt(0)};`)}</title>`);
      expect(svg.match(/<polygon/g)!.length).toBeGreaterThan(1);
      expect(svg).not.toMatch(/NaN|undefined/);
    }
  });
});
