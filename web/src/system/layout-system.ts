import { graphlib, layout } from '@dagrejs/dagre';
import type { JobSystem, SystemLine } from '@gewinde/core';

export interface PlacedComponent {
  readonly id: string;
  readonly name: string;
  readonly kind: string;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}
export interface PlacedLine {
  readonly line: SystemLine;
  /** Through which it is drawn, from A to B. */
  readonly points: readonly { readonly x: number; readonly y: number }[];
  /** Where its number and figures stand. */
  readonly label: { readonly x: number; readonly y: number };
  /** It ends where nothing leads on. */
  readonly width: number;
}
export interface LaidOut {
  readonly width: number;
  readonly height: number;
  readonly components: readonly PlacedComponent[];
  readonly lines: readonly PlacedLine[];
}

/** What stands on a line: its name, and its figures below. */
export const LABEL = { width: 142, height: 38 };
/** The room there is on a screen of 1280 × 800. */
const ROOM = { width: 750, height: 600 };
const LETTER_PX = 7.4;

/** Where components and lines of a system stand: as the lines are drawn, across or down the sheet, whichever can be drawn larger. */
export function layOutSystem(system: JobSystem): LaidOut {
  const [across, down] = [laidOut(system, 'LR'), laidOut(system, 'TB')];
  const scale = ({ width, height }: LaidOut): number => Math.min(ROOM.width / width, ROOM.height / height);
  return scale(across) >= 0.85 * scale(down) ? across : down;
}

function laidOut({ components, lines }: JobSystem, rankdir: 'LR' | 'TB'): LaidOut {
  const used = new Set(lines.flatMap(({ line }) => [line.portA.component.id, line.portB.component.id]));
  const graph = new graphlib.Graph({ multigraph: true });
  graph.setGraph({ rankdir, nodesep: 22, ranksep: 26, edgesep: 12, marginx: 10, marginy: 10 });
  const shown = components.filter((c) => used.has(c.id));
  for (const { id, name } of shown) graph.setNode(id, { width: Math.max(84, Math.min(170, name.length * LETTER_PX + 26)), height: 46 });
  for (const { line } of lines) {
    const [from, to] = [line.portA.component.id, line.portB.component.id];
    // what comes back is drawn underneath, against the run
    const back = ['return', 'tank', 'turbo-drain', 'bypass-return', 'coolant-return', 'fuel-return'].includes(line.line.service);
    const [a, b] = back && from !== to ? [to, from] : [from, to];
    graph.setEdge(a, b, { ...LABEL, labelpos: 'c', weight: back ? 1 : 3 }, line.line.id);
  }
  layout(graph);
  const { width = 400, height = 200 } = graph.graph() as { width?: number; height?: number };
  const byLine = new Map(graph.edges().map((e) => [e.name, graph.edge(e) as { points: { x: number; y: number }[]; x: number; y: number }]));
  return {
    width,
    height,
    components: shown.map(({ id, name, kind }) => {
      const n = graph.node(id) as { x: number; y: number; width: number; height: number };
      return { id, name, kind, x: n.x - n.width / 2, y: n.y - n.height / 2, width: n.width, height: n.height };
    }),
    lines: lines.flatMap((line) => {
      const edge = byLine.get(line.line.line.id);
      if (!edge) return [];
      const { x, y } = graph.node(line.line.portA.component.id) as { x: number; y: number };
      const [first, last] = [edge.points[0]!, edge.points[edge.points.length - 1]!];
      const starts = Math.hypot(first.x - x, first.y - y) <= Math.hypot(last.x - x, last.y - y);
      return [{ line, points: starts ? edge.points : [...edge.points].reverse(), label: { x: edge.x, y: edge.y }, width: widthOf(line) }];
    }),
  };
}

/** As thick as its bore, within what can be drawn. */
function widthOf({ line }: SystemLine): number {
  const bore = line.pieces[0]?.hose?.boreMm ?? line.leastBoreMm ?? 4;
  return Math.max(1.5, Math.min(9, bore / 2.6));
}
