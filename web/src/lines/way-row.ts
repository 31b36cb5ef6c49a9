import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import {
  canBeScrewedOn,
  endOfAngle,
  findFitting,
  formatQuantity,
  wayStrip,
  type AssembledWay,
  type Fitting,
  type HoseEnd,
  type StripEnd,
  type Terminal,
  type Way,
  type Wishes,
} from '@gewinde/core';
import { NgbTooltip } from '@ng-bootstrap/ng-bootstrap';
import { JobView } from '../data/job-view';
import { Preferences } from '../data/preferences';
import { DrawingView } from '../shared/drawing';
import { Icon } from '../shared/icon';

/** A way as it stands in the table, with how it differs from the one it is compared with. */
export interface WayView {
  readonly key: string;
  readonly way: Way;
  /** Each different part once. */
  readonly parts: readonly Fitting[];
  /** Another end that goes on the hose with it. */
  readonly end?: HoseEnd;
  readonly chosen: boolean;
  readonly pinned: boolean;
  readonly held: boolean;
  readonly unfolded: boolean;
  readonly sealed: boolean;
  /** Narrower than its hose end by a good part. */
  readonly narrow: boolean;
  readonly against?: { readonly way: Way; readonly more: readonly string[]; readonly less: readonly string[] };
}

const NOT_KNOWN = { text: '—', apart: '' };
/** Of ports that meet without a fitting nothing narrows the way. */
const known = (mm: number | undefined): number | undefined => (Number.isFinite(mm) ? mm : undefined);

/** One way as a strip with its figures; unfolded, its parts with what can be wished of each. */
@Component({
  selector: 'tbody[g-way-row]',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [DrawingView, Icon, NgbTooltip],
  templateUrl: './way-row.html',
  styleUrl: './way-row.scss',
})
export class WayRow {
  readonly view = input.required<WayView>();
  readonly index = input.required<number>();
  /** Which place of the line it is a way across. */
  readonly place = input.required<AssembledWay>();
  readonly wishes = input<Wishes>({});
  /** Left from before while the ways are worked out anew: to be looked at, not to be taken. */
  readonly stale = input(false);
  readonly take = output<void>();
  readonly hold = output<void>();
  readonly pin = output<void>();
  readonly unfold = output<void>();
  readonly use = output<string>();
  readonly avoid = output<string>();
  private readonly job = inject(JobView);
  private readonly preferences = inject(Preferences);

  /** The parts by name, for the hover and for those who hear it. */
  protected readonly names = computed(() => {
    const { parts, end } = this.view();
    return (
      [...(end ? [`with another end on the hose: ${end.name}`] : []), ...parts.map((p) => p.name)].join('; ') ||
      'no fitting between the two'
    );
  });
  /** Of another end: what it costs beside the one it replaces, and whether it can be screwed on last. */
  protected readonly endWords = computed(() => {
    const { end } = this.view();
    if (!end) return '';
    const { from, to } = this.place();
    const [there] = [from, to].flatMap((t) => (t.kind === 'hose end' && t.hoseEnd ? [t.hoseEnd] : []));
    const euros = (e: HoseEnd): string => (e.priceMinor === undefined ? 'no price' : (e.priceMinor / 100).toFixed(2));
    const price = there && `, ${euros(end)} for ${euros(there)}`;
    return `${end.name}${price ?? ''}${canBeScrewedOn(end.connector) ? '' : '; does not turn, goes in first'}`;
  });
  protected readonly figures = computed(() => {
    const { way, against } = this.view();
    const other = against?.way;
    const length = (mm: number, decimals: number): string =>
      formatQuantity(mm, 'length', this.preferences.system(), { decimals, denominator: 64, bare: true });
    const figure = (own: number, before: number | undefined, show: (value: number) => string) => {
      const apart = before === undefined ? 0 : own - before;
      return { text: show(own), apart: Math.abs(apart) < 0.05 ? '' : `${apart > 0 ? '+' : '−'}${show(Math.abs(apart))}` };
    };
    const unpriced = this.view().parts.some((p) => p.priceMinor === undefined);
    return {
      joints: figure(way.jointCount, other?.jointCount, String),
      price: unpriced ? NOT_KNOWN : figure(way.priceMinor, other?.priceMinor, (minor) => (minor / 100).toFixed(2).replace('-', '−')),
      stack: figure(way.lengthMm, other?.lengthMm, (mm) => length(mm, 0)),
      bore: Number.isFinite(way.leastBoreMm) ? figure(way.leastBoreMm, known(other?.leastBoreMm), (mm) => length(mm, 1)) : NOT_KNOWN,
    };
  });
  protected readonly supply = computed(() => {
    const { toOrder, leadDays } = this.view().way;
    return toOrder === 0 ? 'on the shelf' : `${toOrder} · ${leadDays} d`;
  });
  protected readonly supplyWords = computed(() => {
    const { toOrder, leadDays } = this.view().way;
    return toOrder === 0 ? 'All on the shelf' : `${toOrder} to order, ${leadDays} days until the last is there`;
  });
  protected readonly differs = computed(() => {
    const { against } = this.view();
    if (!against) return '';
    const name = (id: string): string => findFitting(this.job.catalogue()!, id)?.name ?? id;
    return [...against.more.map((id) => `+ ${name(id)}`), ...against.less.map((id) => `− ${name(id)}`)].join('  ');
  });
  /** Small ways are drawn with a straight end: what differs is the chain. */
  protected readonly strip = computed(() => {
    const catalogue = this.job.catalogue()!;
    const { way } = this.view();
    const { from, to } = this.place();
    const link = (l: Way['fittings'][number]) => ({ ...l, fitting: findFitting(catalogue, l.id)! });
    const sensorOf = (portId: string | undefined) => [from, to].find((t) => t.kind === 'port' && t.port.id === portId);
    const branches = way.branches.map((b) => {
      const seat = sensorOf(b.portId);
      return {
        ...b,
        fittings: b.fittings.map(link),
        ...(b.to === 'sensor' && seat?.kind === 'port' && seat.port.sensor ? { sensor: seat.port.sensor } : {}),
      };
    });
    const side = (t: Terminal): StripEnd => {
      if (t.kind === 'port' || !t.hoseEnd) return {};
      const own = this.view().end ?? t.hoseEnd;
      const straight = t.hose && endOfAngle(catalogue, t.hose, 0, own);
      return { hoseEnd: straight ?? own, ...(t.hose ? { hose: t.hose } : {}) };
    };
    return wayStrip({ fittings: way.fittings.map(link), branches }, [side(from), side(to)], { width: 150, height: 40 }, way.name);
  });
}
