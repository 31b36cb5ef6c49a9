/** The kinds of word a notation is made of, tried in this order at each place. */
const PATTERNS = [
  ['gap', /[\s,;]+/y],
  ['metric', /m(\d+(?:[.,]\d+)?)(?:\s*[x×*]\s*(\d+(?:[.,]\d+)?))?(?![\d/])/iy],
  // a pitch has one figure before its point: `m 58x82` is a male with its land
  ['metric', /m\s+(\d+(?:[.,]\d+)?)\s*[x×*]\s*(\d(?:[.,]\d+)?)(?![\d])/iy],
  ['circle', /bolts?\s*(\d{1,2})\s*[x×*]\s*(\d+(?:[.,]\d+)?)(?:\s*mm\b)?/iy],
  ['bolts', /2\s*[x×*]\s*(\d+(?:[.,]\d+)?)(?:\s*mm\b)?/iy],
  ['land', /(\d{1,3}(?:[.,]\d+)?)\s*[x×*]\s*(\d{2,3}(?:[.,]\d+)?)(?:\s*[x×*]\s*(\d{1,2}(?:[.,]\d+)?))?(?:\s*mm\b)?(?![\d/x-])/iy],
  ['bore', /bore\s*(\d+(?:[.,]\d+)?)(?:\s*mm\b)?/iy],
  ['inch-thread', /((?:\d+\s+)?\d+\/\d+|\d+)\s*-\s*(\d{1,2}(?:\.5)?)(?![\d/])/y],
  ['millimetres', /(\d+(?:[.,]\d+)?)\s*mm\b/iy],
  ['fraction', /(\d+)[\s-]+(\d+)\/(\d+)/y],
  ['fraction', /(\d+)\/(\d+)/y],
  ['tube', /(\d{1,2})\s?([ls])\b/iy],
  ['dash', /[-#]\s*(\d+)/y],
  ['word', /o-ring|dry-break|flare(?:37|45)|sae\s?45|cone(?:24|30|60)|[a-z]+/iy],
  ['number', /\d+(?:[.,]\d+)?/y],
  ['inch-mark', /["″”]/y],
] as const;

export type TokenKind = Exclude<(typeof PATTERNS)[number][0], 'gap'> | 'unknown';

export interface Token {
  readonly kind: TokenKind;
  readonly text: string;
  /** Captured parts of the match. */
  readonly parts: readonly (string | undefined)[];
  readonly position: number;
}

/** Splits a notation into words, sizes and threads, each with its place. Never throws. */
export function scanNotation(text: string): Token[] {
  const tokens: Token[] = [];
  let at = 0;
  while (at < text.length) {
    const found = matchAt(text, at);
    if (found.kind !== 'gap') tokens.push({ kind: found.kind, text: found.match, parts: found.parts, position: at });
    at += found.match.length;
  }
  return tokens;
}

function matchAt(text: string, at: number): { kind: TokenKind | 'gap'; match: string; parts: (string | undefined)[] } {
  for (const [kind, pattern] of PATTERNS) {
    pattern.lastIndex = at;
    const match = pattern.exec(text);
    if (match) return { kind, match: match[0], parts: match.slice(1) };
  }
  return { kind: 'unknown', match: text.charAt(at), parts: [] };
}
