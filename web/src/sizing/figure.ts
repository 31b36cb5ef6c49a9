import { convert, formatQuantity, houseUnits, type QuantityKind, type UnitSystem } from '@gewinde/core';

/** Units of the core's figures, and what kind of quantity each is. */
const kinds: Readonly<Record<string, QuantityKind>> = {
  mm: 'length',
  'L/min': 'flow',
  'm/s': 'speed',
  bar: 'pressure',
  'bar abs': 'pressure',
  L: 'volume',
};

/** The unit of a figure as the house says it. */
export function houseUnit(unit: string, system: UnitSystem): string {
  const kind = kinds[unit];
  if (!kind || system === 'metric') return unit;
  const said = formatQuantity(1, kind, system).replace(/^[\d./ ]*\u2009/, '');
  return unit.endsWith(' abs') ? `${said} abs` : said;
}

/** A figure in the house's unit with so many decimals, without the unit: it stands in the head of its row. */
export function houseFigure(value: number | undefined, unit: string, decimals: number, system: UnitSystem): string {
  if (value === undefined || !Number.isFinite(value)) return '–';
  const kind = kinds[unit];
  if (!kind || system === 'metric') return value.toFixed(decimals).replace('-', '−');
  if (kind === 'length') return formatQuantity(value, kind, system, { bare: true, inchDecimals: 3 });
  return formatQuantity(value, kind, system, { bare: true, decimals: kind === 'pressure' ? Math.max(0, decimals - 1) : decimals });
}

/** A figure as the house reads it on an axis. */
export function houseValue(value: number, unit: string, system: UnitSystem): number {
  const kind = kinds[unit];
  return kind && system !== 'metric' ? convert(value, houseUnits.metric[kind], houseUnits.inch[kind]) : value;
}

export function houseTemperature(tempC: number, system: UnitSystem): number {
  return system === 'metric' ? tempC : Math.round(convert(tempC, '°C', '°F'));
}
