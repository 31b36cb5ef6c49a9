import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { findEntry, formatCut, formatRun, lengthCautions, type ServiceId } from '@gewinde/core';
import { JobView } from '../data/job-view';
import { Preferences } from '../data/preferences';
import { StockroomStore } from '../data/stockroom-store';
import { ServiceGlyph } from '../shared/service-glyph';
import { HoseBooking } from '../stock/hose-booking';
import { today } from '../data/today';
import type { ShownBar, ShownGroup } from './bars';

/** A reel or a length is as wide as this sheet at most, mm. */
const LEAST_SHEET_MM = 1200;

/** Lengths as bars at one scale, the pieces on them in the order of the saw: kerf as a white tick, what is left hatched. */
@Component({
  selector: 'g-cut-bars',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ServiceGlyph],
  templateUrl: './cut-bars.html',
  styleUrl: './cut-bars.scss',
})
export class CutBars {
  readonly groups = input.required<readonly ShownGroup[]>();
  readonly current = input<string | null>(null);
  readonly choose = output<string>();
  private readonly view = inject(JobView);
  private readonly stock = inject(StockroomStore);
  private readonly preferences = inject(Preferences);
  private readonly booking = inject(HoseBooking);

  private readonly sheetMm = computed(() => Math.max(LEAST_SHEET_MM, ...this.groups().flatMap((g) => g.bars.map((b) => b.shownMm))));
  protected readonly rows = computed(() => this.groups().filter((g) => g.bars.length > 0));

  protected width(mm: number): number {
    return (100 * mm) / this.sheetMm();
  }
  protected figure(mm: number): string {
    return formatCut(mm, this.preferences.system(), true);
  }
  private run(mm: number): string {
    return formatRun(mm, this.preferences.system());
  }
  /** Heard after what stands on it. */
  protected pieceName({ piece, done }: ShownBar['pieces'][number]): string {
    return `${piece.id} ${piece.lineName}, ${done ? 'cut' : 'to be cut'}`;
  }
  protected service(words: string): ServiceId {
    return words as ServiceId;
  }

  protected title({ bar, length }: ShownBar): string {
    if (bar.kind === 'new') return `new, ${this.run(bar.lengthMm)}`;
    return `${bar.kind === 'made' ? 'made hose' : bar.kind} ${length?.id ?? bar.from}`;
  }
  protected detail({ bar, length }: ShownBar): string {
    if (bar.kind === 'new') return 'to order';
    const place = length?.place ? `${length.place}, ` : '';
    return bar.lengthMm > 0 && length ? `${place}${this.run(bar.lengthMm)} left` : 'used up';
  }
  protected cautions({ length }: ShownBar): string {
    const catalogue = this.view.catalogue();
    if (!length || !catalogue) return '';
    return lengthCautions(length, catalogue, this.stock.rules(), today()).join(' ');
  }
  /** What others have reserved or plan of it, and what this job has. */
  protected booked({ length }: ShownBar): string {
    return length ? this.booking.said(length, (mm) => formatCut(mm, this.preferences.system())) : '';
  }
  /** What is left after the last cut. */
  protected left({ bar }: ShownBar): number {
    return bar.remainderMm;
  }
  protected shownLeft(b: ShownBar): number {
    return b.broken ? Math.max(0, b.shownMm - b.pieces.reduce((sum, p) => sum + p.lengthMm, 0) - b.bar.trimMm) : b.bar.remainderMm;
  }
  protected words({ group, plan }: ShownGroup): string {
    if (group.toCut.length === 0) return 'cut';
    const offcuts = plan?.bars.filter((b) => b.kind === 'offcut').reduce((n, b) => n + b.pieces.length, 0) ?? 0;
    const fresh = plan?.bars.filter((b) => b.kind === 'new') ?? [];
    const bought = fresh.reduce((mm, b) => mm + b.lengthMm, 0);
    const of = group.toCut.length;
    return [
      `${of} ${of === 1 ? 'piece' : 'pieces'}`,
      ...(offcuts > 0 ? [`${offcuts} from offcuts`] : []),
      ...(bought > 0 ? [`${this.run(bought)} to be bought`] : []),
      ...(group.kept.length > 0 ? [`${group.kept.length} more on the rack, kept or not looked over`] : []),
    ].join(' · ');
  }
  protected name(group: ShownGroup['group']): string {
    const catalogue = this.view.catalogue();
    return (catalogue && findEntry(catalogue, group.part)?.part.name) ?? group.name;
  }
}
