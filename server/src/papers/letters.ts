import type { PaperFont, Pdf } from './paper.js';

/** What is looked through for a face that has a letter, after the one that was wanted. */
const FALLBACKS: readonly PaperFont[] = ['text', 'mono'];
/** Letters that no face has and another says as well. */
const SAID_AS: Readonly<Record<string, string>> = { '\u2300': 'Ø', '\u2009': ' ', '\u202f': ' ', '\u00a0': ' ' };
/** Marks that only join or turn what they stand by. */
const UNSEEN = /\p{Default_Ignorable_Code_Point}/gu;
/** Letters that are printed by a word: whoever reads the paper knows that there is something, and of what kind, and finds it on the screen. */
const KINDS: readonly (readonly [RegExp, string])[] = [
  [/\p{Script=Han}/u, 'Chinese'],
  [/[\p{Script=Hiragana}\p{Script=Katakana}]/u, 'Japanese'],
  [/\p{Script=Hangul}/u, 'Korean'],
  [/\p{Script=Arabic}/u, 'Arabic'],
  [/\p{Script=Hebrew}/u, 'Hebrew'],
  [/\p{Script=Thai}/u, 'Thai'],
  [/\p{Script=Devanagari}/u, 'Hindi'],
  [/\p{Script=Cyrillic}/u, 'Cyrillic'],
  [/\p{Script=Greek}/u, 'Greek'],
  [/\p{Extended_Pictographic}/u, 'picture'],
];

interface Printable {
  readonly face: PaperFont;
  readonly text: string;
}

const has = new Map<PaperFont, ReadonlySet<number>>();

/** The letters of a face; read once. */
function lettersOf(pdf: Pdf, face: PaperFont): ReadonlySet<number> {
  let known = has.get(face);
  if (!known) {
    const { _font: before } = pdf as unknown as { _font: unknown };
    pdf.font(face);
    const own = pdf as unknown as { _font: { font: { characterSet: readonly number[] } } };
    has.set(face, (known = new Set(own._font.font.characterSet)));
    (pdf as unknown as { _font: unknown })._font = before;
  }
  return known;
}

/**
 * A text as it can be printed: in the face that was wanted where that has all of it, else in one that has; letters that none has are said
 * by a word in brackets.
 */
export function printable(pdf: Pdf, said: string, wanted: PaperFont): Printable {
  // what every face has
  if (/^[\n\u0020-\u007e\u00b0-\u00ff]*$/.test(said)) return { face: wanted, text: said };
  const text = said.replace(UNSEEN, '').replace(/[\u2300\u2009\u202f\u00a0]/g, (sign) => SAID_AS[sign] ?? sign);
  const letters = [...new Set(text)].filter((sign) => sign !== '\n' && sign !== '\t').map((sign) => sign.codePointAt(0)!);
  const face = [wanted, ...FALLBACKS].find((one) => {
    const own = lettersOf(pdf, one);
    return letters.every((letter) => own.has(letter));
  });
  if (face) return { face, text };
  const own = lettersOf(pdf, FALLBACKS[0]!);
  return { face: FALLBACKS[0]!, text: byWords(text, (letter) => own.has(letter)) };
}

function byWords(text: string, prints: (letter: number) => boolean): string {
  let written = '';
  let last = '';
  for (const sign of text) {
    if (sign === '\n' || sign === '\t' || prints(sign.codePointAt(0)!)) {
      written += sign;
      // blanks between two words of one kind are a part of them
      if (sign.trim() !== '') last = '';
      continue;
    }
    // what belongs to the letter before it
    if (/\p{Mark}|\p{Emoji_Modifier}/u.test(sign)) continue;
    const kind = KINDS.find(([letters]) => letters.test(sign))?.[1] ?? 'sign';
    if (kind !== last) written += `[${kind}]`;
    last = kind;
  }
  // between two words of which one is printed by none, one blank is left
  return written.replace(/(\]) +/g, '$1 ');
}
