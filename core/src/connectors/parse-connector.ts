import type { Connector, Gender } from './connector.js';
import { ConnectorSyntaxError } from './connector-syntax-error.js';
import { seatsFor, turns, type Family, type SizeKind } from './family.js';
import { formatConnector } from './format-connector.js';
import { familyOf, readWords, type NamedFamily, type Reading } from './reading.js';
import { landOf } from './land.js';
import { readLandToken, readSize } from './read-size.js';

/**
 * Reads one line of notation: `an6 m`, `-6 AN male`, `npt 1/8 f`, `rc 1/8`, `g 1/4 m washer`, `m14x1.5 f washer`, `-10 orb f`,
 * `banjo m12x1.5`, `cone24 m16x1.5 m 10l`, `flange 2x44 bore 20`, `bung orb10 f`, `barb 3/8`. Case, spaces, hyphens and the order of
 * words do not matter.
 *
 * @throws {ConnectorSyntaxError} with the place of the mistake, what would read, and where possible a whole suggestion
 */
export function parseConnector(text: string): Connector {
  if (text.trim() === '')
    throw new ConnectorSyntaxError('Nothing typed.', 0, 1, 'Type a thread: npt 1/8 f, m14x1.5 f washer, orb10 f, an6 m.');
  const reading = readSuggesting(text);
  if (reading.wrapper) return wrapped(reading, reading.wrapper, text);
  const family = familyOf(reading) ?? missingFamily(reading, text);
  const size = sizeOf(reading, family, text);
  const gender = genderOf(reading, family, size, text);
  return withOptions({ family: family.id, size, gender }, reading, family);
}

/** Keeps a suggestion only if it reads, in its canonical form. */
function readSuggesting(text: string): Reading {
  try {
    return readWords(text);
  } catch (error) {
    if (error instanceof ConnectorSyntaxError && error.suggestion !== undefined)
      throw new ConnectorSyntaxError(
        error.message,
        error.position,
        error.length,
        error.hint,
        readable(error.suggestion),
        error.choices,
        error.part,
      );
    throw error;
  }
}

function readable(text: string | undefined): string | undefined {
  if (text === undefined) return undefined;
  try {
    return formatConnector(parseConnector(text));
  } catch (error) {
    if (error instanceof ConnectorSyntaxError) return error.suggestion;
    throw error;
  }
}

function missingFamily({ size, gender, seat, swivel }: Reading, text: string): never {
  const at = size ?? { position: 0, text };
  const hint =
    size?.kind === 'fraction'
      ? 'Say which: npt, r or rc, g, barb, hose or bead.'
      : size?.kind === 'dash'
        ? 'A dash size is not a thread yet: say an, orb or sae45.'
        : 'Say which: an, orb, npt, r, g, m14x1.5, banjo, post, barb.';
  const heads = size?.kind === 'fraction' ? ['npt', 'rc', 'r', 'g', 'barb', 'hose'] : size?.kind === 'dash' ? ['an', 'orb', 'sae45'] : [];
  const said = gender ? [gender.gender === 'male' ? ' m' : ' f'] : [' f', ' m'];
  // what was said besides must stay: where it does, only the family is open
  const whole = (head: string): string[] =>
    said.flatMap((sex) => wholly(`${head} ${size!.text}${sex}${head === 'g' && sex === ' m' ? ' washer' : ''}`));
  const choices = seat || swivel ? [] : [...new Set(heads.flatMap(whole))];
  throw new ConnectorSyntaxError('The family is missing.', at.position, at.text.length, hint, undefined, choices);
}

function wholly(text: string): string[] {
  try {
    return [formatConnector(parseConnector(text))];
  } catch (error) {
    if (error instanceof ConnectorSyntaxError) return [];
    throw error;
  }
}

