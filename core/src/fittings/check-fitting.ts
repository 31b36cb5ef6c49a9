import {
  bareConnector,
  endForm,
  familyById,
  formatConnector,
  hasSize,
  readLand,
  seatsFor,
  turns,
  type Connector,
} from '../connectors/index.js';
import { bodyProblems } from './check-body.js';
import { fittingKind } from './fitting-kinds.js';
import { kindOf, type Fitting } from './fitting.js';
import { quantity } from '../units/index.js';

/** What does not hold together in a part. */
export interface FittingProblem {
  readonly field: keyof Fitting;
  readonly message: string;
}

/** Figures that are something or unknown, with their units. */
const measures = [
  ['lengthMm', 'mm'],
  ['hexMm', 'mm'],
  ['boreMm', 'mm'],
  ['massG', 'g'],
  ['maxBar', 'bar'],
] as const;

/** Checks what a schema cannot: that the ends exist, that kind, ends, angle, legs and bore agree. Empty where all is well. */
export function checkFitting(fitting: Fitting): FittingProblem[] {
  const problems: FittingProblem[] = [];
  const say = (field: keyof Fitting, message: string): void => void problems.push({ field, message });
  for (const end of fitting.ends)
    if (!isKnownConnector(end)) say('ends', `No connector "${end.family} ${end.size} ${end.gender}" is known here.`);
  if (problems.length > 0) return problems;
  const kind = fittingKind(kindOf(fitting));
  const [least, most] = kind.ends;
  if (fitting.ends.length < least || fitting.ends.length > most) {
    const wanted = least === most ? String(least) : `${least} to ${most}`;
    say(
      'kind',
      `${kind.name.charAt(0).toUpperCase()}${kind.name.slice(1)} have ${wanted} ${most === 1 ? 'end' : 'ends'}, and this part has ${fitting.ends.length}.`,
    );
  }
  for (const problem of bodyProblems(fitting, kind)) say('body', problem);
  if (kind.id === 'elbow' && !fitting.angleDeg) say('angleDeg', 'An elbow needs its angle.');
  if (fitting.angleDeg && fitting.ends.length > 2) say('angleDeg', 'A part with branches runs straight: leave its angle empty.');
  if (fitting.angleDeg && fitting.body) say('angleDeg', 'A body says where its ends look: leave the angle empty.');
  if (fitting.legsMm && fitting.legsMm.length !== fitting.ends.length)
    say('legsMm', `${fitting.legsMm.length} legs for ${fitting.ends.length} ends.`);
  for (const [field, unit] of measures) if (fitting[field] === 0) say(field, `Leave it empty where it is not known: 0 ${unit} cannot be.`);
  const widest = Math.max(...fitting.ends.map((e) => Math.max(endForm(e).boreMm, endForm(e).outsideMm)));
  if (fitting.boreMm !== undefined && fitting.boreMm > widest)
    say('boreMm', `A bore of ${quantity(fitting.boreMm, 'mm')} does not go through ${fitting.ends.map(formatConnector).join(' and ')}.`);
  if (fitting.minTempC !== undefined && fitting.maxTempC !== undefined && fitting.minTempC >= fitting.maxTempC)
    say('maxTempC', 'The highest temperature is not above the lowest.');
  if (fitting.oneWay && fitting.ends.length !== 2) say('oneWay', 'Only a part with two ends can have a direction.');
  return problems;
}

/** Its family has it in this size, gender and seat. */
export function isKnownConnector(end: Connector): boolean {
  try {
    const family = familyById(end.family);
    const bare = bareConnector(end);
    const seat =
      end.seat === undefined ||
      family.carries === true ||
      seatsFor(family, end.size, end.gender).includes(end.seat) ||
      (family.land === 'seat' && readLand(end.seat) !== undefined);
    return hasSize(family, end.size) && family.genders.includes(end.gender) && seat && (!bare.swivel || turns(family, end.gender));
  } catch (error) {
    if (error instanceof RangeError) return false;
    throw error;
  }
}
