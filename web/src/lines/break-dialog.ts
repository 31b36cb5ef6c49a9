import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { takeUntilDestroyed, toSignal } from '@angular/core/rxjs-interop';
import { FormControl, ReactiveFormsModule } from '@angular/forms';
import {
  asKept,
  endOfAngle,
  findFitting,
  formatQuantity,
  type AssembledLine,
  type AssembledPiece,
  type Fitting,
  type FittingKindId,
  type Gap,
} from '@gewinde/core';
import { NgbActiveModal } from '@ng-bootstrap/ng-bootstrap';
import { startWith } from 'rxjs';
import { answered } from '../data/answered';
import { JobStore } from '../data/job-store';
import { JobView } from '../data/job-view';
import { Messages } from '../data/messages';
import { Preferences } from '../data/preferences';
import { ShopStore } from '../data/shop-store';
import { type Choice, ChoiceField } from '../shared/choice-field';
import { PartPicker } from '../shared/part-picker';
import { WaysService } from '../workers/ways-service';

type What = FittingKindId | 'joiner' | 'part';
const WHAT: readonly Choice<What>[] = [
  { value: 'bulkhead', name: 'bulkhead fitting through a wall' },
  { value: 'filter', name: 'inline filter' },
  { value: 'check valve', name: 'check valve' },
  { value: 'restrictor', name: 'restrictor' },
  { value: 'dry-break', name: 'dry-break' },
  { value: 'tee', name: 'tee' },
  { value: 'valve', name: 'valve' },
  { value: 'canister', name: 'filter canister' },
  { value: 'cooler', name: 'cooler' },
  { value: 'joiner', name: 'joiner, nothing else' },
  { value: 'part', name: 'a part by its name' },
];

/** Breaks a hose in two with something between: what there is that can be joined up there, and what is taken. */
@Component({
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ChoiceField, PartPicker, ReactiveFormsModule],
  templateUrl: './break-dialog.html',
  styleUrl: './break-dialog.scss',
})
export class BreakDialog {
  readonly line = signal<AssembledLine | null>(null);
  readonly piece = signal<AssembledPiece | null>(null);
  protected readonly modal = inject(NgbActiveModal);
  private readonly store = inject(JobStore);
  private readonly view = inject(JobView);
  private readonly preferences = inject(Preferences);
  private readonly messages = inject(Messages);
  private readonly ways = inject(WaysService);
  private readonly weights = inject(ShopStore).weights;

  protected readonly kinds = WHAT;
  protected readonly what = new FormControl<What>('bulkhead', { nonNullable: true });
  private readonly wanted = toSignal(this.what.valueChanges.pipe(startWith(this.what.value)), { requireSync: true });
  protected readonly byName = computed(() => this.wanted() === 'part');
  /** Picked by name. */
  protected readonly named = signal<Fitting | null>(null);
  /** Which row is to be taken. */
  protected readonly chosen = signal(0);
  protected readonly refused = signal<string | null>(null);

  /** From straight end to straight end of the same hose. */
  private readonly gap = computed((): Gap | null => {
    const { hose, endA } = this.piece() ?? {};
    const catalogue = this.view.catalogue();
    const end = hose && catalogue && endOfAngle(catalogue, hose, 0, endA);
    const side = end && { connector: end.connector, boreMm: end.boreMm };
    return side ? { from: side, to: side } : null;
  });
  private readonly question = computed(() => {
    const gap = this.gap();
    const what = this.wanted();
    const named = this.named();
    if (!gap || (what === 'part' && !named)) return null;
    const options = { weights: this.weights(), ...(what === 'part' ? { wishes: { use: [named!.id] } } : {}) };
    return { gap, kind: what === 'joiner' || what === 'part' ? null : what, options };
  });
  private readonly looked = answered(this.question, (question) => this.ways.parts(question));
  protected readonly failed = this.looked.failed;
  protected readonly looking = this.looked.waiting;
  protected readonly hoseOpen = computed(() => this.gap() === null);
  protected readonly rows = computed(() =>
    (this.looked.answer() ?? []).map(({ parts, way }) => {
      const catalogue = this.view.catalogue()!;
      const named = this.named();
      const use = this.byName() && named ? [named.id] : parts;
      const names = (ids: readonly string[]): string[] => ids.map((id) => findFitting(catalogue, id)?.name ?? id);
      return {
        way,
        use,
        name: names(use).join(' with ') || way.name,
        with: names(way.fittings.map((f) => f.id).filter((id) => !use.includes(id))),
        price: way.priceMinor > 0 ? (way.priceMinor / 100).toFixed(2) : '—',
        stack: formatQuantity(way.lengthMm, 'length', this.preferences.system(), { decimals: 0 }),
        supply: way.toOrder === 0 ? 'on the shelf' : `${way.toOrder} · ${way.leadDays} d`,
      };
    }),
  );

  constructor() {
    this.what.valueChanges.pipe(takeUntilDestroyed()).subscribe(() => this.chosen.set(0));
  }

  protected pick(fitting: Fitting): void {
    this.named.set(fitting);
    this.chosen.set(0);
  }

  /** Breaks the line, with what was chosen in its place. */
  protected take(): void {
    const line = this.line();
    const piece = this.piece();
    const row = this.rows()[this.chosen()];
    if (!line || !piece || !row) return;
    const { id, number } = line.line;
    const at = line.pieces.findIndex((p) => p.piece.key === piece.piece.key) + 1;
    this.refused.set(null);
    try {
      this.store.change(
        { do: 'break-line', id, piece: piece.piece.key, ...(row.use.length > 0 ? { use: [...row.use] } : {}) },
        { do: 'take-way', id, at, ...asKept(row.way) },
      );
      this.messages.tell(`L${number} has two hoses now: tape each`, { undo: true });
      this.modal.close();
    } catch (error) {
      this.refused.set((error as Error).message);
    }
  }
}
