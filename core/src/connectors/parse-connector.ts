import type { Connector, Gender } from './connector.js';
import { ConnectorSyntaxError } from './connector-syntax-error.js';
import { families, familyById, type Family } from './family.js';
import { formatConnector } from './format-connector.js';
import { nearestWord } from './nearest-word.js';
import { readSize } from './read-size.js';
import { scanNotation, type Token } from './scan-notation.js';

const GENDER_WORDS: Readonly<Record<string, Gender>> = {
  m: 'male',
  male: 'male',
  ma: 'male',
  f: 'female',
  fem: 'female',
  female: 'female',
};
const SEAT_WORDS: Readonly<Record<string, string>> = {
  washer: 'washer',
  washers: 'washer',
  crush: 'washer',
  oring: 'oring',
  'o-ring': 'oring',
  adjustable: 'adjustable',
  adj: 'adjustable',
  fixed: 'fixed',
};
const SWIVEL_WORDS = ['swivel', 'sw', 'nut'];
const FILLER = ['port', 'thread', 'end', 'bolt', 'size', 'the', 'a'];
const VOCABULARY = [
  ...Object.keys(GENDER_WORDS),
  ...Object.keys(SEAT_WORDS),
  ...SWIVEL_WORDS,
  ...FILLER,
  ...families.flatMap((f) => f.words),
];

interface Reading {
  family?: { family: Family; token: Token; word: string };
  size?: Token;
  gender?: { gender: Gender; token: Token };
  seat?: { seat: string; token: Token };
  swivel?: Token;
}

/**
 * Reads one line of notation: `an6 m`, `-6 AN male`, `npt 1/8 f`, `m14x1.5 f washer`, `-10 orb f`, `banjo m12x1.5`, `barb 3/8`.
 * Case, spaces, hyphens and the order of words do not matter.
 *
 * @throws {ConnectorSyntaxError} with the place of the mistake, what would read, and where possible a whole suggestion
 */
export function parseConnector(text: string): Connector {
  const tokens = scanNotation(text);
  if (tokens.length === 0)
    throw new ConnectorSyntaxError('Nothing typed.', 0, 1, 'Type a thread: npt 1/8 f, m14x1.5 f washer, orb10 f, an6 m.');
  const reading: Reading = {};
  for (const token of tokens) takeToken(reading, token, text);
  const family = familyOf(reading, text);
  const size = sizeOf(reading, family, text);
  const gender = genderOf(reading, family, size, text);
  return withOptions({ family: family.id, size, gender }, reading, family);
}

function takeToken(reading: Reading, token: Token, text: string): void {
  if (token.kind === 'inch-mark') return;
  if (token.kind === 'unknown') throw new ConnectorSyntaxError(`"${token.text}" has no meaning here.`, token.position, 1, 'Leave it away.');
  if (token.kind !== 'word') {
    if (reading.size) throw twice(token, `A second size: "${reading.size.text}" stands already.`);
    reading.size = token;
    if (token.kind === 'metric' && !reading.family) reading.family = { family: familyById('metric'), token, word: 'metric' };
    return;
  }
  const word = token.text.toLowerCase();
  const family = families.find((f) => f.words.includes(word));
  if (family) {
    if (reading.family && reading.family.word !== 'metric')
      throw twice(token, `Two families: "${reading.family.token.text}" and "${token.text}".`);
    reading.family = { family, token, word };
  } else if (word in GENDER_WORDS) {
    if (reading.gender) throw twice(token, 'Male or female is said twice.');
    reading.gender = { gender: GENDER_WORDS[word]!, token };
  } else if (word in SEAT_WORDS) {
    if (reading.seat) throw twice(token, 'A second seat.');
    reading.seat = { seat: SEAT_WORDS[word]!, token };
  } else if (SWIVEL_WORDS.includes(word)) reading.swivel = token;
  else if (!FILLER.includes(word)) throw unknownWord(token, word, text);
}

function twice(token: Token, message: string): ConnectorSyntaxError {
  return new ConnectorSyntaxError(message, token.position, token.text.length, 'Keep one of them.');
}

