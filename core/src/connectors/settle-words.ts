import { ConnectorSyntaxError } from './connector-syntax-error.js';
import { familyById, type Family } from './family.js';
import type { Reading } from './reading.js';
import { pipeCount, threadsOfDashes } from './read-size.js';
import type { Token } from './scan-notation.js';

/**
 * What several words say only together: `m14x1.5 orb` is the metric O-ring port, `9/16-18 o-ring` the boss of that thread, `m16x1.5 10l` a
 * 24° cone, `bsp` parallel or taper by what stands beside it.
 * @throws {ConnectorSyntaxError} with the choices, where it can be either
 */
export function settleWords(reading: Reading): Reading {
  settleBolt(reading);
  settleSeries(reading);
  settleFilter(reading);
  if (reading.boltWord && reading.family?.family.id === 'post') reading.seat ??= { seat: 'bolt', token: reading.boltWord };
  settleFlare(reading);
  settleVague(reading);
  settleSae(reading);
  settleBritish(reading);
  settleForm(reading);
  const { family, size, seat } = reading;
  if (family?.family.id === 'orb' && size?.kind === 'metric') {
    name(reading, 'metric');
    reading.seat ??= { seat: 'oring', token: family.token };
  }
  if (family?.family.id === 'orb' && seat?.seat === 'oring') delete reading.seat;
  if (!family && size?.kind === 'inch-thread' && seat?.seat === 'oring' && threadsOfDashes(familyById('orb'), size)) {
    name(reading, 'orb');
    delete reading.seat;
  }
  if (!family && size?.kind === 'metric' && /^\d+[ls]$/.test(seat?.seat ?? '')) name(reading, 'cone24');
  settleCone(reading);
  if (!family && seat?.seat === 'grommet') name(reading, 'stub');
  if (!family && size?.kind === 'dash' && reading.swivel) name(reading, 'flare37');
  if (!family && size?.kind === 'inch-thread') settlePipeCount(reading, size);
  return reading;
}

/** A metric thread with a cone is of 24° or of 60°: they share threads, and it has to be said. */
function settleCone(reading: Reading): void {
  const { family, size, seat } = reading;
  if ((family && family.family.id !== 'metric') || size?.kind !== 'metric' || seat?.seat !== 'cone') return;
  const { token } = seat;
  if (token.text.includes('60')) {
    name(reading, 'cone60');
    delete reading.seat;
  } else if (!/\d/.test(token.text))
    throw ambiguous(
      reading,
      token.position,
      token.text,
      'A cone of 24° or of 60°?',
      'They share threads and do not seal on one another: look at the cone.',
      ['cone24', 'cone60'].map((head) => `${head} ${size.text.toLowerCase()}`),
    );
}

/** Threads an inch by series and diameter. Source: ASME B1.1. */
const SERIES: Readonly<Record<string, Readonly<Record<string, number>>>> = {
  unc: { '1/4': 20, '5/16': 18, '3/8': 16, '7/16': 14, '1/2': 13, '9/16': 12, '5/8': 11, '3/4': 10, '7/8': 9, '1': 8 },
  unf: { '1/4': 28, '5/16': 24, '3/8': 24, '7/16': 20, '1/2': 20, '9/16': 18, '5/8': 18, '3/4': 16, '7/8': 14, '1': 12 },
  unef: { '1/4': 32, '5/16': 32, '3/8': 32, '7/16': 28, '1/2': 28, '9/16': 24, '5/8': 24, '3/4': 20, '7/8': 20, '1': 20 },
};

/** `1/2 unc` is 1/2-13: the series says how many threads an inch has. Beside a thread it must say the same. */
function settleSeries(reading: Reading): void {
  const { series, size } = reading;
  if (!series) return;
  const counts = SERIES[series.text.toLowerCase()]!;
  if (size?.kind === 'fraction' || (size?.kind === 'number' && size.text === '1')) {
    const diameter = size.kind === 'fraction' && size.parts.length === 2 ? `${Number(size.parts[0])}/${Number(size.parts[1])}` : size.text;
    const count = counts[diameter];
    if (count === undefined)
      throw ambiguous(
        reading,
        size.position,
        size.text,
        `No ${series.text.toUpperCase()} thread of ${size.text} is known here.`,
        'Type the threads an inch: 9/16-18.',
      );
    reading.size = { ...size, kind: 'inch-thread', parts: [diameter, String(count)] };
    return;
  }
  if (size?.kind === 'inch-thread') return;
  throw ambiguous(reading, series.position, series.text, 'A series of inch threads.', 'Type its diameter with it: 3/4 unf, or 3/4-16.');
}

