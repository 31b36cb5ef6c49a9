import { ConnectorSyntaxError } from './connector-syntax-error.js';
import { familyById, hasSize, type Family } from './family.js';
import { formatLand, landProblem, type Land } from './land.js';
import { dashToFraction, formatDash, fractionToNumber, quantity } from '../units/index.js';
import type { Token } from './scan-notation.js';

/** The size a token names in the given family, as that family writes it. @throws {ConnectorSyntaxError} */
export function readSize(token: Token, family: Family, bore?: Token, bolt?: Token): string {
  const fail = (message: string, hint: string): never => {
    throw new ConnectorSyntaxError(message, token.position, token.text.length, hint);
  };
  const size = family.sizeKind === 'flange' ? flangeSize(token, bore!, bolt, fail) : sizeIn(token, family, fail);
  if (hasSize(family, size)) return size;
  return fail(`${family.name} has no size ${showSize(family, size)}.`, `It comes in ${nearSizes(family, size)}.`);
}

function sizeIn(token: Token, family: Family, fail: (message: string, hint: string) => never): string {
  const [first] = token.parts;
  const number = (text: string | undefined): string => String(Number((text ?? '').replace(',', '.')));
  switch (family.sizeKind) {
    case 'dash':
      if (token.kind === 'dash') return number(first);
      if (token.kind === 'number' && /^\d+$/.test(token.text)) return number(token.text);
      if (token.kind === 'inch-thread') {
        const dash = threadsOfDashes(family, token);
        return dash ?? fail(`No ${family.name} has the thread ${inchText(token)}.`, `Its threads are ${threadsOf(family)}.`);
      }
      // a flare is named by its tube as well: 3/8 is -6
      if (token.kind === 'fraction' && family.shape === 'flare') {
        const dash = fractionToNumber(fractionText(token)) * 16;
        if (Number.isInteger(dash)) return String(dash);
      }
      return fail(`${family.name} sizes are dash sizes, not "${token.text}".`, 'Type the dash number: 6 or -6.');
    case 'inch':
      if (token.kind === 'inch-thread') return inchText(token);
      return fail(`"${token.text}" is not an inch thread.`, 'Type diameter and threads per inch: 9/16-18.');
    case 'pipe':
      if (token.kind === 'fraction') return fractionText(token);
      if (token.kind === 'inch-thread') return countedPipe(token, family);
      if (token.kind === 'number' && Number(number(token.text)) <= 2) return eighths(Number(number(token.text))) ?? number(token.text);
      return fail(`"${token.text}" is not a pipe size.`, 'Pipe sizes are written as fractions: 1/8, 1/4, 3/8, 1/2.');
    case 'metric':
      if (token.kind === 'metric') return metricText(token, family, fail);
      return fail(`"${token.text}" is not a metric thread.`, 'Type diameter and pitch: m14x1.5.');
    case 'bolt':
      if (token.kind === 'metric') return metricText(token, family, fail);
      if (token.kind === 'inch-thread') return inchText(token);
      return fail(`"${token.text}" is not a bolt thread.`, 'Type the bolt: banjo m12x1.5 or banjo 7/16-20.');
    case 'bore':
      // a flare of tube is known by the thread of its nut as well: 7/16-24 is that of 1/4
      if (token.kind === 'inch-thread') {
        const size = sizeOfThread(family, token);
        if (size !== undefined) return size;
        const threads = threadsOf(family);
        if (threads) return fail(`No ${family.name} has the thread ${inchText(token)}.`, `Its threads are ${threads}.`);
      }
      if (token.kind === 'fraction') return fractionText(token);
      if (token.kind === 'millimetres') return `${number(first)}mm`;
      if (token.kind === 'dash') return dashToFraction(Number(first));
      if (token.kind === 'number' && family.sizes.includes(number(token.text))) return number(token.text);
      // no hose of this trade is that many inches wide
      if (token.kind === 'number' && family.sizes.includes(`${number(token.text)}mm`)) return `${number(token.text)}mm`;
      // 12.7 is half an inch to the letter, and nothing else
      if (token.kind === 'number' && inchesOf(number(token.text))) return inchesOf(number(token.text))!;
      if (token.kind === 'number' && eighths(Number(number(token.text)))) return eighths(Number(number(token.text)))!;
      return fail(
        `"${token.text}" is not a hose bore.`,
        `Type it as ${family.words[0]} 3/8${family.sizes.includes('10mm') ? ` or ${family.words[0]} 10mm` : ''}.`,
      );
    case 'flange':
    case 'inner':
    case 'land':
      return fail(`"${token.text}" is not a size of ${family.name}.`, 'Type what it carries: orb10, npt 1/4.');
  }
}

