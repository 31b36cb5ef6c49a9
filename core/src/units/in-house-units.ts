import { formatQuantity } from './format-quantity.js';
import { units, houseUnits, type QuantityKind, type UnitSystem } from './unit.js';

/** Units of the core's sentences that another house calls otherwise, the longer ones first. */
const said: readonly { readonly symbol: string; readonly kind: QuantityKind }[] = units
  .filter(({ symbol, kind }) => houseUnits.metric[kind] === symbol && houseUnits.inch[kind] !== symbol)
  .map(({ symbol, kind }) => ({ symbol, kind }))
  .sort((a, b) => b.symbol.length - a.symbol.length);

const NUMBER = '[-−]?\\d+(?:\\.\\d+)?';
const UNIT = said.map(({ symbol }) => symbol).join('|');
/** `3 bar`, `0.5 to 1 L/min`, `3–4 mm`; not `mmol`, nor a number in the middle of a word. */
const FIGURE = new RegExp(`(?<![\\w.])(${NUMBER})(?:( to | and |–)(${NUMBER}))?([ \\u2009\\u00a0])(${UNIT})(?![\\w/·²³])`, 'gu');

/**
 * A sentence with its figures in the units of the house: the core says them in its own (mm, bar, °C, L/min, m/s, L, kW, N·m).
 * @example inHouseUnits('it bears 7 bar', 'inch') // 'it bears 102 psi'
 */
export function inHouseUnits(text: string, system: UnitSystem): string {
  if (system === 'metric') return text;
  return text.replace(FIGURE, (_, first: string, between: string | undefined, second: string | undefined, gap: string, symbol: string) => {
    const { kind } = said.find((s) => s.symbol === symbol)!;
    const figure = (figures: string): string => {
      const value = Number(figures.replace('−', '-'));
      // as exact as it was said
      const decimals = (figures.split('.')[1]?.length ?? 0) + (kind === 'flow' ? 1 : kind === 'pressure' ? -1 : 0);
      const options = kind === 'length' ? { inchDecimals: Math.min(3, decimals + 2) } : { decimals: Math.max(0, decimals) };
      return formatQuantity(value, kind, system, { ...options, bare: true });
    };
    const both = between !== undefined && second !== undefined ? `${between}${figure(second)}` : '';
    return `${figure(first)}${both}${gap}${houseUnits[system][kind]}`;
  });
}
