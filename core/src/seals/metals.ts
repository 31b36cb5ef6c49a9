/** What the two sides of a joint are made of, as far as its tightening goes, the weakest first. */
export const metals = ['plastic', 'aluminium', 'brass', 'steel'] as const;
export type Metal = (typeof metals)[number];

const WORDS: readonly (readonly [pattern: RegExp, metal: Metal])[] = [
  [/plastic|nylon|polyamide|acetal|composite/i, 'plastic'],
  [/alumin|alloy/i, 'aluminium'],
  [/brass|bronze|copper/i, 'brass'],
  [/steel|stainless|iron|titanium/i, 'steel'],
];

/**
 * What a part is made of, from what its maker calls it: `stainless`, `cast iron`. Aluminium where it is not said, since most adapters,
 * pans and pumps are, and its figures hurt nothing else.
 */
export function metalOf(material: string | undefined): Metal {
  return WORDS.find(([pattern]) => pattern.test(material ?? ''))?.[1] ?? 'aluminium';
}

/** The one that gives way first. */
export function weakerOf(a: Metal, b: Metal): Metal {
  return metals.indexOf(a) <= metals.indexOf(b) ? a : b;
}