/** A filter with a thread alone is met on its post; beside anything else it is a part. */
function settleFilter(reading: Reading): void {
  const { filter, family, size } = reading;
  if (!filter || family?.family.id === 'post') return;
  if (!family && (size?.kind === 'inch-thread' || size?.kind === 'metric')) return name(reading, 'post');
  throw new ConnectorSyntaxError(
    `"${filter.text}" is a part, not an end.`,
    filter.position,
    filter.text.length,
    'Type only what it screws on or into; the part itself is found in the store.',
    undefined,
    [],
    'filter',
  );
}

/** `flare` alone may be of 37° or 45°, unless only one of them has the thread. */
function settleFlare(reading: Reading): void {
  const { flare, family, size, sae } = reading;
  if (!flare || sae || family?.word !== 'flare') return;
  const heads = (['flare37', 'flare45'] as const).flatMap((id) => {
    const dash = size && dashOf(size, familyById(id));
    return dash === undefined ? [] : [{ id, head: `${id === 'flare37' ? 'an' : 'sae45-'}${dash}` }];
  });
  if (heads.length === 1) return name(reading, heads[0]!.id);
  if (heads.length === 0) return;
  throw ambiguous(
    reading,
    flare.position,
    flare.text,
    'A flare of 37° or of 45°?',
    'They share threads and do not seal on one another: look at the cone.',
    heads.map(({ head }) => head),
  );
}

function dashOf(size: Token, family: Family): string | undefined {
  if (size.kind === 'inch-thread') return threadsOfDashes(family, size);
  const [a, b] = size.parts;
  const dash = size.kind === 'fraction' && size.parts.length === 2 ? (Number(a) / Number(b)) * 16 : Number(/\d+/.exec(size.text)?.[0]);
  return family.sizes.includes(String(dash)) ? String(dash) : undefined;
}

/** `pipe`, `boss`: words of the trade that are no thread yet. */
function settleVague(reading: Reading): void {
  const { vague, family, size, gender } = reading;
  if (!vague || family) return;
  if (vague.heads.length === 1) return name(reading, vague.heads[0]!);
  const at = size?.text.trim() ?? '1/8';
  const choices = pipeChoices(at, gender?.gender);
  throw new ConnectorSyntaxError(
    'Which pipe thread?',
    vague.token.position,
    vague.token.text.length,
    'American or British, taper or parallel: the bench tells them apart.',
    undefined,
    choices,
  );
}

function pipeChoices(size: string, gender: 'male' | 'female' | undefined): string[] {
  const female = [`npt ${size} f`, `rc ${size} f`, `g ${size} f`];
  const male = [`npt ${size} m`, `r ${size} m`, `g ${size} m washer`];
  return gender === 'male' ? male : gender === 'female' ? female : [...female, ...male];
}

/** `1/8-27` is no thread of bolts: pipe is known by its count, and which pipe has it is named. */
function settlePipeCount(reading: Reading, size: Token): void {
  if (familyById('un').sizes.includes(`${size.parts[0]}-${size.parts[1]}`)) return;
  const families = ['npt', 'g', 'r'].filter((id) => pipeCount(familyById(id), size.parts[0]!) === Number(size.parts[1]));
  if (families.length === 0) return;
  if (families.length === 1 && families[0] === 'npt' && !reading.seat) return name(reading, 'npt');
  const { gender } = reading;
  const female = [`rc ${size.parts[0]} f`, `g ${size.parts[0]} f`];
  const male = [`r ${size.parts[0]} m`, `g ${size.parts[0]} m washer`];
  throw new ConnectorSyntaxError(
    'British pipe: parallel or taper?',
    size.position,
    size.text.length,
    'That count is British pipe. Parallel (g) seals on a washer, ring or cone; taper (r, rc) on its thread.',
    undefined,
    gender?.gender === 'male' ? male : gender?.gender === 'female' ? female : [...female, ...male],
  );
}

