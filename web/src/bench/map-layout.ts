import { basicDiameter, lookAlikesOf, measurableThreads, parseThread, pitchWords, type Side, type Thread } from '@gewinde/core';
import { shortName } from './thread-marks';

/** A row of the map: all threads of one pitch. */
export interface MapRow {
  readonly pitchMm: number;
  /** `1.5` or `18/in`. */
  readonly label: string;
  readonly inch: boolean;
}
export interface MapStroke {
  readonly thread: Thread;
  readonly row: number;
  readonly diameterMm: number;
}
export interface Window {
  readonly fromMm: number;
  readonly toMm: number;
}

export const WHOLE: Window = { fromMm: 3, toMm: 66 };
const NARROWEST_MM = 2.5;

const layouts = new Map<Side, { rows: readonly MapRow[]; strokes: readonly MapStroke[] }>();

/** Rows by pitch, finest first, and every measurable thread of a side as a stroke on its row. */
export function mapLayout(side: Side): { rows: readonly MapRow[]; strokes: readonly MapStroke[] } {
  let layout = layouts.get(side);
  if (!layout) {
    const threads = measurableThreads(side);
    const keys = [...new Set(threads.map((t) => t.pitchMm.toFixed(4)))].sort((a, b) => Number(a) - Number(b));
    const rows = keys.map((key): MapRow => {
      const pitchMm = threads.find((t) => t.pitchMm.toFixed(4) === key)!.pitchMm;
      const words = pitchWords(pitchMm);
      const inch = words.endsWith('per inch');
      return { pitchMm, inch, label: inch ? words.replace(' per inch', '/in') : words.replace(' mm', '') };
    });
    const strokes = threads.map((thread): MapStroke => ({
      thread,
      row: keys.indexOf(thread.pitchMm.toFixed(4)),
      diameterMm: basicDiameter(thread, side),
    }));
    layouts.set(side, (layout = { rows, strokes }));
  }
  return layout;
}

/** A window kept inside the map and no narrower than the eye needs. */
export function clampWindow({ fromMm, toMm }: Window): Window {
  const width = Math.min(WHOLE.toMm - WHOLE.fromMm, Math.max(NARROWEST_MM, toMm - fromMm));
  const middle = (fromMm + toMm) / 2;
  const from = Math.min(WHOLE.toMm - width, Math.max(WHOLE.fromMm, middle - width / 2));
  return { fromMm: from, toMm: from + width };
}

export function zoomed({ fromMm, toMm }: Window, factor: number, aboutMm = (fromMm + toMm) / 2): Window {
  return clampWindow({ fromMm: aboutMm - (aboutMm - fromMm) * factor, toMm: aboutMm + (toMm - aboutMm) * factor });
}

export function panned({ fromMm, toMm }: Window, byMm: number): Window {
  return clampWindow({ fromMm: fromMm + byMm, toMm: toMm + byMm });
}

/** The window that shows a measurement with its neighbours. */
export function windowRound(diameterMm: number): Window {
  return clampWindow({ fromMm: diameterMm - 3.2, toMm: diameterMm + 3.2 });
}

/** The rows a measured pitch may stand for; all where it is not known. */
export function rowsNear(rows: readonly MapRow[], pitchMm: number | undefined): { first: number; last: number } | null {
  if (pitchMm === undefined) return { first: 0, last: rows.length - 1 };
  const near = rows.flatMap((row, i) => (Math.abs(row.pitchMm - pitchMm) <= 0.03 ? [i] : []));
  return near.length > 0 ? { first: near[0]!, last: near[near.length - 1]! } : null;
}

/** A name beside a stroke, or beside several that stand too close to be told apart. */
export interface MapLabel {
  readonly row: number;
  readonly x: number;
  readonly anchor: 'start' | 'end';
  readonly text: string;
}

const CLUSTER_PX = 13;
const GAP_PX = 10;
const LETTER_PX = 6.2;

/** Names that fit beside their strokes, to the right or else to the left, without running into another stroke or name of the row. */
export function mapLabels(strokes: readonly MapStroke[], x: (mm: number) => number, least: number, most: number): MapLabel[] {
  const rows = new Map<number, MapStroke[]>();
  for (const s of [...strokes].sort((a, b) => a.diameterMm - b.diameterMm)) rows.set(s.row, [...(rows.get(s.row) ?? []), s]);
  return [...rows.values()].flatMap((row) => rowLabels(clusters(row, x), least, most));
}

interface Cluster {
  readonly row: number;
  readonly from: number;
  readonly to: number;
  readonly text: string;
}

function clusters(row: readonly MapStroke[], x: (mm: number) => number): Cluster[] {
  const groups: MapStroke[][] = [];
  for (const s of row) {
    const last = groups[groups.length - 1];
    if (last && x(s.diameterMm) - x(last[last.length - 1]!.diameterMm) < CLUSTER_PX) last.push(s);
    else groups.push([s]);
  }
  return groups.map((group) => ({
    row: group[0]!.row,
    from: x(group[0]!.diameterMm),
    to: x(group[group.length - 1]!.diameterMm),
    text: clusterName(group.map((s) => shortName(s.thread.designation))),
  }));
}

/** `R, G 1/8` for two of one size, `M14, keg` for a taper twin. */
function clusterName(names: readonly string[]): string {
  const unique = [...new Set(names)];
  if (unique.length === 1) return unique[0]!;
  const parts = unique.map((name) => /^(\S+) (\d.*)$/.exec(name));
  const sizes = new Set(parts.map((p) => p?.[2]));
  if (parts.every(Boolean) && sizes.size === 1) return `${parts.map((p) => p![1]).join(', ')} ${parts[0]![2]}`;
  return unique.map((name, i) => (i > 0 && name === `${unique[0]} keg` ? 'keg' : name)).join(', ');
}

function rowLabels(row: readonly Cluster[], least: number, most: number): MapLabel[] {
  let taken = least;
  return row.flatMap((cluster, i): MapLabel[] => {
    const width = GAP_PX + cluster.text.length * LETTER_PX;
    const next = row[i + 1]?.from ?? most;
    const left = Math.max(taken, row[i - 1]?.to ?? -Infinity) + GAP_PX / 2;
    if (cluster.to + width < next - GAP_PX / 2) {
      taken = cluster.to + width;
      return [{ row: cluster.row, x: cluster.to + GAP_PX, anchor: 'start', text: cluster.text }];
    }
    taken = cluster.to;
    return cluster.from - width > left ? [{ row: cluster.row, x: cluster.from - GAP_PX, anchor: 'end', text: cluster.text }] : [];
  });
}

/** The strokes a thread is tied to: its look-alikes on this side. */
export function tiedTo(designation: string, strokes: readonly MapStroke[]): readonly MapStroke[] {
  const alike = new Set(lookAlikesOf(parseThread(designation)).map((t) => t.designation));
  return strokes.filter((s) => alike.has(s.thread.designation));
}
