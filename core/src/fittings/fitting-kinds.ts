/** What a fitting is for; the chain solver, the catalogue's filters and the drawings go by it. */
export interface FittingKind {
  readonly id: string;
  /** In the plural, as it heads a list: `elbows`. */
  readonly name: string;
  readonly ends: readonly [least: number, most: number];
  /** Made to do something to the flow: never taken as a mere adapter, only when it is asked for. */
  readonly function?: string;
  /** Closes an open end. */
  readonly closes?: true;
  /** Cannot be screwed in: it becomes part of something. */
  readonly welded?: true;
  /** Goes through a wall: taken where one is to be passed, not as a mere joiner. */
  readonly throughWall?: true;
  /** Has a body of its own, with its ends at their places on it and passages inside. */
  readonly bodied?: true;
  /** A shell round what it holds, not a block with channels. */
  readonly hollow?: true;
}

export const fittingKinds = [
  { id: 'adapter', name: 'adapters', ends: [2, 2] },
  { id: 'union', name: 'unions', ends: [2, 2] },
  { id: 'reducer', name: 'reducers', ends: [2, 2] },
  { id: 'elbow', name: 'elbows', ends: [2, 2] },
  { id: 'swivel', name: 'swivels', ends: [2, 2] },
  { id: 'tee', name: 'tees', ends: [3, 3] },
  { id: 'cross', name: 'crosses', ends: [4, 4] },
  { id: 'banjo', name: 'banjos', ends: [2, 3] },
  { id: 'bulkhead', name: 'bulkhead fittings', ends: [2, 2], throughWall: true },
  { id: 'flange', name: 'flanges', ends: [2, 2] },
  { id: 'coupler', name: 'couplers', ends: [2, 2] },
  { id: 'sensor adapter', name: 'sensor adapters', ends: [2, 2] },
  { id: 'plug', name: 'plugs', ends: [1, 1], closes: true },
  { id: 'cap', name: 'caps', ends: [1, 1], closes: true },
  { id: 'drain plug', name: 'drain plugs', ends: [1, 1], function: 'closes the drain of a pan, and catches chips' },
  { id: 'filler cap', name: 'filler caps with a port', ends: [2, 3], function: 'closes the filler and takes a line' },
  { id: 'bung', name: 'weld bungs', ends: [1, 2], welded: true },
  { id: 'restrictor', name: 'restrictors', ends: [2, 2], function: 'throttles the flow' },
  { id: 'filter', name: 'inline filters', ends: [2, 2], function: 'filters, and needs cleaning' },
  { id: 'check valve', name: 'check valves', ends: [2, 2], function: 'lets flow pass one way only' },
  { id: 'dry-break', name: 'dry-breaks', ends: [2, 2], function: 'shuts when it is parted' },
  { id: 'post bolt', name: 'post bolts', ends: [2, 2], function: 'holds a stack together' },
  { id: 'plate', name: 'plates', ends: [2, 12], bodied: true, function: 'leads the oil out beside the filter' },
  { id: 'spacer', name: 'spacers', ends: [2, 2], bodied: true, function: 'adds height' },
  { id: 'thermostat', name: 'thermostats', ends: [2, 8], bodied: true, function: 'opens with heat' },
  { id: 'filter head', name: 'filter heads', ends: [2, 12], bodied: true, function: 'holds a filter away from the block' },
  { id: 'spin-on filter', name: 'spin-on filters', ends: [1, 1], bodied: true, hollow: true, closes: true, function: 'filters' },
  { id: 'canister', name: 'filter canisters', ends: [2, 6], bodied: true, hollow: true, function: 'filters, and its element is changed' },
  { id: 'cooler', name: 'coolers', ends: [2, 6], bodied: true, hollow: true, function: 'cools' },
  { id: 'heat exchanger', name: 'heat exchangers', ends: [4, 8], bodied: true, hollow: true, function: 'cools by water' },
  { id: 'valve', name: 'valves', ends: [2, 6], bodied: true, function: 'shuts or turns the flow' },
  { id: 'manifold', name: 'manifolds', ends: [2, 12], bodied: true, function: 'shares the flow out' },
  { id: 'tank', name: 'tanks', ends: [1, 12], bodied: true, hollow: true, function: 'holds fluid' },
] as const satisfies readonly FittingKind[];

export type FittingKindId = (typeof fittingKinds)[number]['id'];

const byId: ReadonlyMap<string, FittingKind> = new Map(fittingKinds.map((kind) => [kind.id, kind]));

/** The kind with this id. @throws {RangeError} */
export function fittingKind(id: string): FittingKind {
  const found = byId.get(id);
  if (!found) throw new RangeError(`No kind of fitting "${id}"`);
  return found;
}

const isClosingKind = (k: FittingKind): boolean =>
  !k.bodied && (k.closes === true || k.welded === true || k.id === 'drain plug' || k.id === 'filler cap');

/** Kinds by what a shop looks for: what joins, what branches off, what closes, what does something to the flow, what has a body. */
export const kindGroups: readonly { readonly name: string; readonly kinds: readonly FittingKind[] }[] = (
  [
    ['joining', (k) => !k.bodied && !k.function && !k.closes && !k.welded && k.ends[0] <= 2],
    ['branching', (k) => !k.bodied && k.ends[0] > 2],
    ['closing and welding in', isClosingKind],
    ['in the flow', (k) => !k.bodied && k.function !== undefined && k.id !== 'post bolt' && !isClosingKind(k)],
    ['with a body, and what holds it', (k) => k.bodied === true || k.id === 'post bolt'],
  ] as readonly [string, (kind: FittingKind) => boolean][]
).map(([name, belongs]) => ({ name, kinds: (fittingKinds as readonly FittingKind[]).filter(belongs) }));
