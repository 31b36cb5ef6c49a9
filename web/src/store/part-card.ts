import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import {
  connectorName,
  fittingDrawing,
  formatConnector,
  formatQuantity,
  kindOf,
  type PartCard as Card,
  type QuantityKind,
} from '@gewinde/core';
import { Preferences } from '../data/preferences';
import { DrawingView } from '../shared/drawing';
import { Icon } from '../shared/icon';

const ORIGINS = { standard: 'from the standards', sample: 'sample data', import: "from a supplier's list", own: "the shop's own" } as const;

/** One part: drawn, its ends in words, its figures, where it comes from, and the lines that use it. */
@Component({
  selector: 'g-part-card',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [DrawingView, Icon],
  templateUrl: './part-card.html',
  styleUrl: './part-card.scss',
})
export class PartCard {
  readonly card = input.required<Card>();
  readonly edit = output<void>();
  /** True to take the part out, false to put it back. */
  readonly retire = output<boolean>();
  private readonly preferences = inject(Preferences);

  protected readonly part = computed(() => this.card().fitting);
  protected readonly kind = computed(() => kindOf(this.part()));
  protected readonly origin = computed(() => ORIGINS[this.card().origin]);
  protected readonly drawing = computed(() => fittingDrawing(this.part(), { width: 332, height: 176 }));
  protected readonly ends = computed(() => this.part().ends.map((c) => ({ notation: formatConnector(c), words: connectorName(c) })));
  protected readonly figures = computed(() => {
    const p = this.part();
    const show = (value: number | undefined, kind: QuantityKind, decimals = 1) =>
      value === undefined ? undefined : formatQuantity(value, kind, this.preferences.system(), { decimals, denominator: 64 });
    const span =
      p.minTempC === undefined || p.maxTempC === undefined
        ? undefined
        : `${show(p.minTempC, 'temperature', 0)} to ${show(p.maxTempC, 'temperature', 0)}`;
    const rows: [string, string | undefined][] = [
      ['Stack', show(p.lengthMm, 'length')],
      [
        'Legs',
        p.legsMm
          ?.map((mm) => formatQuantity(mm, 'length', this.preferences.system(), { decimals: 1, denominator: 64, bare: true }))
          .join(' · '),
      ],
      ['Across flats', show(p.hexMm, 'length')],
      ['Bore', show(p.boreMm, 'length')],
      ['Mass', p.massG === undefined ? undefined : `${p.massG} g`],
      ['Metal', p.material],
      ['Pressure', p.maxBar === undefined ? undefined : `up to ${show(p.maxBar, 'pressure', 0)}`],
      ['Heat', span],
      ['Direction', p.oneWay ? 'first end to second' : undefined],
      ['Price', p.priceMinor === undefined ? 'none given' : `€ ${(p.priceMinor / 100).toFixed(2)}`],
      ['Supplier', p.supplier],
      ['Code', p.code],
      ['On the shelf', p.shelf === undefined ? undefined : String(p.shelf)],
      ['Lead time', p.leadDays === undefined ? undefined : `${p.leadDays} days`],
    ];
    return rows
      .flatMap(([name, value]) => (value === undefined || value === '' ? [] : [{ name, value, wide: value.length > 14 }]))
      .sort((a, b) => Number(a.wide) - Number(b.wide));
  });
}
