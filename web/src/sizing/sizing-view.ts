import { ChangeDetectionStrategy, Component, computed, effect, inject, input, model, untracked } from '@angular/core';
import {
  backsUpBetween,
  constructionById,
  constructions,
  sizeCurves,
  workingOf,
  type LineSizing,
  type SizeColumn,
  type SizingRow,
} from '@gewinde/core';
import { NgbModal } from '@ng-bootstrap/ng-bootstrap';
import { Preferences } from '../data/preferences';
import { FlowView } from './flow-view';
import { houseTemperature, houseValue } from './figure';
import { LineChart, type Curve } from './line-chart';
import { PressureProfile } from './pressure-profile';
import { SizeTable } from './size-table';
import { WorkingDialog } from './working-dialog';

const titles: Record<string, string> = {
  pressure: 'how much arrives, and where the pressure goes',
  flow: 'what it takes of the pump, and how fast it runs',
  suction: 'what is left at the pump',
  fall: 'what falls away, what comes',
  still: 'nothing runs in it: what stands in it, it must bear',
};

/** The sizes of a line side by side, the pressure along it, and its curves over temperature. */
@Component({
  selector: 'g-sizing-view',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [LineChart, PressureProfile, SizeTable],
  templateUrl: './sizing-view.html',
  styleUrl: './sizing-view.scss',
})
export class SizingView {
  readonly sizing = input.required<LineSizing>();
  /** The construction that is looked at; that of the line where nothing is said. */
  readonly construction = model<string | null>(null);
  /** The size that is looked at. */
  readonly shown = model<number | null>(null);
  private readonly flow = inject(FlowView);
  private readonly modal = inject(NgbModal);
  private readonly preferences = inject(Preferences);
  protected readonly constructions = constructions;
  protected readonly title = computed(() => titles[this.sizing().duty.figures.drive]);
  protected readonly built = computed(() => this.sizing().columns[0]?.hose.construction ?? '');
  protected readonly column = computed((): SizeColumn | undefined => {
    const { columns, taken, recommended } = this.sizing();
    return columns[this.shown() ?? taken ?? recommended ?? 0];
  });
  private readonly curves = computed(() => {
    const question = this.flow.question();
    return question ? sizeCurves(this.sizing(), question) : { temps: [], sizes: [], brought: [] };
  });
  private readonly drawn = computed(() => {
    const { columns, taken, recommended } = this.sizing();
    const at = this.columnAt();
    // five curves can be told apart: those round the one that is looked at
    return columns.map((c, i) => ({ c, i })).filter(({ i }) => i === taken || i === recommended || i === at || Math.abs(i - at) <= 1);
  });
  private readonly columnAt = computed(() => this.sizing().columns.findIndex((c) => c === this.column()));
  protected readonly reckoned = computed(() => this.sizing().columns.some((c) => c.outcomes.length > 0));
  protected readonly charts = computed(() => {
    const { duty } = this.sizing();
    const { temps } = this.curves();
    if (temps.length === 0 || !this.reckoned()) return [];
    const system = this.preferences.system();
    const of = (unit: string, value: (p: ReturnType<typeof sizeCurves>['sizes'][number][number]) => number | undefined): Curve[] =>
      this.drawn().flatMap(({ c, i }) => {
        const points = (this.curves().sizes[i] ?? []).flatMap((p) => {
          const y = value(p);
          return y === undefined ? [] : [{ x: houseTemperature(p.tempC, system), y: houseValue(y, unit, system) }];
        });
        const { taken, recommended } = this.sizing();
        const ink = i === taken ? 'blue' : i === recommended ? 'green' : c.verdict === 'fails' ? 'red' : 'quiet';
        return points.length > 0 ? [{ name: c.size, points, ink, dashed: c.verdict === 'fails', thick: i === this.columnAt() }] : [];
      });
    const chart = (title: string, unit: string, curves: Curve[]) => ({ title, unit, curves, note: '' });
    switch (duty.figures.drive) {
      case 'pressure':
        return [
          chart(
            'Flow',
            'L/min',
            of('L/min', (p) => p.flowLpm),
          ),
          chart(
            'Speed',
            'm/s',
            of('m/s', (p) => p.speedMs),
          ),
        ];
      case 'fall':
        return [this.drainChart()];
      case 'suction':
        return [
          chart(
            'At the pump, absolute',
            'bar',
            of('bar', (p) => p.absBar),
          ),
          chart(
            'Speed',
            'm/s',
            of('m/s', (p) => p.speedMs),
          ),
        ];
      case 'flow':
        return [
          chart(
            'What it takes',
            'bar',
            of('bar', (p) => p.lossBar),
          ),
          chart(
            'Speed',
            'm/s',
            of('m/s', (p) => p.speedMs),
          ),
        ];
      case 'still':
        return [];
    }
  });
  protected readonly legend = computed(() =>
    this.drawn().map(({ c, i }) => {
      const { taken, recommended } = this.sizing();
      return { size: c.size, tone: i === taken ? 'taken' : i === recommended ? 'recommended' : c.verdict === 'fails' ? 'fails' : 'other' };
    }),
  );

  constructor() {
    // another line, another size to look at
    effect(() => {
      void this.sizing().line.line.id;
      untracked(() => {
        this.shown.set(null);
      });
    });
  }

  protected lookAt(event: Event): void {
    this.construction.set((event.target as HTMLSelectElement).value);
  }

  protected constructionName(id: string): string {
    return constructionById(id).name;
  }

  protected openWorking({ row, column }: { row: SizingRow; column: SizeColumn }): void {
    const dialog = this.modal.open(WorkingDialog, { ariaLabelledBy: 'working-title', size: 'lg', scrollable: true });
    (dialog.componentInstance as WorkingDialog).working.set(workingOf(this.sizing(), row, column));
  }

  protected unitOf(unit: string): string {
    const system = this.preferences.system();
    return system === 'metric' ? unit : ({ 'L/min': 'gal/min', 'm/s': 'ft/s', bar: 'psi' }[unit] ?? unit);
  }

  protected degrees(): string {
    return this.preferences.system() === 'metric' ? '°C' : '°F';
  }

  /** What falls away in the size that is looked at against what comes; where more comes, it is shaded. */
  private drainChart() {
    const system = this.preferences.system();
    const at = this.columnAt();
    const points = this.curves().sizes[at] ?? [];
    const x = (tempC: number): number => houseTemperature(tempC, system);
    const y = (lpm: number): number => houseValue(lpm, 'L/min', system);
    const curves: Curve[] = [
      {
        name: `${this.column()?.size ?? ''} carries`,
        points: points.map((p) => ({ x: x(p.tempC), y: y(p.carriesLpm ?? 0) })),
        ink: 'ink',
        thick: true,
        shaded: 'brass-ground',
      },
      { name: 'comes', points: this.curves().temps.map((t, i) => ({ x: x(t), y: y(this.curves().brought[i] ?? 0) })), ink: 'blue' },
    ];
    const over = backsUpBetween(this.curves(), at);
    const note = points.some((p) => p.carriesLpm !== undefined)
      ? over
        ? `more comes than it carries as it should run from ${x(over[0]).toFixed(0)} to ${x(over[1]).toFixed(0)} ${this.degrees()}`
        : 'it carries what comes at every temperature'
      : 'say how far it falls';
    return { title: 'What falls away, what comes', unit: 'L/min', curves, note };
  }
}
