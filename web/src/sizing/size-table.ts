import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { sizingRows, type LineSizing, type SizeColumn, type SizingRow } from '@gewinde/core';
import { Preferences } from '../data/preferences';
import { houseFigure, houseUnit } from './figure';

/** Pixels a millimetre at most, so that the widest bore still has its place. */
const MOST_PX_PER_MM = 3.2;
const CIRCLE_PX = 54;

/** Sizes as columns, each with its bore at one scale and its figures; a press on a figure opens its working, on a head chooses the size. */
@Component({
  selector: 'g-size-table',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './size-table.html',
  styleUrl: './size-table.scss',
})
export class SizeTable {
  readonly sizing = input.required<LineSizing>();
  /** The column that is looked at. */
  readonly shown = input<number | null>(null);
  readonly show = output<number>();
  readonly open = output<{ row: SizingRow; column: SizeColumn }>();
  private readonly preferences = inject(Preferences);
  protected readonly system = this.preferences.system;
  protected readonly rows = computed(() => sizingRows(this.sizing()));
  private readonly scale = computed(() => {
    const widest = Math.max(1, ...this.sizing().columns.map((c) => c.hose.outsideMm));
    return Math.min(MOST_PX_PER_MM, CIRCLE_PX / widest);
  });
  protected readonly circle = CIRCLE_PX;

  protected mark(i: number): string {
    const { taken, recommended } = this.sizing();
    return i === taken ? 'taken' : i === recommended ? 'recommended' : '';
  }

  protected radius(mm: number): number {
    return (mm * this.scale()) / 2;
  }

  protected figure(row: SizingRow, i: number): string {
    return houseFigure(row.values[i], row.unit, row.decimals, this.preferences.system());
  }

  protected unit(row: SizingRow): string {
    return houseUnit(row.unit, this.preferences.system());
  }

  /** What speaks for it or against it; that it is taken stands in its head. */
  protected words({ says, verdict }: SizeColumn, i: number): string {
    const { taken, recommended } = this.sizing();
    if (i === recommended) return i === taken ? 'right' : verdict === 'tight' ? 'nearest' : 'right';
    return says;
  }
}
