import { ConnectorSyntaxError } from './connector-syntax-error.js';
import type { Gender } from './connector.js';
import { families, familyById, type Family } from './family.js';
import { editDistance, nearestWord } from './nearest-word.js';
import { scanNotation, type Token } from './scan-notation.js';
import { settleWords } from './settle-words.js';
import {
  BRITISH,
  FAMILY_AND_GENDER,
  FILLER,
  FORM_WORDS,
  GENDER_WORDS,
  OTHER_TRADES,
  PART_WORDS,
  SEAT_WORDS,
  SERIES_WORDS,
  SWIVEL_NUTS,
  SWIVEL_WORDS,
  VAGUE,
  VOCABULARY,
} from './vocabulary.js';

export interface NamedFamily {
  readonly family: Family;
  readonly token: Token;
  readonly word: string;
}

/** The words of a notation, sorted by what they say; nothing is decided yet. */
export interface Reading {
  family?: NamedFamily;
  /** A bulkhead, dry-break or bung round the family. */
  wrapper?: NamedFamily;
  size?: Token;
  /** A flange's bore. */
  bore?: Token;
  /** Where a gasket lies, and the bolts round it. */
  land?: Token;
  circle?: Token;
  gender?: { readonly gender: Gender; readonly token: Token };
  seat?: { readonly seat: string; readonly token: Token };
  swivel?: Token;
  /** A bolt without its pitch: of a flange. */
  bolt?: Token;
  /** Words that settle nothing by themselves: whose size it is, which of two British threads. */
  sae?: Token;
  bsp?: Token;
  /** `unf`, `unc`: how many threads an inch has, where only the diameter is said. */
  series?: Token;
  /** A flare whose angle is not said. */
  flare?: Token;
  /** `bolt`: of a filter post its end, elsewhere no more than a word. */
  boltWord?: Token;
  /** A filter: round its post, or a part of its own. */
  filter?: Token;
  /** A trade's word that names no thread of it, with what it may be. */
  vague?: { readonly token: Token; readonly heads: readonly string[] };
  form?: { readonly form: 'taper' | 'parallel'; readonly token: Token };
}

/** @throws {ConnectorSyntaxError} for a word that has no meaning, or two that say the same thing */
export function readWords(text: string): Reading {
  const reading: Reading = {};
  const tokens = scanNotation(text);
  tokens.forEach((token, i) => {
    // `G 1/4 A` is the external thread of ISO 228, in its class
    const before = tokens[i - 1];
    const classed = /^[ab]$/i.test(token.text) && before?.kind === 'fraction' && reading.family?.family.id === 'g';
    if (classed) takeGender(reading, 'male', token);
    else takeToken(reading, token, text);
  });
  return settleWords(reading);
}

function takeToken(reading: Reading, token: Token, text: string): void {
  switch (token.kind) {
    case 'inch-mark':
      return;
    case 'unknown':
      throw new ConnectorSyntaxError(`"${token.text}" has no meaning here.`, token.position, 1, 'Leave it away.');
    case 'word':
      return takeWord(reading, token, text);
    case 'bore':
      if (reading.bore) throw twice(token, `A second bore: "${reading.bore.text}" stands already.`);
      reading.bore = token;
      return;
    case 'land':
    case 'circle':
      if (reading[token.kind]) throw twice(token, `A second one: "${reading[token.kind]!.text}" stands already.`);
      reading[token.kind] = token;
      return;
    case 'tube':
      takeSeat(reading, token, `${Number(token.parts[0])}${token.parts[1]!.toLowerCase()}`);
      return;
    case 'metric':
      if (/^m[68]$/i.test(token.text) && !reading.bolt) {
        reading.bolt = token;
        return;
      }
      takeClass(reading, token);
      return takeSize(reading, token);
    case 'inch-thread':
      takeClass(reading, token);
      return takeSize(reading, token);
    case 'bolts':
    case 'millimetres':
    case 'fraction':
    case 'dash':
    case 'number':
      takeSize(reading, token);
  }
}

/** A class of tolerance says the sex: 2A and 6g are outside, 2B and 6H inside; a small h is said of both. */
function takeClass(reading: Reading, token: Token): void {
  const inch = /[123]([ab])\s*$/i.exec(token.text)?.[1]?.toLowerCase();
  const metric = /[4-8]([gGH])\s*$/.exec(token.text)?.[1];
  if (inch) takeGender(reading, inch === 'a' ? 'male' : 'female', token);
  else if (metric === 'g' || metric === 'H') takeGender(reading, metric === 'g' ? 'male' : 'female', token);
}

function takeSize(reading: Reading, token: Token): void {
  if (reading.size)
    throw new ConnectorSyntaxError(
      `Two sizes: "${reading.size.text}" and "${token.text}".`,
      token.position,
      token.text.length,
      'Keep one of them. A metric thread is typed m14x1.5, an inch thread 9/16-18.',
    );
  reading.size = token;
}