const EXAMPLES: Readonly<Record<SizeKind, string>> = {
  dash: '6',
  pipe: '1/8',
  metric: 'm14x1.5',
  inch: '9/16-18',
  bolt: 'm12x1.5',
  bore: '3/8',
  flange: '2x44 bore 20',
  inner: 'orb10',
  land: '62x71',
};

function sizeOf(reading: Reading, family: Family, text: string): string {
  if (family.sizeKind === 'flange' && !(reading.size && reading.bore)) {
    const missing = reading.size ? 'Its bore is missing.' : 'Its bolts are missing.';
    throw new ConnectorSyntaxError(missing, text.trimEnd().length, 1, 'Type both: flange 2x44 bore 20 (mm between the bolts, mm of bore).');
  }
  if (reading.bore && family.sizeKind !== 'flange')
    throw new ConnectorSyntaxError('Only a flange has a bore here.', reading.bore.position, reading.bore.text.length, 'Leave it away.');
  const astray = !family.land && (reading.land ?? reading.circle);
  if (astray)
    throw new ConnectorSyntaxError(
      `${article(family.name)} has no land for a gasket.`,
      astray.position,
      astray.text.length,
      'Only a face (groove 62x71, land 58x82) and a filter post have one.',
    );
  if (family.land === 'size') {
    if (reading.size)
      throw new ConnectorSyntaxError(
        'A face has no thread.',
        reading.size.position,
        reading.size.text.length,
        'Leave it away: groove 62x71.',
      );
    if (reading.land) return readLandToken(reading.land, reading.circle);
  }
  if (reading.size) return readSize(reading.size, family, reading.bore, reading.bolt);
  const example = EXAMPLES[family.sizeKind];
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
  const word = reading.family?.word;
  const told = (['male', 'female'] as const).find((gender) => word !== undefined && family.genderWords?.[gender] === word);
  const only = family.genders.length === 1 ? family.genders[0] : (told ?? (word === family.femaleWord && word ? 'female' : undefined));
  if (only) {
    if (said && said.gender !== only)
      throw new ConnectorSyntaxError(
        `${article(only === 'female' && family.femaleWord ? `${family.name} hole` : (family.genderWords?.[only] ?? family.name))} is ${only}.`,
        said.token.position,
        said.token.text.length,
        family.otherGender?.(size) ?? 'Leave it away.',
      );
    return only;
  }
  if (said) return said.gender;
  if (reading.swivel) return 'female';
  if (family.plainGender) return family.plainGender;
  const guess = guessed({ family: family.id, size, gender: 'female' }, reading, family);
  const [question, hint] = family.genderQuestion ?? ['Male or female?', 'Add m (thread outside) or f (thread inside).'];
  throw new ConnectorSyntaxError(question, text.trimEnd().length, 1, hint, guess);
}

/** What would be read if it were female, with all that was said of it; nothing where that does not go together. */
function guessed(base: Connector, reading: Reading, family: Family): string | undefined {
  const genders = family.genders.filter((gender) => !reading.seat || seatsFor(family, base.size, gender).includes(reading.seat.seat));
  const gender = genders.includes('female') ? 'female' : genders[0];
  if (!gender) return undefined;
  try {
    return formatConnector(withOptions({ ...base, gender }, reading, family));
  } catch (error) {
    if (error instanceof ConnectorSyntaxError) return undefined;
    throw error;
  }
}

