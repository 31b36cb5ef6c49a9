import { constructionById, formatCut, hoseLimits, hoseSize } from '../hose/index.js';
import { portThreadName } from '../job/index.js';
import { terminalName, type AssembledLine, type AssembledPiece, type PortTerminal } from '../lines/index.js';
import type { UnitSystem } from '../units/index.js';
import type { RunSheetOptions } from './run-sheet.js';
import type { Shape } from './shape.js';

/** Frame, heading and title block. */
export function titles(assembled: AssembledLine, { width, height, jobNumber, system, unjudged }: RunSheetOptions): Shape[] {
  const { line, portA, portB, joints } = assembled;
  const sealed = joints.filter((j) => j.mating.outcome === 'seals').length;
  const boxWidth = 164;
  const left = width - 8 - boxWidth;
  const top = height - 8 - 48;
  const text = (
    x: number,
    y: number,
    words: string,
    size: number,
    role: 'title' | 'text' | 'quiet' | 'figure' | 'leak',
    anchor: 'start' | 'end' = 'start',
  ): Shape => ({ kind: 'text', at: [x, y], text: words, size, anchor, role });
  return [
    {
      kind: 'area',
      points: [
        [8, 8],
        [width - 8, 8],
        [width - 8, height - 8],
        [8, height - 8],
      ],
      fill: 'none',
      stroke: 'frame',
    },
    text(24, 36, `L${line.number} · ${line.name}`, 21, 'title'),
    text(24, 56, clipped(`${hosesInWords(assembled)} · ${terminalName(portA)} to ${terminalName(portB)}`, width), 13, 'quiet'),
    {
      kind: 'area',
      points: [
        [left, top],
        [width - 8, top],
        [width - 8, height - 8],
        [left, height - 8],
      ],
      fill: 'paper',
      stroke: 'frame',
    },
    {
      kind: 'line',
      points: [
        [left, top + 21],
        [width - 8, top + 21],
      ],
      stroke: 'frame',
    },
    {
      kind: 'line',
      points: [
        [left + boxWidth / 2, top + 21],
        [left + boxWidth / 2, height - 8],
      ],
      stroke: 'frame',
    },
    // what is printed and downloaded with stands at the left of it
    text(left - 12, height - 15, clipped(limitsInWords(assembled, system), left - 60), 12, 'quiet', 'end'),
    text(left + 8, top + 15, `${jobNumber} · L${line.number}`, 13, 'figure'),
    text(width - 16, top + 15, `rev ${line.version}`, 12, 'quiet', 'end'),
    text(left + 8, height - 15, 'joints', 11, 'quiet'),
    text(left + boxWidth / 2 - 8, height - 14, String(joints.length), 16, 'figure', 'end'),
    text(left + boxWidth / 2 + 8, height - 15, 'seal', 11, 'quiet'),
    text(width - 16, height - 14, unjudged ? '?' : String(sealed), 16, sealed < joints.length && !unjudged ? 'leak' : 'figure', 'end'),
  ];
}

/** One hose as it comes off the bench, in words. */
export function pieceInWords(piece: AssembledPiece, system: UnitSystem): string {
  const { hose, endA, endB } = piece;
  return `${hose?.name ?? 'No hose'} with ${endA?.name ?? 'no end'} and ${endB?.name ?? 'no end'}. ${cutInWords(piece, system)}`;
}

function cutInWords({ cut }: AssembledPiece, system: UnitSystem): string {
  return cut ? `Cut length ${formatCut(cut.cutMm, system)}.` : 'Cut length open.';
}

/** What the hoses bear, the different ones once: what is printed must not be looked up elsewhere. */
function limitsInWords({ pieces }: AssembledLine, system: UnitSystem | undefined): string {
  const words = pieces.flatMap(({ hose }) => {
    const what = hose && (constructionById(hose.construction).endStyle === 'formed' ? 'tube' : 'hose');
    return hose ? [`${hoseSize(hose)} ${what} ${hoseLimits(hose, system)}`] : [];
  });
  return [...new Set(words)].join('; ');
}

/** `-6 PTFE core, steel braid`; the different ones where there are several. */
export function hosesInWords({ pieces }: AssembledLine): string {
  if (pieces.length === 0) return 'Fittings alone';
  const names = pieces.map(({ hose }) => (hose ? `${hoseSize(hose)} ${constructionById(hose.construction).name}` : 'no hose yet'));
  return [...new Set(names)].join(' and ');
}

function clipped(text: string, width: number): string {
  const most = Math.floor((width - 48) / 6.3);
  return text.length > most ? `${text.slice(0, most - 1)}…` : text;
}

/** The drawing in words: parts in order, joints, lengths. */
export function sheetInWords({ line, portA, portB, ways, pieces, joints }: AssembledLine, system: UnitSystem, unjudged = false): string {
  const port = (t: PortTerminal) => `${terminalName(t)} (${portThreadName(t.port)})`;
  const chain = (i: number) => ways[i]!.fittings?.map((p) => p.fitting.name).join(', ') ?? 'way not chosen';
  const sealed = joints.filter((j) => j.mating.outcome === 'seals').length;
  return [
    `Line L${line.number}, ${line.name}: ${port(portA)}`,
    chain(0) || 'no adapter',
    ...pieces.flatMap(({ hose, endA, endB }, i) => [
      endA?.name ?? 'no hose end',
      hose?.name ?? 'no hose',
      endB?.name ?? 'no hose end',
      chain(i + 1) || 'no adapter',
    ]),
    `${port(portB)}.`,
    `${joints.length} joints${unjudged ? '' : `, ${sealed} seal`}. ${pieces.map((piece) => cutInWords(piece, system)).join(' ')}`.trim(),
  ].join('; ');
}
