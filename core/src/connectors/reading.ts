import { ConnectorSyntaxError } from './connector-syntax-error.js';
import type { Gender } from './connector.js';
import { families, familyById, type Family } from './family.js';
import { nearestWord } from './nearest-word.js';
import { scanNotation, type Token } from './scan-notation.js';
import { FILLER, GENDER_WORDS, SEAT_WORDS, SWIVEL_WORDS, VOCABULARY } from './vocabulary.js';

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
}

/** @throws {ConnectorSyntaxError} for a word that has no meaning, or two that say the same thing */
export function readWords(text: string): Reading {
  const reading: Reading = {};
  for (const token of scanNotation(text)) takeToken(reading, token, text);
  return reading;
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
    case 'bolts':
    case 'inch-thread':
    case 'millimetres':
    case 'fraction':
    case 'dash':
    case 'number':
      if (reading.size) throw twice(token, `A second size: "${reading.size.text}" stands already.`);
      reading.size = token;
  }
}

function takeWord(reading: Reading, token: Token, text: string): void {
  const word = token.text.toLowerCase().replace(/\s/g, '').replace('dry-break', 'drybreak');
  const family = families.find((f) => f.words.includes(word));
  if (family?.wraps) {
    if (reading.wrapper) throw twice(token, `Two of them: "${reading.wrapper.token.text}" and "${token.text}".`);
    reading.wrapper = { family, token, word };
  } else if (family) {
    reading.family = oneOf(reading.family, { family, token, word });
  } else if (GENDER_WORDS.has(word)) {
    if (reading.gender) throw twice(token, 'Male or female is said twice.');
    reading.gender = { gender: GENDER_WORDS.get(word)!, token };
  } else if (SEAT_WORDS.has(word)) takeSeat(reading, token, SEAT_WORDS.get(word)!);
  else if (SWIVEL_WORDS.includes(word)) reading.swivel = token;
  else if (!FILLER.includes(word)) throw unknownWord(token, word, text);
}

/** "hose barb" is one family in two words, of which the last counts; "post … land 58x82" says what lies round the post. */
function oneOf(before: NamedFamily | undefined, next: NamedFamily): NamedFamily {
  if (!before) return next;
  if (before.family === next.family && next.family.genderWords) return next;
  const both = [before, next];
  const round = both.find(({ family }) => family.land === 'seat');
  if (round && both.some(({ family }) => family.land === 'size')) return round;
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

function unknownWord(token: Token, word: string, text: string): ConnectorSyntaxError {
  const meant = nearestWord(word, VOCABULARY);
  const suggestion = meant && text.slice(0, token.position) + meant + text.slice(token.position + token.text.length);
  const hint = meant ? `Did you mean "${meant}"?` : `Families read here: ${families.map((f) => f.words[0]).join(', ')}.`;
  return new ConnectorSyntaxError(`"${token.text}" is not a word of the notation.`, token.position, token.text.length, hint, suggestion);
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
