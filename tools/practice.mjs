import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { build } from 'esbuild';
import { standardFittings, standardHoseEnds, standardHoses, standardSupplies } from '../core/dist/index.js';

/** The set-ups of practice with what is said of each: nothing red on what works, red on all that fails. */
export async function practice() {
  const root = join(import.meta.dirname, '..');
  const made = await build({
    entryPoints: [join(root, 'core/published/practice/index.ts')],
    bundle: true,
    write: false,
    format: 'esm',
    platform: 'node',
    external: ['@gewinde/core'],
  });
  // in the checkout, so that what it imports is found
  const folder = mkdtempSync(join(root, 'core/dist/practice-'));
  try {
    const file = join(folder, 'practice.mjs');
    writeFileSync(file, made.outputFiles[0].text);
    const { works, fails, judged } = await import(file);
    const catalogue = {
      fittings: standardFittings().map((f) => ({ ...f, priceMinor: 1000 })),
      hoses: standardHoses(),
      hoseEnds: standardHoseEnds(),
      supplies: standardSupplies(),
    };
    const rows = (setUps, sound) =>
      setUps.map((setUp) => {
        const { red, amber } = judged(setUp, catalogue);
        return { name: setUp.name, sound, red, amber, right: sound === (red.length === 0) };
      });
    return [...rows(works, true), ...rows(fails, false)];
  } finally {
    rmSync(folder, { recursive: true });
  }
}
