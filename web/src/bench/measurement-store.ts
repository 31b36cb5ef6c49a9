import { computed, effect, Injectable, signal } from '@angular/core';
import {
  identifyThread,
  isTapered,
  taperBetween,
  ThreadMeasurementError,
  trialResults,
  type MeasurementField,
  type Side,
  type ThreadCandidate,
  type ThreadMeasurement,
  type ThreadTrial,
  type TrialResult,
} from '@gewinde/core';

/** What lies measured on the bench; a figure that is not known is null. */
export interface Figures {
  readonly side: Side;
  readonly diameterMm: number | null;
  readonly pitchMm: number | null;
  readonly threadsPerInch: number | null;
  readonly taper: 'tapered' | 'parallel' | 'unknown';
  /** By a thread gauge against the light. */
  readonly flankDeg: 55 | 60 | null;
  readonly uncertaintyMm: number;
  /** Diameters at two places along the thread, and their distance. */
  readonly frontMm: number | null;
  readonly backMm: number | null;
  readonly apartMm: number;
  readonly trials: readonly TriedPart[];
  /** What the names are weighed by before anything is measured. */
  readonly prior: 'plumbing' | 'even';
}

/** A known part that was tried; one without a name is only begun. */
export interface TriedPart {
  readonly known: string;
  readonly result: TrialResult;
  readonly turns: number | null;
}

export const nothingMeasured: Figures = {
  side: 'external',
  diameterMm: null,
  pitchMm: null,
  threadsPerInch: null,
  taper: 'unknown',
  flankDeg: null,
  uncertaintyMm: 0.05,
  frontMm: null,
  backMm: null,
  apartMm: 4,
  trials: [],
  prior: 'plumbing',
};

const KEPT = 'gewinde.bench';

/**
 * The measurement on the bench, what it says, and the thread that is looked at. Kept in the browser over a reload; what is measured at
 * a port is kept apart from it, so that no port is named by the figures of another.
 */
@Injectable()
export class MeasurementStore {
  private readonly key = signal(KEPT);
  readonly figures = signal<Figures>(kept(KEPT));
  /** The thread whose card is open; the best candidate where none was chosen. */
  readonly picked = signal<string | null>(null);

  /** Taper over the two places, per mm; null where they are not both measured. */
  readonly taperPerMm = computed(() => {
    const { frontMm, backMm, apartMm } = this.figures();
    return frontMm === null || backMm === null || !(apartMm > 0) ? null : taperBetween(frontMm, backMm, apartMm);
  });
  /** The measurement as the core takes it; a taper that was measured goes before one that was said. */
  readonly measurement = computed((): ThreadMeasurement => {
    const { side, diameterMm, pitchMm, threadsPerInch, taper, flankDeg, uncertaintyMm, frontMm, backMm, trials } = this.figures();
    const measured = this.taperPerMm();
    const diameter = diameterMm ?? (frontMm !== null && backMm !== null ? (frontMm + backMm) / 2 : null);
    return {
      side,
      ...(diameter === null ? {} : { diameterMm: diameter }),
      ...(pitchMm === null ? {} : { pitchMm }),
      ...(threadsPerInch === null ? {} : { threadsPerInch }),
      taper: measured === null ? taper : isTapered(measured) ? 'tapered' : 'parallel',
      ...(flankDeg === null ? {} : { flankDeg }),
      uncertaintyMm,
      trials: trials
        .filter(isNamed)
        .map(({ known, result, turns }): ThreadTrial => ({ known, result, ...(turns === null ? {} : { turns }) })),
    };
  });
  readonly empty = computed(() => {
    const { diameterMm, pitchMm, threadsPerInch, trials } = this.measurement();
    return diameterMm === undefined && pitchMm === undefined && threadsPerInch === undefined && trials?.length === 0;
  });
  private readonly named = computed((): { candidates: ThreadCandidate[]; error: ThreadMeasurementError | null } => {
    if (this.empty()) return { candidates: [], error: null };
    try {
      return { candidates: identifyThread(this.measurement(), { prior: this.figures().prior }), error: null };
    } catch (error) {
      if (error instanceof ThreadMeasurementError) return { candidates: [], error };
      throw error;
    }
  });
  readonly candidates = computed(() => this.named().candidates);
  readonly error = computed(() => this.named().error);
  readonly shown = computed(() => this.picked() ?? this.candidates()[0]?.designation ?? null);

  constructor() {
    effect(() => localStorage.setItem(this.key(), JSON.stringify(this.figures())));
  }

  /** Turns to the figures of a place of its own, such as a port. */
  turnTo(place: string): void {
    this.key.set(`${KEPT}.${place}`);
    this.figures.set(kept(this.key()));
    this.picked.set(null);
  }

  set(change: Partial<Figures>): void {
    this.figures.update((figures) => ({ ...figures, ...change }));
    this.picked.set(null);
  }

  clear(): void {
    this.figures.update(({ side, prior }) => ({ ...nothingMeasured, side, prior }));
    this.picked.set(null);
  }

  /** What is wrong with a trial, in words. Those without a name are not among the trials of the measurement. */
  trialProblem(row: number): string | null {
    const { trials } = this.figures();
    const error = this.error();
    if (error?.field !== 'trials' || !trials[row] || !isNamed(trials[row])) return null;
    return error.trial === trials.slice(0, row).filter(isNamed).length ? `${error.message} ${error.hint}` : null;
  }

  /** What is wrong with a field, in words. */
  problem(...fields: readonly MeasurementField[]): string | null {
    const error = this.error();
    return error && fields.includes(error.field) ? `${error.message} ${error.hint}` : null;
  }
}

function kept(key: string): Figures {
  try {
    const read = JSON.parse(localStorage.getItem(key) ?? '{}') as Partial<Figures>;
    const number = (value: unknown): number | null => (typeof value === 'number' && Number.isFinite(value) ? value : null);
    return {
      side: read.side === 'internal' ? 'internal' : 'external',
      diameterMm: number(read.diameterMm),
      pitchMm: number(read.pitchMm),
      threadsPerInch: number(read.threadsPerInch),
      taper: read.taper === 'tapered' || read.taper === 'parallel' ? read.taper : 'unknown',
      flankDeg: read.flankDeg === 55 || read.flankDeg === 60 ? read.flankDeg : null,
      uncertaintyMm: number(read.uncertaintyMm) ?? nothingMeasured.uncertaintyMm,
      frontMm: number(read.frontMm),
      backMm: number(read.backMm),
      apartMm: number(read.apartMm) ?? nothingMeasured.apartMm,
      prior: read.prior === 'even' ? 'even' : 'plumbing',
      trials: (Array.isArray(read.trials) ? read.trials : []).flatMap((trial: Partial<TriedPart> | null) => {
        const result = trialResults.find((r) => r === trial?.result);
        return typeof trial?.known === 'string' && result ? [{ known: trial.known, result, turns: number(trial.turns) }] : [];
      }),
    };
  } catch {
    return nothingMeasured;
  }
}

/** A count such as `18`, `11.5` or `11 1/2`; null where nothing is said, NaN where it is no number. */
export function countOf(text: string): number | null {
  const plain = text.trim().replace(',', '.').replace(' 1/2', '.5');
  return plain === '' ? null : Number(plain);
}

function isNamed({ known }: TriedPart): boolean {
  return known.trim() !== '';
}
