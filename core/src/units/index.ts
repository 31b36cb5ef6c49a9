export { units, houseUnits, convert, unitBySymbol, type Unit, type UnitSystem, type QuantityKind } from './unit.js';
export { QuantitySyntaxError } from './quantity-syntax-error.js';
export { parseQuantity, type ParsedQuantity, type QuantityOptions } from './parse-quantity.js';
export {
  formatQuantity,
  formatBoth,
  formatDecimal,
  formatInches,
  formatPackLength,
  formatRun,
  PACK_UNITS,
  type FormatOptions,
} from './format-quantity.js';
export { formatDash, dashToMm, dashToFraction } from './dash-size.js';
export { fractionToNumber } from './fraction.js';
export { hasQuantities, inHouseUnits, quantity, roundedDown, roundedUp, taped } from './quantity.js';
