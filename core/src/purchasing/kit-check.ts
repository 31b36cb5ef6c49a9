import { formatConnector } from '../connectors/index.js';
import { kindOf } from '../fittings/index.js';
import { fieldsOf, findEntry, figuresIn, sectionOf, type Catalogue, type PartEntry } from '../job/index.js';
import type { BuyableOffer } from './offers-for.js';
import { priceFor } from './offers-for.js';

/** What a kit does for a job. */
export interface KitCheck {
  readonly fits: readonly { readonly part: string; readonly name: string; readonly used: number; readonly left: number }[];
  /** In the kit, for nothing in the job: and what is other than what the job needs. */
  readonly not: readonly { readonly part: string; readonly name: string; readonly quantity: number; readonly why: string }[];
  /** What the job needs and the kit has not. */
  readonly missing: readonly { readonly part: string; readonly name: string; readonly quantity: number }[];
  readonly priceMinor: number;
  /** What it replaces, bought singly at the cheapest of each. */
  readonly singlyMinor: number;
  /** Parts it replaces that nobody sells singly. */
  readonly unpriced: readonly string[];
  /** What cannot be told from a list. */
  readonly look: readonly string[];
}

interface Needed {
  readonly part: string;
  readonly name: string;
  readonly toBuy: number;
}

/**
 * What of a kit fits a job, what does not and why, what is missing, what is left over, and what it costs against single parts.
 * @param offers what the single parts can be had for
 */
export function kitCheck(
  kit: Pick<BuyableOffer, 'holds' | 'prices'>,
  needs: readonly Needed[],
  offers: readonly BuyableOffer[],
  catalogue: Catalogue,
): KitCheck {
  const open = new Map(needs.filter((n) => n.toBuy > 0).map((n) => [n.part, n]));
  const nameOf = (part: string): string => findEntry(catalogue, part)?.part.name ?? part;
  const fits: KitCheck['fits'][number][] = [];
  const not: KitCheck['not'][number][] = [];
  let singlyMinor = 0;
  const unpriced: string[] = [];
  for (const { part, quantity } of kit.holds) {
    const need = open.get(part);
    if (!need) {
      not.push({ part, name: nameOf(part), quantity, why: whyNot(part, needs, catalogue) });
      continue;
    }
    const used = Math.min(quantity, need.toBuy);
    fits.push({ part, name: need.name, used, left: quantity - used });
    const cheapest = cheapestFor(part, used, offers);
    if (cheapest === undefined) unpriced.push(part);
    else singlyMinor += cheapest;
  }
  const missing = [...open.values()].flatMap(({ part, name, toBuy }) => {
    const held = kit.holds.find((h) => h.part === part)?.quantity ?? 0;
    return toBuy > held ? [{ part, name, quantity: toBuy - held }] : [];
  });
  const bodies = kit.holds.flatMap((h) => {
    const entry = findEntry(catalogue, h.part);
    return entry?.kind === 'fitting' && entry.part.body ? [entry.part.name] : [];
  });
  return {
    fits,
    not,
    missing,
    priceMinor: priceFor(kit, 1),
    singlyMinor,
    unpriced,
    look: bodies.map(
      (name) =>
        `${name}: which way round it stands on the engine, and whether its ports clear what is beside it, is tried on the engine or in Survey before it is bought.`,
    ),
  };
}

/** Least that so many of a part cost, whole packs, from one seller. */
export function cheapestFor(part: string, quantity: number, offers: readonly BuyableOffer[]): number | undefined {
  const costs = offers.flatMap((o) => {
    const held = o.holds.length === 1 && o.holds[0]!.part === part ? o.holds[0]!.quantity : 0;
    if (held === 0) return [];
    const packs = Math.ceil(quantity / held);
    return [packs * priceFor(o, packs)];
  });
  return costs.length > 0 ? Math.min(...costs) : undefined;
}

/** In what a part differs from the nearest of its kind that the job needs. */
function whyNot(part: string, needs: readonly Needed[], catalogue: Catalogue): string {
  const entry = findEntry(catalogue, part);
  if (!entry) return 'The catalogue does not have it: add it to have it compared.';
  if (needs.some((n) => n.part === part)) return 'The job has as many of it as it needs.';
  const own = told(entry);
  const nearest = needs
    .flatMap((n) => {
      const other = findEntry(catalogue, n.part);
      if (!other || kindOfEntry(other) !== kindOfEntry(entry)) return [];
      const others = told(other);
      const differ = Object.keys(own).filter((key) => own[key] !== others[key]);
      return [{ name: n.name, differ, others }];
    })
    .sort((a, b) => a.differ.length - b.differ.length)[0];
  if (!nearest) return `The job needs no ${kindOfEntry(entry)}.`;
  if (nearest.differ.length === 0) return `It differs from ${nearest.name} in nothing the catalogue says: compare codes.`;
  const words = nearest.differ.map((key) => `${key} ${own[key] ?? 'none'}, not ${nearest.others[key] ?? 'none'}`);
  return `${words.join('; ')}, as in ${nearest.name}.`;
}

/** What a part is compared within: an adapter with adapters, a catch tank with catch tanks. */
function kindOfEntry(entry: PartEntry): string {
  return entry.kind === 'fitting' ? kindOf(entry.part) : sectionOf(entry);
}

/** What tells a part from another of its kind, under the names that its form has for it. */
function told(entry: PartEntry): Record<string, string> {
  switch (entry.kind) {
    case 'fitting': {
      const { ends, angleDeg = 0 } = entry.part;
      const posts = ends.filter((e) => e.family === 'post').map(formatConnector);
      return {
        ...(posts.length > 0 ? { 'post thread': posts.join(' and ') } : {}),
        ends: ends
          .filter((e) => e.family !== 'post')
          .map(formatConnector)
          .sort()
          .join(' and '),
        angle: `${angleDeg}°`,
        metal: entry.part.material ?? 'aluminium',
      };
    }
    case 'hose end':
      return {
        'end angle': `${entry.part.angleDeg}°`,
        connector: formatConnector(entry.part.connector),
        'made for': `${entry.part.construction} -${entry.part.dash}`,
      };
    case 'hose':
      return { core: entry.part.construction, size: `-${entry.part.dash}` };
    case 'supply':
      return Object.fromEntries(
        fieldsOf(sectionOf(entry)).flatMap((field) => {
          const value = figuresIn(entry)[field.name];
          if (typeof value !== 'string' && typeof value !== 'number') return [];
          return [[field.label.toLowerCase(), `${value}${unitOf(field.type)}`]];
        }),
      );
  }
}

function unitOf(type: string): string {
  return { mm: ' mm', bar: ' bar', celsius: ' °C' }[type] ?? '';
}
