import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { FormControl, FormGroup, ReactiveFormsModule } from '@angular/forms';
import { CommandError, oilOf, oils, viscosityIndex, type Job, type OilId, type QuantityKind, type Running } from '@gewinde/core';
import { JobStore } from '../data/job-store';
import { Preferences } from '../data/preferences';
import { type Choice, ChoiceField } from '../shared/choice-field';
import { QuantityInput } from '../shared/quantity-input';
import { RowForm } from '../shared/row-form';
import { maybe, saidWith } from './flow-row';
import { altitudeChoices } from './altitudes';

type OilChoice = OilId | 'sheet' | null;
/** Figures of the engine in the order in which they are asked for; bounds in the base unit. */
const fields = [
  { name: 'coldC', label: 'Cold start', kind: 'temperature', min: -60, max: 250 },
  { name: 'hottestC', label: 'Hottest', kind: 'temperature', min: -60, max: 250 },
  { name: 'idleBar', label: 'Gallery, hot idle', kind: 'pressure', min: 0, max: 400 },
  { name: 'fullBar', label: 'Gallery, most revs', kind: 'pressure', min: 0, max: 400 },
  { name: 'idleRevs', label: 'Idle', kind: 'revs', min: 1, max: 30_000 },
  { name: 'mostRevs', label: 'Most revs', kind: 'revs', min: 1, max: 30_000 },
  { name: 'pumpLpm', label: 'Oil pump, most revs', kind: 'flow', min: 0.01, max: 100_000 },
  { name: 'powerKw', label: 'Power', kind: 'power', min: 1, max: 5000 },
  { name: 'plannedKw', label: 'Planned power', kind: 'power', min: 1, max: 5000 },
  { name: 'plannedRevs', label: 'Planned revs', kind: 'revs', min: 1, max: 30_000 },
  { name: 'sumpL', label: 'Engine takes', kind: 'volume', min: 0.05, max: 1000 },
  { name: 'canL', label: 'Sold in cans of', kind: 'volume', min: 0.05, max: 1000 },
  { name: 'airC', label: 'Air at the cooler', kind: 'temperature', min: -60, max: 250 },
  { name: 'boostBar', label: 'Boost', kind: 'pressure', min: 0, max: 10 },
  { name: 'crankcaseBar', label: 'Crankcase', kind: 'pressure', min: -0.5, max: 1 },
] as const satisfies readonly { name: keyof Running; label: string; kind: QuantityKind; min: number; max: number }[];
type Plain = (typeof fields)[number]['name'];

/** What runs in the engine of the job: its oil, its temperatures, pressures, power. What is left empty is not known. */
@Component({
  selector: 'g-engine-form',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ChoiceField, QuantityInput, ReactiveFormsModule],
  templateUrl: './engine-form.html',
  styleUrl: './flow-form.scss',
})
export class EngineForm {
  private readonly store = inject(JobStore);
  protected readonly preferences = inject(Preferences);
  private readonly job = computed(() => this.store.document()?.job);
  protected readonly fields = fields;
  protected readonly altitudes = computed(() => altitudeChoices(this.preferences.system(), 'at the sea'));
  protected readonly oilChoices: readonly Choice<OilChoice>[] = [
    { value: null, name: 'not said' },
    ...oils.map(({ id, name }) => ({ value: id as OilId, name })),
    { value: 'sheet', name: 'by its data sheet' },
  ];
  protected readonly bySheet = computed(() => 'v40' in (this.job()?.running?.oil ?? {}));
  /** The oil as it is reckoned with, in words. */
  protected readonly oilWords = computed(() => {
    const said = this.job()?.running?.oil;
    if (!said) return null;
    const oil = oilOf(said);
    // below 2 cSt at 100 °C there is no index
    const index = oil.v100 < 2 ? '' : `, index ${Math.round(viscosityIndex(oil))}`;
    return `${oil.v40} cSt at 40 °C, ${oil.v100} at 100 °C${index}, ${oil.density15} kg/m³`;
  });

  protected readonly row = new RowForm(
    new FormGroup({
      oil: new FormControl<OilChoice>(null),
      v40: maybe<number>(),
      v100: maybe<number>(),
      density15: maybe<number>(),
      coldC: maybe<number>(),
      hottestC: maybe<number>(),
      idleBar: maybe<number>(),
      fullBar: maybe<number>(),
      idleRevs: maybe<number>(),
      mostRevs: maybe<number>(),
      pumpLpm: maybe<number>(),
      powerKw: maybe<number>(),
      plannedKw: maybe<number>(),
      plannedRevs: maybe<number>(),
      sumpL: maybe<number>(),
      canL: maybe<number>(),
      airC: maybe<number>(),
      boostBar: maybe<number>(),
      crankcaseBar: maybe<number>(),
      altitudeM: maybe<number>(),
    }),
    this.job,
    (job: Job) => shownOf(job.running ?? {}),
    (job, set, version) => this.save(job, set, version),
    (id) => this.store.versionOf('job', id),
  );

  private save(job: Job, set: Readonly<Record<string, unknown>>, version: number): void {
    const { oil, v40, v100, density15, ...plain } = set;
    const before = job.running?.oil;
    const next = nextOil(before, oil as OilChoice | undefined, { v40, v100, density15 });
    const running = saidWith<Running>(job.running, { ...plain, ...(next === before ? {} : { oil: next }) });
    try {
      this.store.change({ do: 'edit-job', version, set: { running } });
    } catch (error) {
      if (!(error instanceof CommandError) || !error.field?.startsWith('running.')) throw error;
      // the word stands at the field that was changed, which keeps what was typed
      const name = Object.keys(set)[0] as keyof typeof this.row.group.controls;
      this.row.group.controls[name].setErrors({ refused: error.message });
      this.row.group.controls[name].markAsDirty();
    }
  }
}

type Shown = { altitudeM: number | null; oil: OilChoice; v40: number | null; v100: number | null; density15: number | null } & Record<
  Plain,
  number | null
>;

function shownOf(running: Running): Shown {
  const { oil } = running;
  const sheet = oil && 'v40' in oil ? oil : undefined;
  const plain = Object.fromEntries(fields.map(({ name }) => [name, running[name] ?? null])) as Record<Plain, number | null>;
  return {
    oil: oil ? (sheet ? 'sheet' : (oil as { grade: OilId }).grade) : null,
    v40: sheet?.v40 ?? null,
    v100: sheet?.v100 ?? null,
    density15: sheet?.density15 ?? null,
    altitudeM: running.altitudeM ?? null,
    ...plain,
  };
}

/** A sheet starts with the figures of the grade before it: one changes what differs. */
function nextOil(before: Running['oil'], choice: OilChoice | undefined, figures: Readonly<Record<string, unknown>>): Running['oil'] | null {
  const said = Object.fromEntries(Object.entries(figures).filter(([, value]) => typeof value === 'number'));
  if (choice === null) return null;
  if (choice !== undefined && choice !== 'sheet') return { grade: choice };
  if (choice === undefined && Object.keys(said).length === 0) return before;
  const start = before ? oilOf(before) : oils.find((o) => o.id === '5w40')!;
  const { name, v40, v100, density15 } = start;
  return { name, v40, v100, density15, ...said };
}
