import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { FormControl, ReactiveFormsModule } from '@angular/forms';
import { formatCut, formatRun, planCutsAtOnce, planGroupAtOnce, type CutGroup, type GroupPlan } from '@gewinde/core';
import { NgbActiveModal } from '@ng-bootstrap/ng-bootstrap';
import { firstValueFrom } from 'rxjs';
import { Messages } from '../data/messages';
import { Preferences } from '../data/preferences';
import { StockroomStore } from '../data/stockroom-store';
import { QuantityInput } from '../shared/quantity-input';
import { CutPlans } from '../stock/cut-plans';
import type { ShownPiece } from './bars';

/** A piece that cannot be used: what cutting it again takes, and what of it goes back to the rack. */
@Component({
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [QuantityInput, ReactiveFormsModule],
  template: `
    <div class="g-dialog">
      <h2 id="spoil-title">{{ piece()?.piece?.id }} is spoiled</h2>
      <form (submit)="say($event)" novalidate>
        <p>{{ costs() }}</p>
        <g-quantity-input label="Of it this much can be kept as an offcut" kind="length" [min]="0" [max]="1000000" [formControl]="keep" />
        @if (error(); as e) {
          <p class="g-error" role="alert">{{ e }}</p>
        }
        <div class="actions">
          <button type="button" class="g-button" (click)="modal.dismiss()">Cancel</button>
          <button type="submit" class="g-button danger" [disabled]="keep.invalid">It is spoiled, plan anew</button>
        </div>
      </form>
    </div>
  `,
})
export class SpoilDialog {
  protected readonly modal = inject(NgbActiveModal);
  private readonly stock = inject(StockroomStore);
  private readonly plans = inject(CutPlans);
  private readonly preferences = inject(Preferences);
  private readonly messages = inject(Messages);
  protected readonly piece = signal<ShownPiece | null>(null);
  protected readonly costs = signal('');
  protected readonly error = signal<string | null>(null);
  protected readonly keep = new FormControl<number | null>(null);

  start(shown: ShownPiece, group: CutGroup): void {
    this.piece.set(shown);
    const before = this.plans.problemOf(group);
    const again = { ...before, pieces: [...before.pieces, { id: shown.piece.id, lengthMm: shown.piece.lengthMm }] };
    const plan = (problem: typeof before): GroupPlan => planGroupAtOnce(problem, this.plans.rules(), planCutsAtOnce);
    const [was, now] = [plan(before), plan(again)];
    const from = now.bars.find((b) => b.pieces.some((p) => p.id === shown.piece.id));
    const more = bought(now) - bought(was);
    const run = (mm: number): string => formatRun(mm, this.preferences.system());
    const words = formatCut(shown.piece.lengthMm, this.preferences.system());
    this.costs.set(
      from === undefined
        ? `${words} have to be cut again, and nothing is long enough for it.`
        : from.kind === 'new' || more > 0
          ? `${words} have to be cut again: ${run(more)} of new hose have to be bought for it.`
          : `${words} have to be cut again: it comes from ${from.from}, ${run(from.lengthMm)}, and nothing has to be bought.`,
    );
  }

  protected async say(event: Event): Promise<void> {
    event.preventDefault();
    const { made, piece } = this.piece()!.done!;
    try {
      const keepMm = this.keep.value;
      await firstValueFrom(
        this.stock.change({ do: 'spoil-cut', id: made.id, version: made.version, ...(keepMm === null ? {} : { keepMm }) }),
      );
      this.messages.tell(`${piece.id} is to be cut again`);
      this.modal.close();
    } catch (error) {
      this.error.set((error as Error).message);
    }
  }
}

const bought = (plan: GroupPlan): number => plan.bars.reduce((sum, b) => sum + (b.kind === 'new' ? b.lengthMm : 0), 0);
