import { brokenExample, examples, ruleById, ruleIds, soundExample } from '../core/dist/index.js';

/**
 * The proof of the audit: from sound jobs, one fault for every rule. What is found, what is missed, and what is said against a job that is
 * sound; printed. `npm run audit-proof`.
 */
const holds = ({ severity, accepted }) => !accepted && (severity === 'leak' || severity === 'risk');
let [found, missed, wrong] = [0, 0, 0];
for (const id of ruleIds) {
  const { sound, words } = examples[id];
  const before = soundExample(id).findings;
  const against = before.filter((f) => holds(f) || f.rule === id);
  let after;
  try {
    after = brokenExample(id).findings;
  } catch (error) {
    after = [];
    console.log(`   threw: ${error.stack.split('\n').slice(0, 3).join(' ')}`);
  }
  const told = after.find((f) => f.rule === id);
  if (told) found += 1;
  else missed += 1;
  wrong += against.length;
  const beside = [...new Set(after.filter((f) => holds(f) && f.rule !== id).map((f) => f.rule))];
  console.log(`${told ? 'found ' : 'MISSED'}  ${ruleById(id).severity.padEnd(6)} ${id.padEnd(28)} ${words} (${sound})${beside.length > 0 ? `; beside it ${beside.join(', ')}` : ''}`);
  for (const f of against) console.log(`   against the sound job: ${f.rule}: ${f.message}`);
}
console.log(`\n${ruleIds.length} rules: ${found} faults found, ${missed} missed; ${wrong} said against sound jobs`);
process.exitCode = missed + wrong > 0 ? 1 : 0;
