import { compounds, ringInBed, type ORing, type RingBed, type RingInGroove } from '../seals/index.js';
import { bearsWords, noCompound, refusal, refusedBefore, ringCompound, type Refused, type SealUse } from './compound-choice.js';
import { usualSealRules, type SealRules } from './seal-rules.js';
import { figureOf, type Supply } from './supply-schema.js';
import { quantity } from '../units/index.js';

/** A ring in its bed: what it is, and how it lies. Sizes in mm, shares in per cent. */
export interface RingFit extends RingInGroove {
  readonly insideMm: number;
  readonly sectionMm: number;
  readonly part?: Supply;
}

export interface RingSpecified extends Refused {
  /** The ring to take; undefined where the catalogue has none that seals there. */
  readonly best?: RingFit;
  /** Other rings of the catalogue that seal there as well, the next best first. */
  readonly others: readonly RingFit[];
  /** What the cord and the inside diameter should be, where the depth of the groove is said: to ask for where the catalogue has none. */
  readonly wanted?: { readonly insideMm: number; readonly sectionMm: number };
  readonly compound?: string;
  readonly why: string;
  readonly doubt?: string;
}

/** Share by which a cord is squeezed in a groove that is made for it. Common practice: the middle of 15 to 30. */
const IDEAL_SQUEEZE = 0.225;
/** Share by which a ring is stretched over the inner wall of its groove. Common practice: one to five. */
const IDEAL_STRETCH = 0.02;
const MOST_OTHERS = 4;

/**
 * The ring for the groove of an interface: in what bears the fluid and its heat, least stretched or slack first, on land all round.
 * @example specifyRing(ringBed(parseConnector('post 3/4-16 f 62x71x2.7'), parseConnector('post 3/4-16 m 56x84'))!, { fluid: 'engine oil' }, supplies)
 */
export function specifyRing(bed: RingBed, use: SealUse, supplies: readonly Supply[], rules: SealRules = usualSealRules): RingSpecified {
  const compound = ringCompound(use, rules);
  const refused = refusedBefore(compound, use, rules);
  if (!compound) return { others: [], why: '', doubt: noCompound(use), ...refused };
  const { depthMm, insideMm } = bed.groove;
  if (depthMm === undefined)
    return {
      others: [],
      why: '',
      compound: compound.id,
      doubt: 'How deep the groove is has not been said: measure it, the cord follows from it.',
      ...refused,
    };
  const fits = supplies
    .filter((s) => !s.retired && s.kind === 'o-ring' && figureOf(s, 'compound') === compound.id && !isCaptive(s))
    .map((part) => fitOf(bed, { insideMm: Number(figureOf(part, 'insideMm')), sectionMm: Number(figureOf(part, 'sectionMm')) }, part))
    .filter((fit) => fit.problem === undefined)
    .sort((a, b) => Math.abs(a.stretchPercent) - Math.abs(b.stretchPercent));
  const [best, ...others] = fits;
  const wanted = { insideMm: round(insideMm / (1 + IDEAL_STRETCH), 1), sectionMm: round(depthMm / (1 - IDEAL_SQUEEZE), 2) };
  const heat = bearsWords(compound, use);
  return best
    ? { best, others: others.slice(0, MOST_OTHERS), wanted, compound: compound.id, why: `${ringWords(best)}; ${heat}`, ...refused }
    : {
        others: [],
        wanted,
        compound: compound.id,
        why: '',
        doubt: `No ring of the catalogue lies in it as it should: ask for about ${quantity(wanted.insideMm, 'mm')} inside and a cord of ${quantity(wanted.sectionMm, 'mm')}.`,
        ...refused,
      };
}

/**
 * A ring in hand, borrowed from elsewhere, checked in a bed as the catalogue's are: how it lies, and, where its compound is known, whether it
 * bears what is in there.
 */
export function checkRing(
  bed: RingBed,
  ring: Pick<ORing, 'insideMm' | 'sectionMm'> & { readonly compound?: string },
  use: SealUse,
): RingFit & { readonly words: string } {
  const { groove } = bed;
  // of a groove that nobody measured: as if it were as deep as the ring likes it; what is wrong even so can be told
  const unmeasured = groove.depthMm === undefined;
  const kind = unmeasured ? { ...bed, groove: { ...groove, depthMm: ring.sectionMm * (1 - IDEAL_SQUEEZE) } } : bed;
  const fit = fitOf(kind, ring);
  const compound = compounds.find((c) => c.id === ring.compound);
  const unfit = compound && refusal(compound, use);
  const wrong = fit.problem ?? (unfit && `${compound.name}: ${unfit}`);
  const asked = compound ? '' : ' Make sure of its compound: nobody can see it.';
  const words = wrong
    ? `Does not do: ${wrong}.`
    : unmeasured
      ? 'Cannot be told yet: measure how deep the groove is, the squeeze follows from it.'
      : `Seals: ${ringWords(fit)}.${asked}`;
  const problem = wrong ?? (unmeasured ? 'the depth of the groove is not said' : undefined);
  if (!unmeasured) return { ...fit, ...(problem ? { problem } : {}), words };
  const { insideMm, sectionMm, stretchPercent } = fit;
  return { insideMm, sectionMm, stretchPercent, ...(problem ? { problem } : {}), words };
}

/** `stretched by 2 %, squeezed by 24 %, fills 81 % of the groove`. */
export function ringWords({ stretchPercent, squeezePercent, fillPercent }: RingInGroove): string {
  const lies =
    Math.abs(stretchPercent) < 0.5
      ? 'neither stretched nor slack'
      : stretchPercent > 0
        ? `stretched by ${whole(stretchPercent)} %`
        : `slack by ${whole(-stretchPercent)} %`;
  const cord = squeezePercent === undefined ? '' : `, squeezed by ${whole(squeezePercent)} %`;
  return `${lies}${cord}${fillPercent === undefined ? '' : `, fills ${whole(fillPercent)} % of the groove`}`;
}

function fitOf(bed: RingBed, { insideMm, sectionMm }: Pick<ORing, 'insideMm' | 'sectionMm'>, part?: Supply): RingFit {
  return { ...ringInBed({ insideMm, sectionMm }, bed), insideMm, sectionMm, ...(part ? { part } : {}) };
}

/** A profile ring in the shoulder of a stud goes into no groove of a face. */
function isCaptive(supply: Supply): boolean {
  return String(figureOf(supply, 'size')).startsWith('captive');
}

function whole(percent: number): string {
  return percent.toFixed(0);
}

function round(mm: number, decimals: number): number {
  return Number(mm.toFixed(decimals));
}
