import { fluidById, type FluidId } from '../fluids/index.js';

import { figuresOf, plannedRunning } from '../flow/index.js';
import { fluidOf, type JobDocument, type JobOil, type Line, type Running } from '../job/index.js';
import type { JudgedJob } from './judged.js';
import { judgeJob } from './judge-job.js';

/** What a job is judged for without being changed. */
export interface Suppose {
  readonly oil?: JobOil;
  /** As the engine is planned to become. */
  readonly planned?: true;
  /** At a cold start, °C. */
  readonly coldC?: number;
  /** More than now, in every line that stands under pressure, bar. */
  readonly moreBar?: number;
  /** In every fuel line. */
  readonly fuel?: FluidId;
  /** Above the sea, m. */
  readonly altitudeM?: number;
}

/** The job as it would be judged then; nothing of it is changed. */
export function judgedIf(job: JudgedJob, suppose: Suppose): JudgedJob {
  return judgeJob(supposed(job.document, suppose), job.catalogue, job, job.schools, job.store);
}

export function supposed(document: JobDocument, { oil, planned, coldC, moreBar, fuel, altitudeM }: Suppose): JobDocument {
  const before = document.job.running ?? {};
  const engine = planned ? (plannedRunning(before) ?? before) : before;
  const running: Running = {
    ...engine,
    ...(oil ? { oil } : {}),
    ...(coldC === undefined ? {} : { coldC }),
    ...(altitudeM === undefined ? {} : { altitudeM }),
    ...(moreBar === undefined || engine.fullBar === undefined ? {} : { fullBar: engine.fullBar + moreBar }),
    ...(moreBar === undefined || engine.boostBar === undefined ? {} : { boostBar: engine.boostBar + moreBar }),
  };
  const lines = document.lines.map((line) => underMore(withFuel(line, fuel), moreBar));
  return { ...document, job: { ...document.job, running }, lines };
}

function withFuel(line: Line, fuel: FluidId | undefined): Line {
  return fuel !== undefined && fluidById(fluidOf(line)).group === 'fuel' ? { ...line, fluid: fuel } : line;
}

/** A drain, a suction and a breather stand under no pressure. */
function underMore(line: Line, moreBar: number | undefined): Line {
  const { drive, pressureBar } = figuresOf(line.service);
  // boost is the engine's, as long as the line does not say its own
  const boosted = line.service === 'charge-air' || line.service === 'boost';
  const own = line.flow?.pressureBar !== undefined || !boosted;
  if (moreBar === undefined || drive === 'fall' || drive === 'suction' || !own) return line;
  return { ...line, flow: { ...line.flow, pressureBar: (line.flow?.pressureBar ?? pressureBar) + moreBar } };
}
