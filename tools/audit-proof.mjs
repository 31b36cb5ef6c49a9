import { requireBuild, requireModules, requireNode } from './needs.mjs';

requireNode();
requireModules();
requireBuild();
const { brokenExample, examples, holds, judgeJob, ruleById, ruleIds, sideBySide, soundExample, standsBeside } =
  await import('@gewinde/core');

/**
 * The proof of the audit: from sound jobs, one fault for every rule, and several at once. What is found, what is missed, and what is said against
 * what is sound; printed.
 */
const SEVERAL = 6;
const GROUPS = 60;
let [found, missed, wrong] = [0, 0, 0];
const besides = new Map();
for (const id of ruleIds) {
  const { sound, words } = examples[id];
  const against = soundExample(id).findings.filter((f) => holds(f) || f.rule === id);
  const after = brokenExample(id).findings;
  const told = after.some((f) => f.rule === id);
  if (told) found += 1;
  else missed += 1;
  wrong += against.length;
  const beside = [...new Set(after.filter((f) => holds(f) && f.rule !== id).map((f) => f.rule))];
  besides.set(id, beside);
  const more = beside.length > 0 ? `; beside it ${beside.join(', ')}` : '';
  console.log(`${told ? 'found ' : 'MISSED'}  ${ruleById(id).severity.padEnd(6)} ${id.padEnd(28)} ${words} (${sound})${more}`);
  for (const f of against) console.log(`   against the sound job: ${f.rule}: ${f.message}`);
}
console.log(`\n${ruleIds.length} rules, one fault each: ${found} found, ${missed} missed, ${wrong} said against sound jobs`);

let state = 1;
const chance = (below) => (state = (state * 48271) % 2147483647) % below;
const able = ruleIds.filter(standsBeside);
let [asked, missedOfSeveral, wrongOfSeveral] = [0, 0, 0];
for (let group = 0; group < GROUPS; group++) {
  const rules = Array.from({ length: SEVERAL }, () => able[chance(able.length)]);
  const sound = sideBySide(rules, () => false);
  const clean = judgeJob(sound.document, sound.catalogue).findings.filter(holds);
  const { document, catalogue } = sideBySide(rules, () => true);
  const { findings } = judgeJob(document, catalogue);
  const allowed = new Set(rules.flatMap((rule) => [rule, ...besides.get(rule)]));
  const extra = findings.filter((f) => holds(f) && !allowed.has(f.rule));
  const lost = rules.filter((rule) => !findings.some((f) => f.rule === rule));
  asked += rules.length;
  missedOfSeveral += lost.length;
  wrongOfSeveral += clean.length + extra.length;
  if (lost.length + clean.length + extra.length > 0)
    console.log(
      `group ${group}: ${rules.join(', ')}\n   missed ${lost.join(', ') || 'none'}; false ${[...clean, ...extra].map((f) => `${f.rule}: ${f.message}`).join(' | ') || 'none'}`,
    );
}
console.log(
  `${GROUPS} jobs of ${SEVERAL} faults: ${asked - missedOfSeveral} of ${asked} found, ${missedOfSeveral} missed; ${wrongOfSeveral} false`,
);
process.exitCode = missed + wrong + missedOfSeveral + wrongOfSeveral > 0 ? 1 : 0;
