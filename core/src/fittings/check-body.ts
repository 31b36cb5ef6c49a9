import { familyById } from '../connectors/index.js';
import type { Body, Passage } from './body-schema.js';
import type { Fitting } from './fitting-schema.js';
import type { FittingKind } from './fitting-kinds.js';
import { quantity } from '../units/index.js';

/** What does not hold together in the body of a part, in words; empty where all is well. */
export function bodyProblems(fitting: Fitting, kind: FittingKind): string[] {
  const { body, ends } = fitting;
  if (!body) return kind.bodied ? [`${capital(kind.name)} have a body: say its size and where its ends are.`] : [];
  if (!kind.bodied) return [`${capital(kind.name)} have no body of their own.`];
  if (body.places.length !== ends.length)
    return [`${body.places.length} places for ${ends.length} ends: say for each where it looks, in their order.`];
  return [...placeProblems(body), ...passageProblems(fitting, body), ...thermostatProblems(body, kind)];
}

function placeProblems({ places, heightMm, acrossMm }: Body): string[] {
  return places.flatMap((place, i) => {
    const end = `End ${i + 1}`;
    if (place.faces === 'out' && place.clockDeg === undefined) return [`${end} looks out: say at which angle round the body.`];
    if ((place.heightMm ?? 0) > heightMm)
      return [`${end} lies ${quantity(place.heightMm!, 'mm')} up, and the body is ${quantity(heightMm, 'mm')} high.`];
    if ((place.outMm ?? 0) > acrossMm)
      return [`${end} lies ${quantity(place.outMm!, 'mm')} off the axis of a body ${quantity(acrossMm, 'mm')} across.`];
    return [];
  });
}

function passageProblems({ ends }: Fitting, { passages }: Body): string[] {
  const seen = new Set<string>();
  const problems = passages.flatMap((passage) => {
    const words = `The passage from end ${passage.from + 1} to end ${passage.to + 1}`;
    if (passage.from >= ends.length || passage.to >= ends.length) return [`${words}: the part has ${ends.length} ends.`];
    if (passage.from === passage.to && ends.length > 1) return [`${words} leads back to where it comes from.`];
    const round = ([end, by]: readonly [number, Passage['fromBy']]): boolean =>
      by !== undefined && familyById(ends[end]!.family).land !== 'seat';
    const notRound = (
      [
        [passage.from, passage.fromBy],
        [passage.to, passage.toBy],
      ] as const
    ).find(round);
    if (notRound) return [`${words}: only a filter post has a rim and a core, and end ${notRound[0] + 1} is none.`];
    const key = [`${passage.from}${passage.fromBy ?? ''}`, `${passage.to}${passage.toBy ?? ''}`].sort().join('|') + (passage.when ?? '');
    if (seen.has(key)) return [`${words} stands there twice.`];
    seen.add(key);
    return [];
  });
  if (problems.length > 0 || ends.length === 1) return problems;
  const blind = ends.findIndex((_, end) => !passages.some((p) => p.from === end || p.to === end));
  return blind < 0 ? [] : [`End ${blind + 1} leads nowhere: say which end it is joined to inside.`];
}

function thermostatProblems({ opensC, fullOpenC }: Body, kind: FittingKind): string[] {
  if (kind.id === 'thermostat' && opensC === undefined) return ['A thermostat says at how many degrees it begins to open.'];
  return opensC !== undefined && fullOpenC !== undefined && fullOpenC <= opensC
    ? [`Fully open at ${quantity(fullOpenC, '°C')}, and it begins at ${quantity(opensC, '°C')}: the other way round.`]
    : [];
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
