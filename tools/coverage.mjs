import { coverageOf, standardFittings } from '../core/dist/index.js';

/** What of the makers' common adapters the standard catalogue has, row by row, and what is missing. */
const fittings = standardFittings();
let missing = 0;
console.log(`${fittings.length} standard fittings\n`);
for (const { from, to, angleDeg, wanted, missing: gone } of coverageOf(fittings)) {
  const row = `${from} to ${to}${angleDeg ? `, ${angleDeg}°` : ''}`;
  console.log(
    `${row.padEnd(36)} ${String(wanted - gone.length).padStart(4)} of ${String(wanted).padStart(4)}${gone.length ? `   missing: ${gone.join('; ')}` : ''}`,
  );
  missing += gone.length;
}
console.log(`\n${missing} missing`);
