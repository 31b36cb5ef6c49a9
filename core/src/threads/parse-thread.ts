import { fractionToNumber } from '../units/index.js';
import { kegThread, metricThread } from './metric-thread.js';
import { britishThread, npsmThread, nptThread } from './pipe-thread.js';
import { UnknownThreadError, type Thread } from './thread.js';
import { unifiedSeriesOf } from './straight-tables.js';

const INCH_MM = 25.4;
const SIZE = String.raw`(?:\d+ )?\d+(?:\/\d+)?`;
const INCH = new RegExp(`^(#\\d+|${SIZE})-(\\d+(?:\\.5)?)(?: ?un(?:s|c|f|ef)?)?$`, 'i');
const AMERICAN = new RegExp(`^(?:(nptf|npsm|npt) ?(${SIZE})|(${SIZE})-\\d+(?:\\.5)? ?(nptf|npsm|npt))$`, 'i');
const BRITISH = new RegExp(`^(rc|rp|r|g|bspt|bspp) ?(${SIZE})(?:-\\d+)?$`, 'i');
const METRIC = /^m ?(\d+(?:[.,]\d+)?) ?x ?(\d+(?:[.,]\d+)?)( ?keg)?$/i;

const known = new Map<string, Thread>();

/**
 * Reads a thread designation: `M14×1.5` (or `m14x1.5`), `9/16-18` with or without its series, `1/8-27 NPT` or `NPT 1/8`, `R 1/8`,
 * `Rc 1/8`, `Rp 1/8`, `G 1/4`, `M10×1 keg`.
 * @throws {UnknownThreadError}
 */
export function parseThread(designation: string): Thread {
  const found = known.get(designation);
  if (found) return found;
  const read = readThread(designation);
  if (!read) throw new UnknownThreadError(designation);
  // one object a thread, however it is written, so that what is worked out for it is found again
  const thread = known.get(read.designation) ?? read;
  if (known.size < 5000) known.set(read.designation, thread).set(designation, thread);
  return thread;
}

function readThread(designation: string): Thread | undefined {
  const text = designation.trim().replace(/[×*]/g, 'x').replace(/\s+/g, ' ');
  const metric = METRIC.exec(text);
  if (metric) {
    const [diameter, pitch] = [decimal(metric[1]!), decimal(metric[2]!)];
    return metric[3] ? kegThread(diameter, pitch) : metricThread(diameter, pitch);
  }
  const american = AMERICAN.exec(text);
  if (american) {
    const system = (american[1] ?? american[4])!.toUpperCase();
    const size = (american[2] ?? american[3])!;
    return system === 'NPSM' ? npsmThread(size) : nptThread(size, system === 'NPTF' ? 'NPTF' : 'NPT');
  }
  const british = BRITISH.exec(text);
  if (british) {
    const word = british[1]!.toLowerCase();
    const system = ({ r: 'R', bspt: 'R', rc: 'Rc', rp: 'Rp', g: 'G', bspp: 'G' } as const)[word];
    return system && britishThread(system, british[2]!);
  }
  const inch = INCH.exec(text);
  return inch ? unThread(inch[1]!, Number(inch[2])) : undefined;
}

/** Unified inch thread, for example `unThread('9/16', 18)` or `unThread('#10', 32)`. @throws {UnknownThreadError} */
export function unThread(diameter: string, tpi: number): Thread {
  const majorMm = unifiedDiameterIn(diameter) * INCH_MM;
  const key = `${diameter}-${tpi}`;
  if (!(majorMm > 0) || !(tpi >= 4 && tpi <= 80) || INCH_MM / tpi > majorMm / 2) throw new UnknownThreadError(key);
  return { designation: `${key} ${unifiedSeriesOf(key)}`, system: 'UN', majorMm, pitchMm: INCH_MM / tpi, flankAngleDeg: 60, taperPerMm: 0 };
}

/** Number sizes rise by 0.013 in from 0.060 in (ASME B1.1). */
function unifiedDiameterIn(text: string): number {
  if (text.startsWith('#')) return 0.06 + 0.013 * Number(text.slice(1));
  try {
    return fractionToNumber(text);
  } catch {
    return NaN;
  }
}

function decimal(text: string): number {
  return Number(text.replace(',', '.'));
}