function withOptions(base: Connector, reading: Reading, family: Family): Connector {
  const { seat, swivel } = reading;
  const extra: { seat?: string; swivel?: boolean } = {};
  if (seat) {
    const allowed = seatsFor(family, base.size, base.gender);
    const fail = (message: string, hint: string): never => {
      throw new ConnectorSyntaxError(message, seat.token.position, seat.token.text.length, hint);
    };
    if (seatsFor(family, base.size, 'male').includes(seat.seat) && base.gender === 'female' && !allowed.includes(seat.seat))
      fail(`Only a male ${family.name} end is ${seat.seat}.`, 'Leave it away.');
    if (!allowed.includes(seat.seat)) {
      if (allowed.length > 0 && family.seatsOf)
        fail(`${family.name} ${base.size} is not made for "${seat.token.text}".`, `It takes ${allowed.join(' or ')}.`);
      fail(
        `${article(family.name)} has no "${seat.token.text}".`,
        `It seals on ${family.sealsOn(base.gender, undefined, false)}. Leave the word away.`,
      );
    }
    if (seat.seat !== family.plainSeat) extra.seat = seat.seat;
  }
  if (family.land === 'seat' && reading.land) {
    extra.seat = readLandToken(reading.land);
    if (base.gender === 'male' && landOf({ ...base, ...extra })?.depthMm !== undefined)
      throw new ConnectorSyntaxError(
        'The face round a post is plain: it has no depth.',
        reading.land.position,
        reading.land.text.length,
        'The groove is in the part that goes over the post.',
      );
  }
  if (swivel) {
    if (!turns(family, base.gender))
      throw new ConnectorSyntaxError('Only a female nut swivels here.', swivel.position, swivel.text.length, 'Leave it away.');
    if (base.gender === 'male' && extra.seat)
      throw new ConnectorSyntaxError(
        'Either it is adjustable or it turns.',
        swivel.position,
        swivel.text.length,
        'Leave one of the two away.',
      );
    if (extra.seat && family.swivelSeats && !family.swivelSeats.includes(extra.seat))
      throw new ConnectorSyntaxError(
        `A swivel nut has no "${seat!.token.text}".`,
        seat!.token.position,
        seat!.token.text.length,
        'It seals on its cone. Leave the word away.',
      );
    extra.swivel = true;
  }
  return { ...base, ...extra };
}

/** A bulkhead or dry-break takes a dash size; a weld bung carries a whole connector. */
function wrapped(reading: Reading, { family, token }: NamedFamily, text: string): Connector {
  const inner = reading.family?.family;
  if (!family.carries) {
    if (inner && inner.id !== 'flare37')
      throw new ConnectorSyntaxError(
        `${article(family.name)} is sized by its 37° flare.`,
        reading.family!.token.position,
        reading.family!.token.text.length,
        `Type ${family.words[0]} an10.`,
      );
    const size = sizeOf(reading, family, text);
    return withOptions(
      { family: family.id, size, gender: genderOf({ ...reading, family: undefined as never }, family, size, text) },
      reading,
      family,
    );
  }
  const carried = inner ?? familyOf(reading);
  if (!carried || !carried.onBungs)
    throw new ConnectorSyntaxError(
      'What does the bung carry?',
      token.position,
      token.text.length,
      'Say orb10, an10, npt 1/4, g 1/4 or m18x1.5 with it.',
      readable(inner ? undefined : `${text.trim()} orb10 f`),
    );
  const size = sizeOf(reading, carried, text);
  const gender = onBung(() => genderOf(reading, carried, size, text));
  const { seat, swivel } = withOptions({ family: carried.id, size, gender }, reading, carried);
  if (swivel)
    throw new ConnectorSyntaxError('A bung does not swivel.', reading.swivel!.position, reading.swivel!.text.length, 'Leave it away.');
  const head = formatConnector({ family: carried.id, size, gender }).slice(0, -2);
  return { family: 'bung', size: head, gender, ...(seat ? { seat } : {}) };
}

/** A guess of what a bung carries is a bung. */
function onBung<T>(read: () => T): T {
  try {
    return read();
  } catch (error) {
    if (!(error instanceof ConnectorSyntaxError) || !error.suggestion) throw error;
    throw new ConnectorSyntaxError(error.message, error.position, error.length, error.hint, `bung ${error.suggestion}`, error.choices);
  }
}

function article(name: string): string {
  return `${/^[aeiou]/i.test(name) ? 'An' : 'A'} ${name}`;
}