/** Threads an inch of a pipe family in a size; undefined where it has none of it. */
export function pipeCount(family: Family, size: string): number | undefined {
  const pitchMm = family.sizes.includes(size) ? family.thread(size, 'male')?.pitchMm : undefined;
  return pitchMm === undefined ? undefined : Math.round((25.4 / pitchMm) * 2) / 2;
}

/** A pipe size with its count: where the count is another thread's, it is asked which of the two is meant. */
function countedPipe(token: Token, family: Family): string {
  const size = (token.parts[0] ?? '').replace(/[\s-]+/g, ' ');
  const count = Number(token.parts[1]);
  const own = pipeCount(family, size);
  if (own === undefined || own === count) return size;
  const british = /^(r|rp|g)$/.test(family.id);
  const other = british ? 'npt' : 'g';
  const has = pipeCount(familyById(other), size) === count;
  const choices = has
    ? british
      ? [`npt ${size} f`, `npt ${size} m`]
      : [`rc ${size} f`, `r ${size} m`, `g ${size} f`, `g ${size} m washer`]
    : [];
  throw new ConnectorSyntaxError(
    `${family.name} ${size} has ${own} threads an inch, not ${count}.`,
    token.position,
    token.text.length,
    has
      ? `${count} are those of ${british ? 'American' : 'British'} pipe: count again, or say which it is.`
      : 'Count again with a pitch gauge, or leave the count away.',
    undefined,
    choices,
  );
}

/** Bolts and bore of a flange, any that can be: `2x44 bore20`. */
function flangeSize(bolts: Token, bore: Token, bolt: Token | undefined, fail: (message: string, hint: string) => never): string {
  if (bolts.kind !== 'bolts') return fail(`"${bolts.text}" is not a pair of bolts.`, 'Type number and distance: 2x44.');
  const apart = Number(bolts.parts[0]!.replace(',', '.'));
  const hole = Number(bore.parts[0]!.replace(',', '.'));
  if (apart < 15 || apart > 150)
    return fail(
      `Bolts ${quantity(apart, 'mm')} apart are not a flange of this trade.`,
      `It takes ${quantity(15, 'mm', 150)}. Check the unit.`,
    );
  if (hole < 3 || hole >= apart)
    return fail(`A bore of ${quantity(hole, 'mm')} does not go between bolts ${quantity(apart, 'mm')} apart.`, 'Check both figures.');
  return `2x${apart}${bolt ? ` ${bolt.text.toLowerCase()}` : ''} bore${hole}`;
}

/** The dash size of a family that has this inch thread. */
export function threadsOfDashes(family: Family, token: Token): string | undefined {
  return family.sizeKind === 'dash' ? sizeOfThread(family, token) : undefined;
}

/** The size of a family that has this inch thread. */
function sizeOfThread(family: Family, token: Token): string | undefined {
  const wanted = inchText(token);
  return family.sizes.find((size) => family.thread(size, 'male')?.designation.startsWith(`${wanted} `));
}

function threadsOf(family: Family): string {
  return family.sizes.flatMap((size) => family.thread(size, 'male')?.designation.replace(/ \S+$/, '') ?? []).join(', ');
}