/** A bolt without its pitch belongs to a flange; anywhere else it is a thread whose pitch is missing. */
function settleBolt(reading: Reading): void {
  const { bolt, size, bore, family } = reading;
  if (!bolt || size?.kind === 'bolts' || bore || family?.family.sizeKind === 'flange') return;
  delete reading.bolt;
  if (size) throw ambiguous(reading, bolt.position, bolt.text, 'Two sizes.', 'Keep one of them.');
  reading.size = bolt;
}

/** `sae` with a flare is the 45° one; with a size alone it may be a boss as well. */
function settleSae(reading: Reading): void {
  const { sae, family, size } = reading;
  if (!sae) return;
  if (family?.word === 'flare') name(reading, 'flare45');
  if (family || !size || !/^[-#]?\s*\d+$/.test(size.text)) return;
  const dash = Number(size.text.replace(/\D/g, ''));
  throw ambiguous(reading, sae.position, sae.text, `SAE ${dash} is said of two ends.`, 'The O-ring boss, or the 45° flare?', [
    `orb${dash}`,
    `sae45-${dash}`,
  ]);
}

/** British pipe: with a washer, a ring, a cone or a swivel it is parallel; else it has to be said. */
function settleBritish(reading: Reading): void {
  const { bsp, form, seat, swivel, size, gender } = reading;
  if (!bsp) return;
  if (reading.family)
    throw ambiguous(
      reading,
      bsp.position,
      bsp.text,
      `Two families: "${reading.family.token.text}" and "${bsp.text}".`,
      'Keep one of them.',
    );
  const parallel = form ? form.form === 'parallel' : seat !== undefined || swivel !== undefined;
  if (form || parallel) {
    name(reading, parallel ? 'g' : 'r');
    return;
  }
  const at = size?.text.trim() ?? '1/8';
  const male = [`r ${at} m`, `g ${at} m washer`];
  const female = [`rc ${at} f`, `g ${at} f`];
  throw new ConnectorSyntaxError(
    'British pipe: parallel or taper?',
    bsp.position,
    bsp.text.length,
    'Parallel (g) seals on a washer, ring or cone; taper (r, rc) on its thread.',
    undefined,
    gender?.gender === 'male' ? male : gender?.gender === 'female' ? female : [...female, ...male],
  );
}

/** A form that the family has anyway says nothing new; one that it has not is another thread. */
function settleForm(reading: Reading): void {
  const { form, family, size, gender } = reading;
  if (!form || reading.bsp) return;
  const metric = family?.family.id === 'metric' || (!family && size?.kind === 'metric');
  if (metric && form.form === 'taper' && gender?.gender !== 'female') return name(reading, 'keg');
  if (metric && form.form === 'taper')
    throw ambiguous(
      reading,
      form.token.position,
      form.token.text,
      'A metric taper is only outside: its port is parallel, with a plain mouth.',
      `Type the port without the word; what screws into it is keg ${size!.text.trim().toLowerCase()} m.`,
    );
  const tapers = family ? family.family.shape === 'taper' && family.family.id !== 'rp' : false;
  if (tapers === (form.form === 'taper')) return;
  const known = family?.family.name ?? (metric ? 'A metric port' : 'This thread');
  throw ambiguous(
    reading,
    form.token.position,
    form.token.text,
    `${known.charAt(0).toUpperCase()}${known.slice(1)} is ${tapers ? 'tapered' : 'parallel'}.`,
    family?.family.id === 'npt' ? 'American parallel pipe is npsm.' : 'Leave the word away, or name the thread that it is.',
  );
}

function name(reading: Reading, id: string): void {
  const family: Family = familyById(id);
  const token = reading.family?.token ?? reading.bsp ?? reading.sae ?? reading.size!;
  reading.family = { family, token, word: family.words[0]! };
}

function ambiguous(
  _: Reading,
  position: number,
  text: string,
  message: string,
  hint: string,
  heads: readonly string[] = [],
): ConnectorSyntaxError {
  const { gender } = _;
  const genders = gender ? [gender.gender === 'male' ? 'm' : 'f'] : ['f', 'm'];
  const choices = heads.flatMap((head) => genders.map((g) => `${head} ${g}`));
  return new ConnectorSyntaxError(message, position, text.length, hint, undefined, choices);
}
