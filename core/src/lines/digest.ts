import { formatConnector } from '../connectors/index.js';
import type { Fitting } from '../fittings/index.js';
import type { Hose, HoseEnd } from '../hose/index.js';
import { formatPortThread, portDigestKey, type Checked } from '../job/index.js';
import { contentHash as hash } from '../schema/index.js';
import { FLANGE_BOLT, type Consumable } from '../seals/index.js';
import { digestByNames } from './digest-by-names.js';
import { partsIn, type Looked, type Part } from './looked-at.js';

/** How a check was noted. Before this one, parts went by their names and ports by their labels. */
const FORM = 'by what bears';
const PART = 'part ';

/**
 * A hash of each thing that bears on whether a line seals and how long its hoses are, as it is when the line is checked: the thread of its
 * ports and the metal they are in, the way and hoses as chosen, the dimensions and limits of the parts, the verdict of every joint. What a
 * thing is called, costs, weighs, where it is bought and whether it is offered any more is not looked at.
 */
export function digestOf({ line, portA, portB, ways, pieces, joints }: Looked): Record<string, string> {
  const digest: Record<string, string> = { form: FORM, service: hash([line.service, line.fluid ?? null]) };
  for (const { side, component, port } of [portA, portB]) {
    const { sensor } = port;
    digest[portDigestKey(side)] = hash([
      formatPortThread(port),
      component.metal ?? null,
      sensor ? [formatConnector(sensor.connector), sensor.movedTo !== null] : null,
    ]);
  }
  ways.forEach(({ kept: { chosen } }, at) => {
    const link = ({ id, inEnd, outEnd }: { id: string; inEnd: number; outEnd: number }) => [id, inEnd, outEnd];
    const words = at === 0 ? 'way at A' : at === ways.length - 1 ? 'way at B' : `way ${at + 1}`;
    digest[ways.length === 1 ? 'way' : words] = hash(
      chosen && [chosen.fittings.map(link), chosen.branches.map((b) => [b.at, b.end, b.to, b.fittings.map(link)])],
    );
  });
  pieces.forEach(({ piece, cut }, i) => {
    const which = pieces.length > 1 ? `hose ${i + 1}` : 'hose';
    digest[which] = hash([piece.hose, piece.endA, piece.endB, piece.source, piece.hasMm ?? null]);
    digest[`length of ${which}`] = hash([piece.length?.mm ?? null, piece.length?.as ?? null, piece.slackPercent, cut?.cutMm ?? null]);
  });
  for (const part of partsIn({ ways, pieces })) digest[`${PART}${part.id}`] = hash(bearing(part));
  digest['verdicts'] = hash(joints.map((j) => [j.id, j.mating.outcome, j.mating.kind, sealedBy(j.mating.seal?.consumables)]));
  return digest;
}

/** What a joint seals by; what only holds it was not bought with it once, and bears on nothing that was checked. */
function sealedBy(consumables: readonly Consumable[] = []): readonly Consumable[] {
  return consumables.filter(({ item }) => item !== FLANGE_BOLT);
}

/** What is not as it was when the line was checked, in words. Nothing, where nothing was noted then. */
export function changedSince({ digest: then }: Checked, now: Readonly<Record<string, string>>, looked: Looked): string[] {
  if (Object.keys(then).length === 0) return [];
  const is = then['form'] === FORM ? now : digestByNames(looked, now, hash);
  const changed = [...new Set([...Object.keys(then), ...Object.keys(is)])].filter((name) => then[name] !== is[name]);
  // a part that came or went with its way or hose is told by that
  const causes = changed.filter(
    (name) => name !== 'verdicts' && !(name.startsWith(PART) && (then[name] === undefined || is[name] === undefined)),
  );
  const names = new Map(partsIn(looked).map(({ id, name }) => [`${PART}${id}`, `${PART}${name}`]));
  return (causes.length > 0 ? causes : changed).map((name) => names.get(name) ?? name);
}

type Field = keyof Fitting | keyof Hose | keyof HoseEnd;
/** Which fields of a part can make a joint leak, or a hose too short or too weak. A new field must say. */
const bears: { readonly [F in Field]: boolean } = {
  id: false,
  name: false,
  source: false,
  supplier: false,
  code: false,
  listed: false,
  priceMinor: false,
  pricePerMetreMinor: false,
  shelf: false,
  leadDays: false,
  retired: false,
  core: true,
  rarity: false,
  massG: false,
  massGPerM: false,
  hexMm: false,
  kind: true,
  ends: true,
  angleDeg: true,
  lengthMm: true,
  legsMm: true,
  boreMm: true,
  material: true,
  maxBar: true,
  minTempC: true,
  maxTempC: true,
  oneWay: true,
  body: true,
  construction: true,
  dash: true,
  metricMm: true,
  outsideMm: true,
  bendRadiusMm: true,
  workingBar: true,
  burstBar: true,
  vacuumBar: true,
  connector: true,
  aMm: true,
  bMm: true,
  socketMm: true,
  socketLengthMm: true,
};

function bearing(part: Part): unknown {
  const fields = Object.entries(part).filter(([field]) => bears[field as Field]);
  return fields.sort(([a], [b]) => (a < b ? -1 : 1)).map(([field, value]) => [field, unnamed(value)]);
}

/** Without what its places are called. */
function unnamed(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(unnamed);
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(Object.entries(value).flatMap(([key, v]) => (key === 'name' ? [] : [[key, unnamed(v)]])));
}
