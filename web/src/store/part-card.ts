import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import {
  connectorName,
  fieldsOf,
  figuresIn,
  fittingDrawing,
  formatConnector,
  formatListed,
  formatPassages,
  formatQuantity,
  headOf,
  partRating,
  hoseDrawing,
  hoseEndDrawing,
  kindOf,
  partSections,
  sectionOf,
  type Fitting,
  type PartCard as Card,
  type PartEntry,
  type QuantityKind,
} from '@gewinde/core';
import { Preferences } from '../data/preferences';
import { DrawingView } from '../shared/drawing';
import { Icon } from '../shared/icon';

type Show = (value: number | undefined, kind: QuantityKind, decimals?: number) => string | undefined;

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
  /** Number of the job that is open, to use the part in. */
  readonly jobNumber = input<string>();
  readonly edit = output<void>();
  readonly use = output<Fitting>();
  /** True to take the part out, false to put it back. */
  readonly retire = output<boolean>();
  private readonly preferences = inject(Preferences);

  private readonly entry = computed((): PartEntry => this.card().row);
  protected readonly part = computed(() => this.entry().part);
  protected readonly kind = computed(() => {
    const entry = this.entry();
    const section = sectionOf(entry);
    return entry.kind === 'fitting' ? kindOf(entry.part) : partSections.find((s) => s.id === section)!.one;
  });
  /** What can stand in a line or be a component. */
  protected readonly usable = computed((): Fitting | null => {
    const entry = this.entry();
    if (entry.kind !== 'fitting' || entry.part.retired) return null;
    return entry.part.ends.length > 1 || entry.part.body ? entry.part : null;
  });
  protected readonly origin = computed(() => ORIGINS[this.card().row.origin]);
  protected readonly drawing = computed(() => {
    const entry = this.entry();
    const size = { width: 332, height: 176 };
    if (entry.kind === 'fitting') return fittingDrawing(entry.part, size);
    if (entry.kind === 'hose') return hoseDrawing(entry.part, size);
    return entry.kind === 'hose end' ? hoseEndDrawing(entry.part, undefined, size) : null;
  });
  protected readonly ends = computed(() => {
    const entry = this.entry();
    const connectors = entry.kind === 'fitting' ? entry.part.ends : entry.kind === 'hose end' ? [entry.part.connector] : [];
    const body = entry.kind === 'fitting' ? entry.part.body : undefined;
    return connectors.map((c, i) => ({
      name: body ? `${i + 1} ${body.places[i]?.name ?? ''}`.trim() : '',
      notation: formatConnector(c),
      words: connectorName(c),
    }));
  });
  protected readonly figures = computed(() => {
    const entry = this.entry();
    const head = headOf(entry);
    const show = (value: number | undefined, kind: QuantityKind, decimals = 1) =>
      value === undefined ? undefined : formatQuantity(value, kind, this.preferences.system(), { decimals, denominator: 64 });
    const price =
      head.priceMinor === undefined ? 'none given' : `€ ${(head.priceMinor / 100).toFixed(2)}${entry.kind === 'hose' ? ' a metre' : ''}`;
    const buying: [string, string | undefined][] = [
      ['Price', price],
      ['In the list', head.listed && formatListed(head.listed)],
      ['Supplier', head.supplier],
      ['Code', head.code],
      ['On the shelf', head.shelf === undefined ? undefined : `${head.shelf}${entry.kind === 'hose' ? ' m' : ''}`],
      ['Lead time', head.leadDays === undefined ? undefined : `${head.leadDays} days`],
    ];
    const rows = [...(entry.kind === 'fitting' ? this.ofFitting(entry.part, show) : this.ofFields(entry, show)), ...buying];
    return rows
      .flatMap(([name, value]) =>
        value === undefined || value === '' ? [] : [{ name, value, wide: value.length > 14 || name.length + value.length > 22 }],
      )
      .sort((a, b) => Number(a.wide) - Number(b.wide));
  });

  /** Figures by the fields of the section. */
  private ofFields(entry: PartEntry, show: Show): [string, string | undefined][] {
    const figures = figuresIn(entry);
    return fieldsOf(sectionOf(entry)).map(({ name, label, type }) => {
      const value = figures[name];
      const kind = ({ mm: 'length', bar: 'pressure', celsius: 'temperature' } as const)[type as 'mm'];
      if (typeof value === 'number') return [label, kind ? show(value, kind, kind === 'length' ? 2 : 0) : String(value)];
      return [label, Array.isArray(value) ? value.join(', ') : (value as string | undefined)];
    });
  }

  private ofFitting(p: Fitting, show: Show): [string, string | undefined][] {
    const span =
      p.minTempC === undefined || p.maxTempC === undefined
        ? undefined
        : `${show(p.minTempC, 'temperature', 0)} to ${show(p.maxTempC, 'temperature', 0)}`;
    const by = partRating(p);
    return [
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
      ['Had', p.rarity === 'rarely' ? 'seldom made' : p.rarity],
      ['Pressure', p.maxBar === undefined ? undefined : `up to ${show(p.maxBar, 'pressure', 0)}`],
      ['Limited by', p.maxBar === undefined ? undefined : p.maxBar === by.maxBar ? by.barBy : 'what its maker says'],
      ['Heat', span],
      ['Heat limited by', p.maxTempC === undefined ? undefined : p.maxTempC === by.maxTempC ? by.heatBy : 'what its maker says'],
      ['Direction', p.oneWay ? 'first end to second' : undefined],
      ['Body', p.body && `${p.body.shape}, ${show(p.body.acrossMm, 'length')} across, ${show(p.body.heightMm, 'length')} high`],
      ['Passages', p.body && p.body.passages.length > 0 ? formatPassages(p.body.passages) : undefined],
      ['Holds', p.body?.holdsL === undefined ? undefined : show(p.body.holdsL, 'volume', 2)],
      ['Begins to open', show(p.body?.opensC, 'temperature', 0)],
      ['Fully open', show(p.body?.fullOpenC, 'temperature', 0)],
    ];
  }
}