/** `1/4` of 0.25; undefined for what is no eighth or sixteenth. */
function eighths(value: number): string | undefined {
  const parts = value * 16;
  if (!Number.isInteger(parts) || Number.isInteger(value)) return undefined;
  const [whole, rest] = [Math.floor(value), parts % 16];
  const by = [8, 4, 2, 1].find((n) => rest % n === 0)!;
  return `${whole ? `${whole} ` : ''}${rest / by}/${16 / by}`;
}

/** `1/2` of 12.7 mm. */
function inchesOf(millimetres: string): string | undefined {
  const inches = Number(millimetres) / 25.4;
  const sixteenths = Math.round(inches * 16);
  if (Math.abs(inches * 16 - sixteenths) > 0.004 || sixteenths === 0) return undefined;
  return sixteenths % 16 === 0 ? String(sixteenths / 16) : eighths(sixteenths / 16);
}

/** A land, and the bolts round it where they are said: `62x71`, `62x71x2.6 bolts4x88`. @throws {ConnectorSyntaxError} */
export function readLandToken(token: Token, circle?: Token): string {
  const number = (text: string): number => Number(text.replace(',', '.'));
  const [insideMm, outsideMm, depthMm] = token.parts.map((part) => (part === undefined ? undefined : number(part)));
  const land: Land = { insideMm: insideMm!, outsideMm: outsideMm!, ...(depthMm === undefined ? {} : { depthMm }) };
  const problem = landProblem(land);
  if (problem)
    throw new ConnectorSyntaxError(
      problem,
      token.position,
      token.text.length,
      'Type inside and outside diameter, mm: 62x71, with depth 62x71x2.6.',
    );
  if (!circle) return formatLand(land);
  const [count, circleMm] = circle.parts.map((part) => number(part!)) as [number, number];
  if (count < 2 || count > 24 || circleMm > 600 || circleMm < 10)
    throw new ConnectorSyntaxError(
      `${count} bolts on a circle of ${quantity(circleMm, 'mm')} do not hold a face.`,
      circle.position,
      circle.text.length,
      'Type number and circle, mm: bolts 4x88.',
    );
  return `${formatLand(land)} bolts${count}x${circleMm}`;
}

function inchText(token: Token): string {
  return `${(token.parts[0] ?? '').replace(/[\s-]+/g, ' ').trim()}-${token.parts[1]}`;
}

function fractionText(token: Token): string {
  const [a, b, c] = token.parts;
  return c === undefined ? `${Number(a)}/${Number(b)}` : `${Number(a)} ${Number(b)}/${Number(c)}`;
}

function metricText(token: Token, family: Family, fail: (message: string, hint: string) => never): string {
  const diameter = Number((token.parts[0] ?? '').replace(',', '.'));
  if (token.parts[1] !== undefined) return `M${diameter}x${Number(token.parts[1].replace(',', '.'))}`;
  const choices = family.sizes.filter((size) => size.startsWith(`M${diameter}x`));
  return choices.length > 0
    ? fail(`M${diameter} comes in more than one pitch.`, `Measure the pitch and type it: ${choices.join(', ').toLowerCase()}.`)
    : fail(`There is no M${diameter} port in the library.`, 'Type diameter and pitch: m14x1.5.');
}

function showSize(family: Family, size: string): string {
  return family.sizeKind === 'dash' ? formatDash(Number(size)) : size;
}

function nearSizes(family: Family, size: string): string {
  const magnitude = (text: string): number => {
    const digits = /(\d+(?:\.\d+)?)(?:\/(\d+))?/.exec(
      text.replace(/^(\d+) (\d+)\/(\d+)$/, (_, w, t, b) => `${Number(w) + Number(t) / Number(b)}`),
    );
    return digits ? Number(digits[1]) / Number(digits[2] ?? 1) : 0;
  };
  const near = [...family.sizes]
    .sort((a, b) => Math.abs(magnitude(a) - magnitude(size)) - Math.abs(magnitude(b) - magnitude(size)))
    .slice(0, 5);
  return family.sizes
    .filter((s) => near.includes(s))
    .map((s) => showSize(family, s))
    .join(', ');
}
