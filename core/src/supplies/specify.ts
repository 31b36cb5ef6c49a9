import { fluidById } from '../fluids/index.js';
import { readLand } from '../connectors/index.js';
import { FLANGE_BOLT, sealants, type Consumable } from '../seals/index.js';
import {
  bearsWords,
  heatOf,
  listed,
  noCompound,
  refusal,
  refusedBefore,
  ringCompound,
  type Refused,
  type SealUse,
} from './compound-choice.js';
import { usualSealRules, type SealRules } from './seal-rules.js';
import { specifyRing } from './specify-ring.js';
import { figureOf, madeFor, type Supply } from './supply-schema.js';
import { quantity } from '../units/index.js';

/** What the lips of bonded washers are made of. Common practice. */
const BONDED_COMPOUNDS = ['nbr', 'fkm', 'epdm'];

export interface Specified extends Refused {
  /** The part that meets it, where the catalogue has one. */
  readonly part?: Supply;
  /** `O-ring FKM AS568-906`: what to take, whether or not the catalogue has it. */
  readonly name: string;
  readonly why: string;
  /** Nothing of what is known meets it for certain. */
  readonly doubt?: string;
  /** Nothing is to be put there, and nothing is bought. */
  readonly none?: true;
}

/**
 * The part that meets what a joint requires: its size, in what bears the fluid and its heat, by the rules of the shop. `mate` says what is
 * required; this says what to take.
 */
export function specify(
  { item, size }: Consumable,
  use: SealUse,
  supplies: readonly Supply[],
  rules: SealRules = usualSealRules,
): Specified {
  const offered = supplies.filter((s) => !s.retired);
  if (item === 'O-ring') return ring(size ?? '', use, offered, rules);
  if (item === 'face ring') return faceRing(size ?? '', use, offered, rules);
  if (item === 'thread sealant') return sealant(size, use, offered, rules);
  if (item === 'copper washer') {
    const style = rules.flatWasher;
    return named(
      `${capital(style)} washer ${size ?? ''}`,
      offered.find((s) => isOf(s, 'washer', { style, size })),
      'by the rules of the shop',
    );
  }
  if (item === 'bonded washer') return bondedWasher(size ?? '', use, offered, rules);
  if (item === FLANGE_BOLT)
    return named(
      `Flange bolt ${size ?? ''}`,
      offered.find((s) => isOf(s, 'bolt', { thread: size })),
      'for a flange of usual thickness: measure yours',
    );
  const washer = /^(bulkhead sealing washer)$/.test(item) ? item.split(' ')[0] : undefined;
  const gasket = /^(.*) gasket$/.exec(item)?.[1];
  const part = offered.find(
    (s) =>
      (washer !== undefined && isOf(s, 'washer', { style: washer, size })) ||
      (gasket !== undefined && isOf(s, 'gasket', { style: gasket, ...(size === undefined ? {} : { size }) })) ||
      (item === 'hose clamp' && isOf(s, 'clamp', { size })),
  );
  return named(`${capital(item)}${size === undefined ? '' : ` ${size}`}`, part, 'as the joint requires');
}

function ring(size: string, use: SealUse, supplies: readonly Supply[], rules: SealRules): Specified {
  const compound = ringCompound(use, rules);
  const refused = refusedBefore(compound, use, rules);
  if (!compound) return { name: `O-ring ${size}`, why: '', doubt: noCompound(use), ...refused };
  const part = supplies.find((s) => isOf(s, 'o-ring', { size, compound: compound.id }));
  return { ...named(`O-ring ${compound.id.toUpperCase()} ${size}`, part, bearsWords(compound, use)), ...refused };
}

/** Metal with a rubber lip: the lip must bear the fluid, its heat and the cold start as a ring must. */
function bondedWasher(size: string, use: SealUse, supplies: readonly Supply[], rules: SealRules): Specified {
  const made = listed(rules).filter((c) => BONDED_COMPOUNDS.includes(c.id));
  const compound = made.find((c) => refusal(c, use) === undefined);
  const refused = refusedBefore(compound, use, { ...rules, rings: made.map((c) => c.id) });
  const name = `Bonded washer ${size}`;
  if (!compound)
    return {
      name,
      why: '',
      doubt: `No lip of a bonded washer bears ${use.fluid} at ${quantity(heatOf(use), '°C')}${use.coldC === undefined ? '' : ` and ${quantity(use.coldC, '°C')}`} for long: take copper.`,
      ...refused,
    };
  const part = supplies.find((s) => isOf(s, 'washer', { style: 'bonded', size, compound: compound.id }));
  return { ...named(`${name} ${compound.id.toUpperCase()}`, part, bearsWords(compound, use)), ...refused };
}

/** In a groove of any size: the ring of the catalogue that lies in it as it should, in the compound of the shop. */
function faceRing(size: string, use: SealUse, supplies: readonly Supply[], rules: SealRules): Specified {
  const { best, compound, why, doubt, refused } = specifyRing({ groove: readLand(size)! }, use, supplies, rules);
  const name = `O-ring for the groove ${size.replaceAll('x', ' × ')} mm`;
  const made = best || compound === undefined ? name : `${name}, ${compound.toUpperCase()}`;
  return { ...named(made, best?.part, why), ...(doubt ? { doubt } : {}), ...(refused ? { refused } : {}) };
}

/** None on a turbo feed unless it leaked; else the shop's form, rated for the fluid and its heat. */
function sealant(size: string | undefined, use: SealUse, supplies: readonly Supply[], rules: SealRules): Specified {
  const { fluid, place } = use;
  const hotC = heatOf(use);
  if (place === 'turbo feed') {
    const { use: takes, why } = sealants.find((s) => s.place === place)!;
    return { name: `No sealant: ${takes}`, why, none: true };
  }
  const name = `Thread sealant${size === undefined ? '' : ` ${size}`}`;
  const rated = supplies.filter((s) => s.kind === 'sealant' && madeFor(s, fluid) && bears(s, hotC));
  const form = fluidById(fluid).group === 'fuel' ? 'liquid' : rules.sealant;
  const part = rated.find((s) => figureOf(s, 'style') === form);
  if (!part) return { name, why: '', doubt: `No ${form} sealant of the catalogue is made for ${fluid} at ${quantity(hotC, '°C')}.` };
  return named(name, part, `${form}, made for ${fluid}`);
}

/** One whose highest temperature is not said is not taken for one that bears it. */
function bears(supply: Supply, hotC: number): boolean {
  const most = figureOf(supply, 'maxC');
  return typeof most === 'number' && most >= hotC;
}

function named(name: string, part: Supply | undefined, why: string): Specified {
  return { ...(part ? { part } : {}), name: part?.name ?? name, why };
}

function isOf(supply: Supply, kind: Supply['kind'], figures: Readonly<Record<string, string | undefined>>): boolean {
  return supply.kind === kind && Object.entries(figures).every(([name, value]) => figureOf(supply, name) === value);
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
