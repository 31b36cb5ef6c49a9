import { formatConnector } from '../connectors/index.js';
import { formatPortThread, type Checked } from '../job/index.js';
import type { AssembledLine } from './assembled-line.js';

type Looked = Pick<AssembledLine, 'line' | 'portA' | 'portB' | 'ways' | 'pieces' | 'joints'>;
type Named = { readonly id: string; readonly name: string };

/**
 * A hash of each thing that is looked at when a line is checked, by what it is called: the ports as logged, the way and hoses as chosen,
 * the parts as the store has them, the verdict of every joint. Prices, shelf and notes are not looked at.
 */
export function digestOf({ line, portA, portB, ways, pieces, joints }: Looked): Record<string, string> {
  const digest: Record<string, string> = { service: hash([line.service, line.fluid ?? null]) };
  for (const { side, component, port } of [portA, portB]) {
    const { sensor } = port;
    digest[`port ${side}`] = hash([
      component.name,
      port.label,
      formatPortThread(port),
      sensor ? [formatConnector(sensor.connector), sensor.movedTo !== null] : null,
    ]);
  }
  ways.forEach(({ kept: { chosen } }, at) => {
    const link = ({ id, inEnd, outEnd }: { id: string; inEnd: number; outEnd: number }) => [id, inEnd, outEnd];
    const words = at === 0 ? 'way at A' : at === ways.length - 1 ? 'way at B' : `way ${at + 1}`;
    digest[ways.length === 1 ? 'way' : words] = hash(
      chosen && [chosen.fittings.map(link), chosen.branches.map((b) => [b.at, b.end, b.to, b.fittings.map(link)])],
    );
  });
  pieces.forEach(({ piece, cut }, i) => {
    const which = pieces.length > 1 ? `hose ${i + 1}` : 'hose';
    digest[which] = hash([piece.hose, piece.endA, piece.endB, piece.source, piece.hasMm ?? null]);
    digest[`length of ${which}`] = hash([piece.length?.mm ?? null, piece.length?.as ?? null, piece.slackPercent, cut?.cutMm ?? null]);
  });
  for (const part of partsIn({ ways, pieces })) digest[`part ${part.name}`] = hash(physical(part));
  digest['verdicts'] = hash(joints.map((j) => [j.id, j.mating.outcome, j.mating.kind, j.mating.seal?.consumables ?? []]));
  return digest;
}

/** What is not as it was when the line was checked, by name. Nothing, where nothing was noted then. */
export function changedSince({ digest: then }: Checked, now: Readonly<Record<string, string>>): string[] {
  if (Object.keys(then).length === 0) return [];
  const changed = [...new Set([...Object.keys(then), ...Object.keys(now)])].filter((name) => then[name] !== now[name]);
  // a part that came or went with its way or hose is told by that
  const causes = changed.filter(
    (name) => name !== 'verdicts' && !(name.startsWith('part ') && (then[name] === undefined || now[name] === undefined)),
  );
  return causes.length > 0 ? causes : changed;
}

function partsIn({ ways, pieces }: Pick<Looked, 'ways' | 'pieces'>): Named[] {
  const fittings = ways.flatMap((way) => [...(way.fittings ?? []), ...way.branches.flatMap((b) => b.fittings)].map((p) => p.fitting));
  return [...fittings, ...pieces.flatMap(({ hose, endA, endB }) => [hose, endA, endB].filter((part) => part !== undefined))];
}

/** What of a part can make a joint leak or a hose too short. */
function physical(part: Named): unknown {
  const shop = new Set(['name', 'priceMinor', 'pricePerMetreMinor', 'supplier', 'code', 'shelf', 'leadDays', 'source']);
  return Object.entries(part)
    .filter(([field]) => !shop.has(field))
    .sort(([a], [b]) => a.localeCompare(b, 'en'));
}

/** 53 bits of a text's content (two mixed 32-bit halves), as eleven letters and digits: enough to see that something is not the same. */
function hash(value: unknown): string {
  const text = JSON.stringify(value);
  let a = 0xdeadbeef;
  let b = 0x41c6ce57;
  for (let i = 0; i < text.length; i++) {
    const code = text.charCodeAt(i);
    a = Math.imul(a ^ code, 2654435761);
    b = Math.imul(b ^ code, 1597334677);
  }
  a = Math.imul(a ^ (a >>> 16), 2246822507) ^ Math.imul(b ^ (b >>> 13), 3266489909);
  b = Math.imul(b ^ (b >>> 16), 2246822507) ^ Math.imul(a ^ (a >>> 13), 3266489909);
  return (4294967296 * (2097151 & b) + (a >>> 0)).toString(36).padStart(11, '0');
}
