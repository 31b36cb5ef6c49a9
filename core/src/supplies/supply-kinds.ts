import { compounds } from '../seals/index.js';
import type { PartField } from './part-field.js';

/** A kind of part that is neither fitting nor hose: seals, what goes round a hose, what is used up. */
export interface SupplyKind {
  readonly id: string;
  readonly one: string;
  readonly many: string;
  /** Where it stands on the parts list. */
  readonly group: 'seals' | 'clamps and sealant' | 'hose' | 'adapters';
  readonly fields: readonly PartField[];
  /** Cut to length, and sold by the metre. */
  readonly byLength?: true;
}

const mm = (name: string, label: string, required = false): PartField => ({
  name,
  label,
  type: 'mm',
  min: 0,
  max: 5000,
  ...(required ? { required: true as const } : {}),
});
const size: PartField = { name: 'size', label: 'Size', type: 'text', required: true };
const material: PartField = { name: 'material', label: 'Material', type: 'text' };
const compound = (required: boolean): PartField => ({
  name: 'compound',
  label: 'Compound',
  type: 'choice',
  choices: compounds.map((c) => c.id),
  ...(required ? { required: true as const } : {}),
});
const heat: readonly PartField[] = [
  { name: 'minC', label: 'Lowest temperature', type: 'celsius', min: -273, max: 1000 },
  { name: 'maxC', label: 'Highest temperature', type: 'celsius', min: -273, max: 1000 },
];
const fluids: PartField = { name: 'fluids', label: 'Made for', type: 'fluids' };
const choice = (name: string, label: string, choices: readonly string[]): PartField => ({
  name,
  label,
  type: 'choice',
  choices,
  required: true,
});

const table = [
  {
    id: 'o-ring',
    one: 'O-ring',
    many: 'O-rings',
    group: 'seals',
    fields: [size, mm('insideMm', 'Inside diameter', true), mm('sectionMm', 'Cord', true), compound(true)],
  },
  {
    id: 'washer',
    one: 'washer',
    many: 'washers',
    group: 'seals',
    fields: [
      choice('style', 'Style', ['copper', 'aluminium', 'bonded', 'bulkhead']),
      size,
      mm('insideMm', 'Inside diameter'),
      mm('outsideMm', 'Outside diameter'),
      mm('thicknessMm', 'Thickness'),
      compound(false),
    ],
  },
  {
    id: 'gasket',
    one: 'gasket',
    many: 'gaskets',
    group: 'seals',
    fields: [choice('style', 'Goes on', ['flange', 'filter or plate']), { name: 'size', label: 'Size', type: 'text' }, material, ...heat],
  },
  {
    id: 'sealant',
    one: 'sealant',
    many: 'sealants',
    group: 'clamps and sealant',
    fields: [
      choice('style', 'Form', ['liquid', 'tape', 'paste']),
      fluids,
      ...heat,
      { name: 'cureHours', label: 'Cures in, hours', type: 'number', min: 0, max: 1000 },
      { name: 'joints', label: 'Joints a pack', type: 'number', min: 1, max: 10_000, whole: true },
    ],
  },
  {
    id: 'clamp',
    one: 'hose clamp',
    many: 'hose clamps',
    group: 'clamps and sealant',
    fields: [size, mm('fromMm', 'Closes from'), mm('toMm', 'Opens to'), material],
  },
  {
    id: 'sleeve',
    one: 'sleeve',
    many: 'sleeves',
    group: 'hose',
    byLength: true,
    fields: [mm('insideMm', 'Inside diameter', true), material, ...heat],
  },
  {
    id: 'shrink',
    one: 'heat shrink',
    many: 'heat shrinks',
    group: 'hose',
    byLength: true,
    fields: [mm('insideMm', 'Inside diameter as it comes', true), mm('shrunkMm', 'Inside diameter shrunk', true), material, ...heat],
  },
  { id: 'clip', one: 'clip', many: 'clips', group: 'clamps and sealant', fields: [mm('holdsMm', 'Holds a diameter of', true), material] },
  {
    id: 'tube',
    one: 'tube',
    many: 'tubes',
    group: 'hose',
    byLength: true,
    fields: [
      mm('outsideMm', 'Outside diameter', true),
      mm('wallMm', 'Wall', true),
      material,
      { name: 'workingBar', label: 'Working pressure', type: 'bar', min: 0, max: 2000 },
    ],
  },
  {
    id: 'bolt',
    one: 'bolt',
    many: 'bolts and posts',
    group: 'adapters',
    fields: [{ name: 'thread', label: 'Thread', type: 'text', required: true }, mm('lengthMm', 'Length under the head', true), material],
  },
  { id: 'lubricant', one: 'assembly lubricant', many: 'assembly lubricants', group: 'clamps and sealant', fields: [fluids] },
  { id: 'cap', one: 'protective cap', many: 'protective caps and plugs', group: 'clamps and sealant', fields: [size] },
  { id: 'label', one: 'label', many: 'labels', group: 'clamps and sealant', fields: [mm('insideMm', 'Goes over')] },
] as const satisfies readonly SupplyKind[];

export type SupplyKindId = (typeof table)[number]['id'];
export const supplyKinds: readonly (SupplyKind & { readonly id: SupplyKindId })[] = table;

/** The kind with this id. @throws {RangeError} */
export function supplyKind(id: string): SupplyKind & { readonly id: SupplyKindId } {
  const found = supplyKinds.find((kind) => kind.id === id);
  if (!found) throw new RangeError(`No kind of supply "${id}"`);
  return found;
}
