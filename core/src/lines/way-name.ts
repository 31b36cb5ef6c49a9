import type { ChainLink } from '../chains/index.js';
import { familyById, type Connector } from '../connectors/index.js';
import { kindOf, type Fitting } from '../fittings/index.js';
import { formatDash } from '../units/index.js';

/** What a way is, part by part: `M20 to -6, reducer to -4`. */
export function wayName(
  links: readonly ChainLink[],
  fittings: readonly Fitting[],
  { from, to }: { readonly from: { readonly boreMm?: number }; readonly to: { readonly boreMm?: number } },
): string {
  const hoses = [from, to].filter((side) => side.boreMm !== undefined).length;
  if (fittings.length === 0) return hoses === 1 ? 'Straight on the port' : hoses === 2 ? 'The two ends meet' : 'The two ports meet';
  return capital(fittings.map((fitting, i) => partInWay(fitting, links[i]!, i)).join(', '));
}

function partInWay(fitting: Fitting, { inEnd, outEnd }: ChainLink, at: number): string {
  const kind = kindOf(fitting);
  const [a, b] = [shortName(fitting.ends[inEnd]!), shortName(fitting.ends[outEnd]!)];
  const metal = fitting.material && fitting.material !== 'aluminium' && kind !== 'banjo' ? ` in ${fitting.material}` : '';
  const what = fitting.angleDeg && kind !== 'banjo' ? `${fitting.angleDeg}° ${kind === 'elbow' ? 'elbow' : kind}` : kind;
  if (fitting.body) return `${kind}${metal}`;
  // flanges of one bolt pitch differ in their bore, and that tells
  if (kind === 'flange') return `${fitting.angleDeg ? `${fitting.angleDeg}° ` : ''}flange ${flangeTo(fitting, inEnd, outEnd)}${metal}`;
  // a thread made into itself only reaches further
  if (kind === 'union' && fitting.ends[inEnd]!.gender !== fitting.ends[outEnd]!.gender && a.replace('Rc', 'R') === b.replace('Rc', 'R'))
    return `extension ${a}${metal}`;
  if (kind === 'adapter' || kind === 'sensor adapter') return `${a} to ${b}${metal}`;
  // of one diameter and another pitch it is the pitch that tells
  if (a === b && fitting.ends[inEnd]!.size !== fitting.ends[outEnd]!.size)
    return `${what} ${fitting.ends[inEnd]!.size} to ${fitting.ends[outEnd]!.size}${metal}`;
  if (a === b) return `${what} ${a}${metal}`;
  return at > 0 && kind === 'reducer' ? `reducer to ${b}${metal}` : `${what} ${a} to ${b}${metal}`;
}

/** `bore 20 to -10`, whichever end is the flange. */
function flangeTo({ ends }: Fitting, inEnd: number, outEnd: number): string {
  const flange = [ends[inEnd]!, ends[outEnd]!].find(({ family }) => family === 'flange')!;
  const other = flange === ends[inEnd] ? ends[outEnd]! : ends[inEnd]!;
  const bore = /bore([\d.]+)/.exec(flange.size)?.[1];
  return `bore ${bore} to ${shortName(other)}`;
}

/** A connector as it is called among people who see the port: `-6`, `M20`, `NPT 1/8`, `3/8 barb`. */
function shortName(given: Connector): string {
  const { family, size, seat } = given;
  const { sizeKind, words } = familyById(family);
  switch (sizeKind) {
    case 'dash':
      return `${family === 'flare37' || family === 'bulkhead' ? '' : `${words[0]!.toUpperCase()} `}${formatDash(Number(size))}`;
    case 'metric':
    case 'bolt': {
      const thread = size.replace(/^M(\d+)x.*$/, 'M$1');
      const tube = /^(\d+)([ls])$/.exec(seat ?? '');
      return tube ? `24° ${tube[1]} mm` : thread;
    }
    case 'pipe':
      return `${(given.gender === 'female' ? familyById(family).femaleWord : undefined) ?? words[0]!} ${size}`
        .replace(/^(npt|nptf|npsm|g|r|rp)\b/, (w) => w.toUpperCase())
        .replace(/^rc/, 'Rc');
    case 'bore':
      return `${size.replace('mm', ' mm')} ${given.gender === 'female' && family === 'barb' ? 'hose' : words[0]!}`;
    case 'flange':
      return 'flange';
    case 'inch':
      return size;
    case 'inner':
    case 'land':
      return words[0]!;
  }
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