function takeWord(reading: Reading, token: Token, text: string): void {
  const word = token.word ?? token.text.toLowerCase();
  const both = FAMILY_AND_GENDER.get(word);
  const family = both ? familyById(both[0]) : families.find((f) => f.words.includes(word));
  if (word === 'flare') reading.flare = token;
  if (family?.wraps) {
    if (reading.wrapper) throw twice(token, `Two of them: "${reading.wrapper.token.text}" and "${token.text}".`);
    reading.wrapper = { family, token, word };
  } else if (family) {
    reading.family = oneOf(reading.family, { family, token, word });
    if (both) takeGender(reading, both[1], token);
  } else if (GENDER_WORDS.has(word)) takeGender(reading, GENDER_WORDS.get(word)!, token);
  else if (word === 'bolt') reading.boltWord = token;
  else if (SEAT_WORDS.has(word)) takeSeat(reading, token, SEAT_WORDS.get(word)!);
  else if (FORM_WORDS.has(word)) reading.form = { form: FORM_WORDS.get(word)!, token };
  else if (SWIVEL_WORDS.includes(word)) reading.swivel = token;
  else if (word === 'sae') reading.sae = token;
  else if (BRITISH.has(word)) {
    reading.bsp = token;
    const gender = BRITISH.get(word);
    if (gender) takeGender(reading, gender, token);
  } else if (SWIVEL_NUTS.includes(word)) {
    reading.family = oneOf(reading.family, { family: familyById('flare37'), token, word: 'an' });
    takeGender(reading, 'female', token);
    reading.swivel = token;
  } else if ((SERIES_WORDS as readonly string[]).includes(word)) reading.series = token;
  else if (word === 'filter') reading.filter = token;
  else if (VAGUE.has(word)) reading.vague = { token, heads: VAGUE.get(word)! };
  else if (PART_WORDS.includes(word)) throw partWord(token, word);
  else if (!FILLER.includes(word)) throw unknownWord(token, word, text);
}

function takeGender(reading: Reading, gender: Gender, token: Token): void {
  if (reading.gender && reading.gender.gender !== gender) throw twice(token, 'Male and female are both said.');
  reading.gender = { gender, token };
}

/** Words that only tell whose size it is, beside another family: `an 6 orb`. */
const SIZE_ONLY = ['an', 'jic'];

/** "hose barb", "an flare" say one family in two words; "an 6 orb" is a boss; "post … land 58x82" says what lies round the post. */
function oneOf(before: NamedFamily | undefined, next: NamedFamily): NamedFamily {
  if (!before) return next;
  // `an flare` is said with the word that settles it
  if (before.family === next.family) return next.word === 'flare' ? before : next;
  const both = [before, next];
  const round = both.find(({ family }) => family.land === 'seat');
  if (round && both.some(({ family }) => family.land === 'size')) return round;
  const sized = both.find(({ word }) => SIZE_ONLY.includes(word));
  const other = both.find((named) => named !== sized)!;
  if (sized && other.family.sizeKind === 'dash') return other;
  // `1/8 inch npt`: the unit, not the thread
  const unit = both.find(({ word }) => word === 'inch');
  if (unit) return both.find((named) => named !== unit)!;
  const flare = both.find(({ word }) => word === 'flare');
  const kind = both.find((named) => named !== flare)!;
  if (flare && kind.family.shape !== 'boss' && /flare|cone/.test(kind.family.name)) return kind;
  throw twice(next.token, `Two families: "${before.token.text}" and "${next.token.text}".`);
}

function takeSeat(reading: Reading, token: Token, seat: string): void {
  // "bonded washer", "crush washer" say one thing in two words
  if (reading.seat && reading.seat.seat !== seat) throw twice(token, 'A second seat.');
  reading.seat = { seat, token };
}

function twice(token: Token, message: string): ConnectorSyntaxError {
  return new ConnectorSyntaxError(message, token.position, token.text.length, 'Keep one of them.');
}

function partWord(token: Token, word: string): ConnectorSyntaxError {
  return new ConnectorSyntaxError(
    `"${token.text}" is a part, not an end.`,
    token.position,
    token.text.length,
    'Type only what it screws on or into; the part itself is found in the store.',
    undefined,
    [],
    word,
  );
}

function unknownWord(token: Token, word: string, text: string): ConnectorSyntaxError {
  const trade = OTHER_TRADES.get(word);
  const at = [token.position, token.text.length] as const;
  if (trade)
    return new ConnectorSyntaxError(`"${token.text}" is ${trade}: it is not read here.`, ...at, 'Measure the thread on the bench.');
  const meant = slipOf(word);
  const suggestion = meant && text.slice(0, token.position) + meant + text.slice(token.position + token.text.length);
  const hint = meant ? `Did you mean "${meant}"?` : 'Threads are typed as an6, orb10, npt 1/8, r 1/8, g 1/4, m14x1.5 or 9/16-18.';
  return new ConnectorSyntaxError(`"${token.text}" is not a word of the notation.`, ...at, hint, suggestion);
}

/**
 * The word that a typing slip was meant to be. Of two or three letters only a swap or a doubled one is a slip: another letter is another
 * thread.
 */
function slipOf(word: string): string | undefined {
  const meant = nearestWord(word, VOCABULARY);
  if (!meant) return undefined;
  // a short word that lies two letters off is another word
  if (word.length <= 6 && editDistance(word, meant) > 1) return undefined;
  const letters = (text: string): string => [...new Set(text)].sort().join('');
  return Math.min(word.length, meant.length) > 3 || letters(word) === letters(meant) ? meant : undefined;
}

/** The family that is said, or that the size alone makes plain: a metric or an inch thread. */
export function familyOf(reading: Reading): Family | undefined {
  if (reading.family) return reading.family.family;
  if (reading.size?.kind === 'metric') return familyById('metric');
  if (reading.size?.kind === 'inch-thread') return familyById('un');
  if (reading.size?.kind === 'bolts' || reading.bore) return familyById('flange');
  if (reading.land) return familyById('face');
  return undefined;
}