function unknownWord(token: Token, word: string, text: string): ConnectorSyntaxError {
  const meant = nearestWord(word, VOCABULARY);
  const suggestion = meant && text.slice(0, token.position) + meant + text.slice(token.position + token.text.length);
  const hint = meant ? `Did you mean "${meant}"?` : `Families read here: ${families.map((f) => f.words[0]).join(', ')}.`;
  return new ConnectorSyntaxError(
    `"${token.text}" is not a word of the notation.`,
    token.position,
    token.text.length,
    hint,
    readable(suggestion),
  );
}

function familyOf(reading: Reading, text: string): Family {
  if (reading.family) return reading.family.family;
  const size = reading.size;
  const at = size ?? { position: 0, text };
  const guess = size?.kind === 'fraction' ? `npt ${text}` : size?.kind === 'dash' ? `an ${text}` : undefined;
  const hint =
    size?.kind === 'fraction'
      ? 'Say which: npt, barb or hose.'
      : size?.kind === 'dash'
        ? 'A dash size is not a thread yet: say an or orb.'
        : 'Say which: an, orb, npt, m14x1.5, banjo, barb.';
  throw new ConnectorSyntaxError('The family is missing.', at.position, at.text.length, hint, readable(guess));
}

function sizeOf(reading: Reading, family: Family, text: string): string {
  if (reading.size) return readSize(reading.size, family);
  const example = { dash: '6', pipe: '1/8', metric: 'm14x1.5', bolt: 'm12x1.5', bore: '3/8' }[family.sizeKind];
  throw new ConnectorSyntaxError(
    'The size is missing.',
    text.trimEnd().length,
    1,
    `Add it, for example ${example}.`,
    readable(`${text.trim()} ${example}`),
  );
}

function genderOf(reading: Reading, family: Family, size: string, text: string): Gender {
  const said = reading.gender;
  if (family.id === 'barb') return reading.family?.word === 'hose' ? 'female' : 'male';
  if (family.genders.length === 1) {
    if (said && said.gender !== family.genders[0])
      throw new ConnectorSyntaxError(
        `A ${family.name} is ${family.genders[0]}.`,
        said.token.position,
        said.token.text.length,
        'Leave it away; type the port it goes into as m12x1.5 f washer.',
      );
    return family.genders[0]!;
  }
  if (said) return said.gender;
  if (reading.swivel) return 'female';
  const guess = formatConnector({ family: family.id, size, gender: 'female' });
  throw new ConnectorSyntaxError('Male or female?', text.trimEnd().length, 1, 'Add m (thread outside) or f (thread inside).', guess);
}

function withOptions(base: Connector, reading: Reading, family: Family): Connector {
  const { seat, swivel } = reading;
  const extra: { seat?: string; swivel?: boolean } = {};
  if (seat) {
    if (!family.seats.includes(seat.seat))
      throw new ConnectorSyntaxError(
        `A ${family.name} has no "${seat.token.text}".`,
        seat.token.position,
        seat.token.text.length,
        `It seals on ${family.sealsOn(base.gender, undefined)}. Leave the word away.`,
        formatConnector(base),
      );
    if (seat.seat === 'adjustable' && base.gender === 'female')
      throw new ConnectorSyntaxError(
        'Only a male boss end is adjustable.',
        seat.token.position,
        seat.token.text.length,
        'Leave it away.',
        formatConnector(base),
      );
    if (seat.seat !== 'fixed') extra.seat = seat.seat;
  }
  if (swivel) {
    if (!family.maySwivel || base.gender !== 'female')
      throw new ConnectorSyntaxError(
        'Only a female flare nut swivels here.',
        swivel.position,
        swivel.text.length,
        'Leave it away.',
        formatConnector(base),
      );
    extra.swivel = true;
  }
  return { ...base, ...extra };
}

/** Keeps a suggestion only if it reads. */
function readable(text: string | undefined): string | undefined {
  if (text === undefined) return undefined;
  try {
    return formatConnector(parseConnector(text));
  } catch (error) {
    if (error instanceof ConnectorSyntaxError) return error.suggestion;
    throw error;
  }
}
