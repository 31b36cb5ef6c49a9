import { ConnectorSyntaxError } from './connector-syntax-error.js';
import { familyById, type Family } from './family.js';
import type { Reading } from './reading.js';
import { threadsOfDashes } from './read-size.js';

/**
 * What several words say only together: `m14x1.5 orb` is the metric O-ring port, `9/16-18 o-ring` the boss of that thread, `m16x1.5 10l` a
 * 24° cone, `bsp` parallel or taper by what stands beside it.
 * @throws {ConnectorSyntaxError} with the choices, where it can be either
 */
export function settleWords(reading: Reading): Reading {
  settleBolt(reading);
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
  if (!family && size?.kind === 'dash' && reading.swivel) name(reading, 'flare37');
  return reading;
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
  if (metric && form.form === 'taper' && gender?.gender === 'male') return name(reading, 'keg');
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
