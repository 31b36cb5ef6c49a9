const DEGREES = String.raw`\s*(?:°|degrees?\b|deg\b\.?)?`;
const phrase = (source: string): RegExp => new RegExp(source, 'iy');

/** What the trade says in several words or signs, and the one word of the notation that it means. */
const PHRASES: readonly (readonly [pattern: RegExp, word: string])[] = [
  [phrase(String.raw`o\.\s?r\.\s?b\b\.?|o[\s-]?rings?\s+boss\b|(?:sae\s*)?j\s?1926(?:-\d)?\b`), 'orb'],
  [phrase(String.raw`o\.?[\s-]rings?\b|orings?\b|iso\s*6149(?:-\d)?\b`), 'oring'],
  [phrase(String.raw`o[\s-]?ring\s+face(?:\s+seal)?\b|face\s+seal\b|(?:sae\s*)?j\s?1453\b`), 'orfs'],
  [phrase(String.raw`iso\s*9974(?:-\d)?\b|crush\s+washers?\b|bonded\s+washers?\b|copper\s+washers?\b|sealing\s+washers?\b`), 'washer'],
  [phrase(String.raw`captive\s+ring\b|(?:type|form)\s+e\b`), 'captive'],
  [phrase(String.raw`(?:type|form)\s+a\b`), 'washer'],
  [phrase(String.raw`push[\s-]?lock\b`), 'barb'],
  [phrase(String.raw`inverted\s+flare\b|double\s+flare\b`), 'inverted'],
  [phrase(String.raw`bubble\s+flare\b`), 'bubble'],
  [
    phrase(String.raw`sae\s*-?\s*45${DEGREES}(?:\s*flare\b)?|45${DEGREES}\s*(?:sae\s+)?flare\b|flare\s*-?\s*45\b${DEGREES}|sae\s+flare\b`),
    'sae45',
  ],
  [phrase(String.raw`37${DEGREES}\s*(?:jic\s+|an\s+)?flare\b|flare\s*-?\s*37\b${DEGREES}|(?:sae\s*)?j\s?514\b`), 'flare37'],
  [phrase(String.raw`24${DEGREES}\s*cone\b|cone\s*-?\s*24\b${DEGREES}|din\s*2353\b|iso\s*8434-1\b`), 'cone24'],
  [phrase(String.raw`plain\s+tube\b`), 'compression'],
  [phrase(String.raw`drilled\s+hole\b`), 'stub'],
  [phrase(String.raw`(?:30|60)${DEGREES}\s*cone\b|cone\s*-?\s*(?:30|60)\b${DEGREES}|cone(?:30|60)\b`), 'cone'],
  [phrase(String.raw`quick[\s-]?connect(?:or)?s?\b|push[\s-]?in\b|quick[\s-]coupler\b`), 'qc'],
  [phrase(String.raw`dry[\s-]?breaks?\b`), 'drybreak'],
  [phrase(String.raw`push[\s-]?on\b|schlauch(?:t[uü]lle)?\b`), 'barb'],
  [phrase(String.raw`beaded\b|beads?\b`), 'bead'],
  [phrase(String.raw`barbed\b`), 'barb'],
  [phrase(String.raw`weld[\s-]?on\b|weld[\s-]?in\b`), 'weld'],
];

const FRACTION_SIGNS: Readonly<Record<string, readonly [string, string]>> = {
  '½': ['1', '2'],
  '¼': ['1', '4'],
  '¾': ['3', '4'],
  '⅛': ['1', '8'],
  '⅜': ['3', '8'],
  '⅝': ['5', '8'],
  '⅞': ['7', '8'],
};

/** Threads per inch of plumbing, as they are said after a diameter: `9/16 18`. */
const PER_INCH = '(?:11\\.5|11|12|13|14|16|18|19|20|24|27|28|32)';
/** What follows a thread and says no more than it: its series and class, `UNF-2B`, `6H`. */
const SERIES = String.raw`(?:\s*-?\s*un(?:f|c|ef|s)?\b)?(?:\s*-?\s*[123][ab]\b)?`;
const CLASS = String.raw`(?:\s*-?\s*[4-8][gh](?:[4-8][gh])?\b)?`;
/** A diameter, with the inch mark some put behind it. */
const DIAMETER = String.raw`((?:\d+[\s-]+)?\d+\/\d+|\d+[\s-]*[½¼¾⅛⅜⅝⅞]|[½¼¾⅛⅜⅝⅞]|\d+)\s*["″”]?`;

