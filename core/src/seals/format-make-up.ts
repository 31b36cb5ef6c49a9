import { formatQuantity, type UnitSystem } from '../units/index.js';
import type { MakeUp } from './make-up.js';

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

function quarters(value: number): string {
  const whole = Math.floor(value);
  const part = ['', '¼', '½', '¾'][Math.round((value - whole) * 4)] ?? '';
  return whole === 0 && part ? part : `${whole}${part}`;
}
