import { coverageOf, missingOf, standardFittings, wantedParts } from '../core/dist/index.js';
import { practice } from './practice.mjs';

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
const unmade = missingOf(fittings);
console.log(
  `\n${'parts asked for by name'.padEnd(36)} ${String(wantedParts.length - unmade.length).padStart(4)} of ${String(wantedParts.length).padStart(4)}${unmade.length ? `   missing: ${unmade.join('; ')}` : ''}`,
);
missing += unmade.length;
console.log(`\n${missing} missing`);

/** What practice has proved, and what it has seen fail, with what the app says of each. */
const rows = await practice();
const wrong = rows.filter((row) => !row.right);
const sound = rows.filter((row) => row.sound);
const amber = sound.filter((row) => row.amber.length > 0);
console.log(
  `\n${sound.length} set-ups that work, ${sound.length - wrong.filter((r) => r.sound).length} without red (${amber.length} with a word of advice or amber)`,
);
console.log(`${rows.length - sound.length} set-ups that fail, ${rows.length - sound.length - wrong.filter((r) => !r.sound).length} in red`);
for (const { name, sound: works, red } of wrong)
  console.log(`  wrong: ${works ? `red on ${name}: ${red.join('; ')}` : `nothing red on ${name}`}`);
