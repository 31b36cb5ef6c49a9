import { changedSince, placedParts } from '../../lines/index.js';
import { PRACTICE, rulesOf } from '../rule.js';
import { hoseName } from '../words.js';

/** What was found, what is in for now, and what was looked at: marks that somebody set, and that must be gone or made before the start. */
export const foundRules = rulesOf(
  'line',
  {
    provisional: {
      title: 'In for now',
      area: 'as found, provisional',
      severity: 'advice',
      before: 'start',
      why: 'What was put in for the mock-up, or to drive it home, is forgotten there.',
      hint: 'Put the final one in before the engine is started.',
      source: PRACTICE,
    },
    'as-found-open': {
      title: 'Found bad, and not put right',
      area: 'as found, provisional',
      severity: 'advice',
      before: 'start',
      why: 'A joint that was bad before leaks again.',
      hint: 'Put it right and say what was done, before the engine is started.',
      source: PRACTICE,
    },
    'changed-since-checked': {
      title: 'Changed since it was checked',
      area: 'people and papers',
      severity: 'advice',
      before: 'saw',
      why: 'What was looked at is not what stands there now.',
      hint: 'Look it over and check it again.',
      source: PRACTICE,
    },
    'joints-not-made': {
      title: 'Joints not made up',
      area: 'loose ends',
      severity: 'open',
      before: 'start',
      why: 'A nut that is only run on by hand is found with the engine running.',
      hint: 'Make them up, and tick them on the run sheet.',
      source: PRACTICE,
    },
  },
  ({ line, schools }, say) => {
    const severity = schools.limits.provisionalHolds ? 'risk' : 'advice';
    const { joints, ways, pieces, digest } = line;
    const { id: lineId, version, provisional = [], found = [], checked } = line.line;
    const fittings = placedParts(ways);
    const edit = (set: { readonly provisional: string[] }) => [{ do: 'edit-line' as const, id: lineId, version, set }];
    for (const { piece } of pieces)
      if (piece.provisional)
        say('provisional', { lineId, piece: piece.key }, `${hoseName(line.line, piece)} is provisional.`, { severity });
    for (const thing of provisional) {
      const joint = joints.find((j) => j.id === thing);
      const what = joint ? `Joint ${joint.number}` : fittings.find((f) => f.key === thing)?.fitting.name;
      const remedies = [{ label: 'It is final now', commands: edit({ provisional: provisional.filter((other) => other !== thing) }) }];
      if (what) say('provisional', { lineId, ...(joint ? { joint: joint.id } : {}) }, `${what} is provisional.`, { remedies, severity });
    }
    for (const { joint: id, state, action, words } of found) {
      const joint = joints.find((j) => j.id === id);
      if (!joint || state === 'sound' || action !== 'nothing yet') continue;
      const more = words.trim() ? ` (${words.trim()})` : '';
      say('as-found-open', { lineId, joint: id }, `Joint ${joint.number} was found so: ${state}${more}. Nothing is done about it yet.`);
    }
    const changed = checked ? changedSince(checked, digest, line) : [];
    if (changed.length > 0) say('changed-since-checked', { lineId }, `Changed since it was checked: ${changed.join(', ')}.`);
    const left = joints.filter((joint) => joint.state !== 'made');
    if (joints.length > 0 && left.length > 0)
      say('joints-not-made', { lineId }, `${left.length} of ${joints.length} joints are not ticked as made up.`);
  },
);
