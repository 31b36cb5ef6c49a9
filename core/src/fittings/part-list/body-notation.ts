import { endFacings, passageWays, type Body, type EndPlace, type Passage } from '../body-schema.js';
import { CellError } from './read-cell.js';

/** `round 90 x 32`: shape, across, height, mm. */
export function formatBody({ shape, acrossMm, heightMm }: Pick<Body, 'shape' | 'acrossMm' | 'heightMm'>): string {
  return `${shape} ${acrossMm} x ${heightMm}`;
}

/** @throws {CellError} */
export function readBody(text: string): Pick<Body, 'shape' | 'acrossMm' | 'heightMm'> {
  const found = /^(round|square)\s*(\d+(?:[.,]\d+)?)\s*[x×]\s*(\d+(?:[.,]\d+)?)(?:\s*mm)?$/i.exec(text.trim());
  if (!found) throw new CellError(`"${text}" is not a body. Type shape, across and height in mm: round 90 x 32.`);
  return { shape: found[1]!.toLowerCase() as Body['shape'], acrossMm: figure(found[2]!), heightMm: figure(found[3]!) };
}

/** `block face: down; filter face: up; to cooler: out 90° h14 r45`: where each end is, in their order. */
export function formatPlaces(places: readonly EndPlace[]): string {
  return places.map(formatPlace).join('; ');
}

function formatPlace({ name, faces, clockDeg, heightMm, outMm }: EndPlace): string {
  const figures = [
    clockDeg === undefined ? '' : `${clockDeg}°`,
    heightMm === undefined ? '' : `h${heightMm}`,
    outMm === undefined ? '' : `r${outMm}`,
  ].filter(Boolean);
  return [`${name ? `${name}: ` : ''}${faces}`, ...figures].join(' ');
}

/** @throws {CellError} */
export function readPlaces(text: string): EndPlace[] {
  return text
    .split(';')
    .filter((one) => one.trim() !== '')
    .map(readPlace);
}

function readPlace(text: string): EndPlace {
  const at = text.indexOf(':');
  const name = text.slice(0, Math.max(0, at)).trim();
  const [faces, ...figures] = text
    .slice(at + 1)
    .trim()
    .toLowerCase()
    .split(/\s+/);
  const facing = endFacings.find((f) => f === faces);
  if (!facing) throw new CellError(`"${text.trim()}" does not say where an end looks: down, up or out.`);
  const place: { -readonly [K in keyof EndPlace]: EndPlace[K] } = { ...(name ? { name } : {}), faces: facing };
  for (const word of figures) {
    const found = /^([hr])?(\d+(?:[.,]\d+)?)(°|deg)?$/.exec(word);
    if (!found || (found[1] && found[3]))
      throw new CellError(`"${word}" has no meaning here. Type angle, height and radius: out 90° h14 r45.`);
    const value = figure(found[2]!);
    if (found[1] === 'h') place.heightMm = value;
    else if (found[1] === 'r') place.outMm = value;
    else place.clockDeg = value % 360;
  }
  return place;
}

/** `1 rim - 3; 4 - 2 rim; 1 core - 2 core; 5 > 6 when hot bore 8`: which end leads to which, counted from 1; `>` for one way only. */
export function formatPassages(passages: readonly Passage[]): string {
  return passages.map(formatPassage).join('; ');
}

function formatPassage({ from, fromBy, to, toBy, oneWay, when, boreMm }: Passage): string {
  return [from + 1, fromBy, oneWay ? '>' : '-', to + 1, toBy, when && `when ${when}`, boreMm !== undefined && `bore ${boreMm}`]
    .filter(Boolean)
    .join(' ');
}

/** @throws {CellError} */
export function readPassages(text: string): Passage[] {
  return text
    .split(';')
    .filter((one) => one.trim() !== '')
    .map(readPassage);
}

const PASSAGE = new RegExp(
  `^(\\d{1,2})\\s*(${passageWays.join('|')})?\\s*([->–])\\s*(\\d{1,2})\\s*(${passageWays.join('|')})?` +
    `(?:\\s+when\\s+([a-z]+(?: [a-z]+)*?))?(?:\\s+bore\\s*(\\d+(?:[.,]\\d+)?)(?:\\s*mm)?)?$`,
  'i',
);

function readPassage(text: string): Passage {
  const found = PASSAGE.exec(text.trim());
  if (!found) throw new CellError(`"${text.trim()}" is not a passage. Type the ends it joins, counted from 1: 1 - 3, 2 > 4 when hot.`);
  const [, from, fromBy, arrow, to, toBy, when, bore] = found;
  const by = (said: string | undefined) => passageWays.find((way) => way === said?.toLowerCase());
  const [a, b] = [by(fromBy), by(toBy)];
  return {
    from: Number(from) - 1,
    ...(a ? { fromBy: a } : {}),
    to: Number(to) - 1,
    ...(b ? { toBy: b } : {}),
    ...(arrow === '>' ? { oneWay: true as const } : {}),
    ...(when ? { when: when.toLowerCase() } : {}),
    ...(bore === undefined ? {} : { boreMm: figure(bore) }),
  };
}

function figure(text: string): number {
  return Number(text.replace(',', '.'));
}