/** The kinds of word a notation is made of, tried in this order at each place. */
const PATTERNS = [
  ['gap', /[\s,;()[\]]+|[.°](?=\s|$)|(?<=[a-zäöüß\d])-(?=[a-zäöüß])/iy],
  [
    'metric',
    phrase(
      String.raw`m(\d+(?:[.,]\d+)?)\s*(?:[x×*]\s*p?\s*|-\s*(?=\d(?:[.,]\d+)?(?:\D|$))|\s(?=\d[.,]\d))(\d(?:[.,]\d+)?)(?![\d/])${CLASS}`,
    ),
  ],
  ['metric', /m(\d+(?:[.,]\d+)?)(?:\s*[x×*]\s*(\d+(?:[.,]\d+)?))?(?![\d/])/iy],
  // a pitch has one figure before its point: `m 58x82` is a male with its land
  ['metric', phrase(String.raw`m\s+(\d+(?:[.,]\d+)?)\s*[x×*]\s*(\d(?:[.,]\d+)?)(?![\d])${CLASS}`)],
  ['circle', /bolts?\s*(\d{1,2})\s*[x×*]\s*(\d+(?:[.,]\d+)?)(?:\s*mm\b)?/iy],
  ['bolts', /2\s*[x×*]\s*(\d{2,}(?:[.,]\d+)?)(?:\s*mm\b)?/iy],
  ['land', /(\d{1,3}(?:[.,]\d+)?)\s*[x×*]\s*(\d{2,3}(?:[.,]\d+)?)(?:\s*[x×*]\s*(\d{1,2}(?:[.,]\d+)?))?(?:\s*mm\b)?(?![\d/x-])/iy],
  ['metric', phrase(String.raw`(\d{1,2})(?:\s*mm)?\s*[x×*]\s*p?\s*(\d(?:[.,]\d+)?)(?![\d/x×*])${CLASS}`)],
  ['bore', /bore\s*(\d+(?:[.,]\d+)?)(?:\s*mm\b)?/iy],
  ['phrase', undefined],
  // read before a dash: its hyphen is not one of a thread
  ['dash', phrase(String.raw`(?:dash|size)\s*[-#]?\s*(\d+)(?![\d/.,])`)],
  ['inch-thread', phrase(String.raw`${DIAMETER}\s*-\s*(\d{1,2}(?:\.5)?)(?![\d/])${SERIES}`)],
  ['inch-thread', phrase(String.raw`((?:\d+[\s-]+)?\d+\/\d+)\s+(${PER_INCH})(?![\d/.,])(?!\s*(?:mm|°|deg))${SERIES}`)],
  ['millimetres', /(\d+(?:[.,]\d+)?)\s*mm\b/iy],
  ['millimetres', /[øφ⌀Ø]\s*(\d+(?:[.,]\d+)?)(?:\s*mm\b)?/iy],
  ['fraction', /(\d+)[\s-]+(\d+)\/(\d+)/y],
  ['fraction', /(\d+)\/(\d+)/y],
  ['fraction sign', /(?:(\d+)[\s-]*)?([½¼¾⅛⅜⅝⅞])/y],
  ['tube', /(\d{1,2})\s?([ls])\b/iy],
  ['dash', /[-#]\s*(\d+)/y],
  ['word', /[a-zäöüß]+/iy],
  ['number', /\d+(?:[.,]\d+)?|\.\d+/y],
  ['inch-mark', /["″”]/y],
] as const;

export type TokenKind = Exclude<(typeof PATTERNS)[number][0], 'gap' | 'phrase' | 'fraction sign'> | 'unknown';

export interface Token {
  readonly kind: TokenKind;
  readonly text: string;
  /** Captured parts of the match. */
  readonly parts: readonly (string | undefined)[];
  readonly position: number;
  /** The word of the notation that a phrase of the trade means. */
  readonly word?: string;
}

/** What is found at a place of the text. */
interface Match {
  readonly kind: TokenKind | 'gap';
  readonly match: string;
  readonly parts: readonly (string | undefined)[];
  readonly word?: string;
}

/** Splits a notation into words, sizes and threads, each with its place. Never throws. */
export function scanNotation(text: string): Token[] {
  const tokens: Token[] = [];
  let at = 0;
  while (at < text.length) {
    const found = matchAt(text, at);
    if (found.kind !== 'gap')
      tokens.push({ kind: found.kind, text: found.match, parts: found.parts, position: at, ...(found.word ? { word: found.word } : {}) });
    at += found.match.length;
  }
  return tokens;
}

function matchAt(text: string, at: number): Match {
  for (const [kind, pattern] of PATTERNS) {
    if (kind === 'phrase') {
      const said = phraseAt(text, at);
      if (said) return said;
      continue;
    }
    pattern.lastIndex = at;
    const match = pattern.exec(text);
    if (!match) continue;
    const parts = kind === 'inch-thread' ? [plainFraction(match[1]!), ...match.slice(2)] : match.slice(1);
    if (kind !== 'fraction sign') return { kind, match: match[0], parts };
    const [top, bottom] = FRACTION_SIGNS[parts[1]!]!;
    return { kind: 'fraction', match: match[0], parts: parts[0] === undefined ? [top, bottom] : [parts[0], top, bottom] };
  }
  return { kind: 'unknown', match: text.charAt(at), parts: [] };
}

/** `1⅛` as `1 1/8`. */
function plainFraction(text: string): string {
  return text.replace(/[\s-]*([½¼¾⅛⅜⅝⅞])/, (_, sign: string) => ` ${FRACTION_SIGNS[sign]!.join('/')}`).trim();
}

function phraseAt(text: string, at: number): Match | undefined {
  for (const [pattern, word] of PHRASES) {
    pattern.lastIndex = at;
    const match = pattern.exec(text);
    if (match) return { kind: 'word', match: match[0], parts: [], word };
  }
  return undefined;
}
