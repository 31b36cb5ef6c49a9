import { constructions } from '../hose/index.js';
import type { PartField } from './part-field.js';

const mm = (name: string, label: string, min = 0): PartField => ({ name, label, type: 'mm', required: true, min, max: 5000 });
const construction: PartField = {
  name: 'construction',
  label: 'Construction',
  type: 'choice',
  choices: constructions.map((c) => c.id),
  required: true,
};
const dash: PartField = { name: 'dash', label: 'Size, sixteenths', type: 'number', required: true, min: 1, max: 64, whole: true };
const metricBore: PartField = { name: 'metricMm', label: 'Metric bore it is called by', type: 'mm', min: 1, max: 120 };
const celsius = (name: string, label: string): PartField => ({ name, label, type: 'celsius', required: true, min: -100, max: 500 });

/** What a hose by the metre says of itself. */
export const hoseFields: readonly PartField[] = [
  construction,
  dash,
  metricBore,
  mm('boreMm', 'Bore'),
  mm('outsideMm', 'Outside diameter'),
  { name: 'core', label: 'Core, of PTFE', type: 'choice', choices: ['plain', 'conductive'] },
  mm('bendRadiusMm', 'Least bend radius'),
  { name: 'workingBar', label: 'Working pressure', type: 'bar', required: true, min: 0, max: 2000 },
  { name: 'burstBar', label: 'Least burst pressure', type: 'bar', min: 0, max: 8000 },
  { name: 'vacuumBar', label: 'Vacuum it bears', type: 'bar', min: 0, max: 1 },
  { name: 'massGPerM', label: 'Mass, grams a metre', type: 'number', min: 0, max: 50_000 },
  celsius('minTempC', 'Lowest temperature'),
  celsius('maxTempC', 'Highest temperature'),
];

/** What a hose end says of itself, beside its connector. */
export const hoseEndFields: readonly PartField[] = [
  construction,
  dash,
  metricBore,
  { name: 'angleDeg', label: 'Angle, degrees', type: 'number', required: true, min: 0, max: 180 },
  mm('aMm', 'A: from where the hose bottoms to the seat', -500),
  mm('bMm', 'B: from the hose axis to the seat'),
  mm('hexMm', 'Across flats'),
  mm('boreMm', 'Bore'),
  mm('socketMm', 'Socket, outside'),
  mm('socketLengthMm', 'Socket, length'),
  mm('bendRadiusMm', 'Radius of its bend'),
  { name: 'material', label: 'Metal of its nut', type: 'text' },
];
