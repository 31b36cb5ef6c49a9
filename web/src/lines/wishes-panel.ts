import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import {
  ConnectorSyntaxError,
  findFitting,
  formatConnector,
  materials,
  parseConnector,
  USUAL_MOST_FITTINGS,
  type Port,
  type Wishes,
} from '@gewinde/core';
import { JobView } from '../data/job-view';
import { Preferences } from '../data/preferences';
import { QuantityInput } from '../shared/quantity-input';

/** What is asked of the chain at one end beside that it seals. Every change solves anew, in place. */
@Component({
  selector: 'g-wishes-panel',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [QuantityInput],
  templateUrl: './wishes-panel.html',
  styleUrl: './wishes-panel.scss',
})
export class WishesPanel {
  readonly wishes = input.required<Wishes>();
  readonly port = input.required<Port>();
  readonly changed = output<Wishes>();
  protected readonly preferences = inject(Preferences);
  private readonly view = inject(JobView);
  protected readonly turns = [0, 30, 45, 60, 90, 135, 180];
  protected readonly metals = materials;
  protected readonly counts = [1, 2, 3, 4, 5];
  protected readonly usual = USUAL_MOST_FITTINGS;
  protected readonly branchProblem = signal<string | null>(null);
  protected readonly branch = computed(() => {
    const c = this.wishes().branchFor;
    return c ? formatConnector(c) : '';
  });
  protected readonly parts = computed(() => {
    const catalogue = this.view.catalogue();
    const named = (wish: 'use' | 'avoid') =>
      (this.wishes()[wish] ?? []).map((id) => ({ wish, id, name: (catalogue && findFitting(catalogue, id)?.name) ?? id }));
    return [...named('use'), ...named('avoid')];
  });

  protected set(change: Partial<Wishes>): void {
    this.changed.emit({ ...this.wishes(), ...change });
  }

  protected setTurn(value: string): void {
    const { turnDeg: _, ...rest } = this.wishes();
    this.changed.emit(value === '' ? rest : { ...rest, turnDeg: Number(value) });
  }

  protected setFigure(wish: 'leastBoreMm' | 'mostStackMm', value: number | null): void {
    const { [wish]: _, ...rest } = this.wishes();
    this.changed.emit(value === null || value === 0 ? rest : { ...rest, [wish]: Math.round(value * 1000) / 1000 });
  }

  protected setMost(value: string): void {
    const { mostFittings: _, ...rest } = this.wishes();
    this.changed.emit(Number(value) === USUAL_MOST_FITTINGS ? rest : { ...rest, mostFittings: Number(value) });
  }

  protected toggleMetal(metal: string): void {
    const list = this.wishes().materials ?? [];
    this.set({ materials: list.includes(metal) ? list.filter((m) => m !== metal) : [...list, metal] });
  }

  protected setKeep(keep: boolean): void {
    const { keepSensor: _, ...rest } = this.wishes();
    this.changed.emit(keep ? { ...rest, keepSensor: true } : rest);
  }

  protected setBranch(text: string): void {
    const { branchFor: _, ...rest } = this.wishes();
    this.branchProblem.set(null);
    if (text.trim() === '') {
      this.changed.emit(rest);
      return;
    }
    try {
      this.changed.emit({ ...rest, branchFor: parseConnector(text) });
    } catch (error) {
      if (!(error instanceof ConnectorSyntaxError)) throw error;
      this.branchProblem.set(`${error.message} ${error.hint}`);
    }
  }

  protected drop(wish: 'use' | 'avoid', id: string): void {
    this.set({ [wish]: (this.wishes()[wish] ?? []).filter((p) => p !== id) });
  }
}
