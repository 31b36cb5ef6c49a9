import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { FormControl, FormGroup, ReactiveFormsModule } from '@angular/forms';
import { Router } from '@angular/router';
import { CommandError, componentKindOf, type Fitting, type Line } from '@gewinde/core';
import { NgbActiveModal } from '@ng-bootstrap/ng-bootstrap';
import { startWith } from 'rxjs';
import { v4 as uuid } from 'uuid';
import { JobStore } from '../data/job-store';
import { type Choice, ChoiceField } from '../shared/choice-field';

/** Where in a line: at one of its ends, or between two hoses. */
function placeOf({ ways }: Line, at: number): string {
  const last = ways.length - 1;
  if (last === 0) return 'between the two ports';
  return at === 0 ? 'at end A' : at === last ? 'at end B' : ways.length === 3 ? 'between the hoses' : `between hose ${at} and ${at + 1}`;
}

/** A part of the store into the open job: as a part that a way of a line must have, or as a component of the survey. */
@Component({
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ChoiceField, ReactiveFormsModule],
  template: `
    <div class="g-dialog">
      <h2 id="use-title">Use it in {{ job()?.number }} {{ job()?.name }}</h2>
      <p class="quiet">{{ part()?.name }}</p>
      <form [formGroup]="form" (ngSubmit)="use()">
        <g-choice-field label="Where" [choices]="places()" [control]="where" [hint]="hint()" [first]="true" />
        @if (error(); as e) {
          <p class="g-error" role="alert">{{ e }}</p>
        }
        <div class="actions">
          <button type="button" class="g-button" (click)="modal.dismiss()">Cancel</button>
          <button type="submit" class="g-button filled" [disabled]="where.value === ''">Use it there</button>
        </div>
      </form>
    </div>
  `,
  styles: `
    .quiet {
      color: var(--quiet);
    }
  `,
})
export class UseDialog {
  readonly part = signal<Fitting | null>(null);
  protected readonly modal = inject(NgbActiveModal);
  private readonly store = inject(JobStore);
  private readonly router = inject(Router);
  protected readonly error = signal<string | null>(null);
  protected readonly job = computed(() => this.store.document()?.job);
  /** `survey`, or the line and its way. */
  protected readonly where = new FormControl('', { nonNullable: true });
  protected readonly form = new FormGroup({ where: this.where });
  private readonly chosen = toSignal(this.where.valueChanges.pipe(startWith('')), { requireSync: true });
  protected readonly places = computed((): Choice<string>[] => {
    const lines = [...(this.store.document()?.lines ?? [])].sort((a, b) => a.order - b.order);
    const passes = (this.part()?.ends.length ?? 0) > 1;
    return [
      { value: '', name: 'choose', disabled: true },
      ...(this.part()?.body ? [{ value: 'survey', name: 'in the survey, as a component with its ports' }] : []),
      ...(passes
        ? lines.flatMap((line) =>
            line.ways.map((_, at) => ({ value: `${line.id}/${at}`, name: `L${line.number} ${line.name}, ${placeOf(line, at)}` })),
          )
        : []),
    ];
  });
  protected readonly hint = computed(() => {
    const where = this.chosen();
    if (where === '') return null;
    return where === 'survey'
      ? 'Its ends become ports that lines run from.'
      : 'The ways there are found anew, each with this part in it; you choose one.';
  });

  protected use(): void {
    const part = this.part();
    const job = this.job();
    if (!part || !job || this.where.value === '') return;
    try {
      const path = this.where.value === 'survey' ? this.asComponent(part) : this.asWish(part.id);
      this.modal.close();
      void this.router.navigate(['/job', job.id, ...path.to], { queryParams: path.query });
    } catch (error) {
      if (!(error instanceof CommandError)) throw error;
      this.error.set(error.message);
    }
  }

  private asComponent(part: Fitting): { to: string[]; query: Record<string, string> } {
    const id = uuid();
    const name = part.name.split(',')[0]!.slice(0, 80);
    this.store.change({ do: 'add-component', id, kind: componentKindOf(part), name, part: { id: part.id, there: false } });
    return { to: ['survey'], query: { component: id } };
  }

  /** Beside what is wished there already. */
  private asWish(part: string): { to: string[]; query: Record<string, string> } {
    const [lineId, way] = this.where.value.split('/') as [string, string];
    const line = this.store.document()!.lines.find((l) => l.id === lineId)!;
    const at = Number(way);
    const { wishes = {} } = line.ways[at]!;
    const use = [...new Set([...(wishes.use ?? []), part])].slice(-3);
    const avoid = wishes.avoid?.filter((id) => id !== part);
    this.store.change({
      do: 'edit-way',
      id: line.id,
      at,
      set: { wishes: { ...wishes, use, ...(avoid && avoid.length > 0 ? { avoid } : {}) } },
    });
    return { to: ['lines', line.id], query: {} };
  }
}
