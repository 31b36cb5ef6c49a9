import { formatQuantity, type UnitSystem } from '../units/index.js';
import type { MakeUp } from './make-up.js';
import type { Metal } from './metals.js';

/** A make-up figure in a few characters, in house units: `25–35 N·m`, `1–1 1/2 flats`, `2–3 turns`, `gap 1 mm`. */
export function formatMakeUp(makeUp: MakeUp, system: UnitSystem = 'metric'): string {
  switch (makeUp.kind) {
    case 'torque':
    case 'clamp': {
      const low = formatQuantity(makeUp.low, 'torque', system, { bare: true });
      return `${low}–${formatQuantity(makeUp.high, 'torque', system)}`;
    }
    case 'flats':
    case 'turns':
      return `${quarters(makeUp.low)}–${quarters(makeUp.high)} ${makeUp.unit}`;
    case 'gap':
      return `gap ${formatQuantity(makeUp.high, 'length', system, { denominator: 32 })}`;
    case 'push':
      return 'push home, tug';
  }
}

/** Torques of a joint by the weaker of its metals: `18–21 N·m` for `aluminium, or not said`, `30–35 N·m` for `steel into steel`. */
export function torquesInWords(
  { torques = [] }: MakeUp,
  system: UnitSystem = 'metric',
): { readonly metal: Metal; readonly figure: string; readonly words: string; readonly source: string; readonly readings: string }[] {
  return torques.map((t) => ({
    metal: t.metal,
    figure: formatMakeUp({ kind: 'torque', low: t.low, high: t.high, unit: 'N·m' }, system),
    words:
      t.metal === 'steel'
        ? 'steel or iron into steel or iron'
        : torques.length === 1
          ? 'whatever the metals'
          : 'where either is aluminium or brass, or not said',
    source: t.source,
    // which sheet a part follows is its maker's to say: both figures stand there
    readings: (t.readings ?? [])
      .map((r) => `${formatMakeUp({ kind: 'torque', low: r.low, high: r.high, unit: 'N·m' }, system)} by ${r.source}`)
      .join('; '),
  }));
}

function quarters(value: number): string {
  const whole = Math.floor(value);
  const part = ['', '¼', '½', '¾'][Math.round((value - whole) * 4)] ?? '';
  return whole === 0 && part ? part : `${whole}${part}`;
}
