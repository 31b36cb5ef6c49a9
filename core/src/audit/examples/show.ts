import { standardFittings } from '../../fittings/index.js';
import { standardHoseEnds, standardHoses } from '../../hose/index.js';
import type { Catalogue } from '../../job/index.js';
import { standardSupplies } from '../../supplies/index.js';
import { judgeJob } from '../judge-job.js';
import type { JudgedJob } from '../judged.js';
import type { RuleId } from '../registry.js';
import type { Shown } from './change.js';
import { examples } from './examples.js';
import { jobOfSetUp } from './set-up.js';
import { soundSetUps, type SoundName } from './set-ups.js';

let known: Catalogue | undefined;
/** What everybody can get: examples do not hang on what a shop keeps. */
function everyPart(): Catalogue {
  return (known ??= { fittings: standardFittings(), hoses: standardHoses(), hoseEnds: standardHoseEnds(), supplies: standardSupplies() });
}

const sound = new Map<SoundName, Shown>();

/** A sound job with all its joints made up. */
export function soundJob(name: SoundName): Shown {
  const before = sound.get(name);
  if (before) return before;
  const catalogue = everyPart();
  const document = jobOfSetUp(soundSetUps[name], catalogue);
  const { lines } = judgeJob(document, catalogue);
  const made = document.lines.map((line) => ({ ...line, made: lines.find((l) => l.line.id === line.id)!.joints.map((j) => j.id) }));
  const shown: Shown = { document: { ...document, lines: made }, catalogue };
  sound.set(name, shown);
  return shown;
}

/** The sound job of a rule's example. */
export function soundExample(rule: RuleId): JudgedJob {
  return judgedExample(soundJob(examples[rule].sound));
}

/** The same with the one thing wrong that the rule is about. */
export function brokenExample(rule: RuleId): JudgedJob {
  const { sound: name, breaks } = examples[rule];
  return judgedExample(breaks(soundJob(name)));
}

function judgedExample({ document, catalogue, store }: Shown): JudgedJob {
  return judgeJob(document, catalogue, undefined, undefined, store);
}
