import {
  afterRenderEffect,
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  type ElementRef,
  inject,
  input,
  viewChild,
} from '@angular/core';
import { inHouseUnits } from '@gewinde/core';
import { Chart, Filler, LinearScale, LineController, LineElement, PointElement, Tooltip, type ChartDataset } from 'chart.js';
import { Preferences } from '../data/preferences';

Chart.register(LineController, LineElement, PointElement, LinearScale, Filler, Tooltip);

/** One curve over temperature; its ink is a token of the theme. */
export interface Curve {
  readonly name: string;
  readonly points: readonly { readonly x: number; readonly y: number }[];
  readonly ink: string;
  readonly dashed?: boolean;
  readonly thick?: boolean;
  /** Shaded down to the next curve where that is higher. */
  readonly shaded?: string;
}

/** Curves over temperature. What it shows is also in words, for those who do not see it. */
@Component({
  selector: 'g-line-chart',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<div class="wrap"><canvas #canvas role="img" [attr.aria-label]="words()"></canvas></div>`,
  styles: `
    :host {
      display: block;
    }
    .wrap {
      position: relative;
      height: var(--chart-height, 132px);
    }
  `,
})
export class LineChart {
  readonly curves = input.required<readonly Curve[]>();
  readonly label = input.required<string>();
  readonly yUnit = input.required<string>();
  readonly xUnit = input('°C');
  /** A band of what is wanted. */
  readonly band = input<readonly [number, number] | null>(null);
  private readonly canvas = viewChild.required<ElementRef<HTMLCanvasElement>>('canvas');
  private readonly preferences = inject(Preferences);
  private chart: Chart<'line', { x: number; y: number }[]> | undefined;
  protected readonly words = computed(() =>
    [
      this.label(),
      ...this.curves().map(({ name, points }) => {
        const [first, last] = [points[0], points[points.length - 1]];
        return first && last
          ? `${name}: ${first.y.toPrecision(2)} at ${first.x} ${this.xUnit()}, ${last.y.toPrecision(2)} at ${last.x} ${this.xUnit()}`
          : name;
      }),
    ].join('. '),
  );

  constructor() {
    afterRenderEffect(() => {
      this.preferences.theme();
      this.draw(this.curves(), this.band());
    });
    inject(DestroyRef).onDestroy(() => this.chart?.destroy());
  }

  private draw(curves: readonly Curve[], band: readonly [number, number] | null): void {
    const canvas = this.canvas().nativeElement;
    const style = getComputedStyle(canvas);
    const ink = (token: string): string => style.getPropertyValue(`--${token}`).trim();
    const xs = curves[0]?.points.map((p) => p.x) ?? [];
    const line = (curve: Curve): ChartDataset<'line', { x: number; y: number }[]> => ({
      // drawn on a canvas, which no text of the page goes through
      label: inHouseUnits(curve.name, this.preferences.system()),
      data: [...curve.points],
      borderColor: ink(curve.ink),
      borderWidth: curve.thick ? 2.5 : 1.5,
      borderDash: curve.dashed ? [5, 4] : [],
      pointRadius: 0,
      pointHitRadius: 8,
      tension: 0.2,
      ...(curve.shaded ? { fill: { target: '+1', above: 'transparent', below: ink(curve.shaded) } } : {}),
    });
    const bands = band
      ? band.map((y, i): ChartDataset<'line', { x: number; y: number }[]> => ({
          label: '',
          data: xs.map((x) => ({ x, y })),
          borderWidth: 0,
          pointRadius: 0,
          pointHitRadius: 0,
          ...(i === 0 ? { fill: { target: '+1', above: ink('green-ground'), below: ink('green-ground') } } : {}),
        }))
      : [];
    const font = { family: "'Barlow Condensed', sans-serif", size: 13 };
    const axis = (unit: string) => ({
      grid: { color: ink('grid') },
      border: { color: ink('faint') },
      ticks: { color: ink('quiet'), font, maxTicksLimit: 6, callback: (value: string | number) => `${value}${unit}`.replace('-', '−') },
    });
    const options = {
      animation: false as const,
      responsive: true,
      maintainAspectRatio: false,
      plugins: {
        legend: { display: false },
        tooltip: {
          filter: (item: { dataset: { label?: string } }) => item.dataset.label !== '',
          callbacks: { title: (items: { parsed: { x: number | null } }[]) => `${items[0]?.parsed.x ?? ''} ${this.xUnit()}` },
        },
      },
      scales: {
        x: { type: 'linear' as const, ...axis('°'), min: xs[0] ?? 0, max: xs[xs.length - 1] ?? 1 },
        y: { type: 'linear' as const, ...axis(''), beginAtZero: true },
      },
    };
    const data = { datasets: [...curves.map(line), ...bands] };
    if (this.chart) {
      this.chart.data = data;
      this.chart.options = options;
      this.chart.update('none');
    } else this.chart = new Chart<'line', { x: number; y: number }[]>(canvas, { type: 'line', data, options });
  }
}
