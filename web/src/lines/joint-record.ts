import { ChangeDetectionStrategy, Component, computed, effect, inject, input, untracked } from '@angular/core';
import { FormControl, FormGroup, ReactiveFormsModule } from '@angular/forms';
import { foundActions, foundStates, placedParts, type AssembledLine, type Found, type LineJoint } from '@gewinde/core';
import { JobStore } from '../data/job-store';
import { ChoiceField, plainChoices } from '../shared/choice-field';
import { TextField } from '../shared/text-field';

/** How a joint that was there already was found, what was done about it; and what of it is in for the mock-up only. */
@Component({
  selector: 'g-joint-record',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ChoiceField, ReactiveFormsModule, TextField],
  template: `
    <div class="flags" role="group" aria-label="Provisional, not the final one">
      <p class="caption">Provisional, not the final one</p>
      @for (t of things(); track t.id) {
        <label
          ><input type="checkbox" [checked]="t.provisional" (change)="flag(t.id, !t.provisional)" /><span>{{ t.name }}</span></label
        >
      }
    </div>
    <form [formGroup]="form" aria-label="Record of the joint" (change)="keep()" (ngSubmit)="keep()">
      <g-choice-field label="As found" [choices]="states" [control]="form.controls.state" />
      @if (form.controls.state.value) {
        <g-choice-field label="Done about it" [choices]="actions" [control]="form.controls.action" />
        <g-text-field label="In words" placeholder="wrench marks on the nut" limit="jointWords" [control]="form.controls.words" />
      }
    </form>
  `,
  styles: `
    :host,
    .flags,
    form {
      display: flex;
      flex-direction: column;
      gap: 6px;
    }
    .caption {
      color: var(--quiet);
      font-size: 13px;
    }
    label {
      display: flex;
      gap: 8px;
      align-items: baseline;
    }
  `,
})
export class JointRecord {
  readonly joint = input.required<LineJoint>();
  readonly line = input.required<AssembledLine>();
  private readonly store = inject(JobStore);

  protected readonly states = [{ value: null, name: 'not looked at' }, ...plainChoices(foundStates)];
  protected readonly actions = plainChoices(foundActions);
  protected readonly form = new FormGroup({
    state: new FormControl<Found['state'] | null>(null),
    action: new FormControl<Found['action']>('nothing yet', { nonNullable: true }),
    words: new FormControl('', { nonNullable: true }),
  });
  /** The joint, and the fittings that meet in it. */
  protected readonly things = computed(() => {
    const { line, ways } = this.line();
    const { id, number } = this.joint();
    const meeting = id.split('>').map((key) => key.split('.')[0]);
    const fittings = placedParts(ways).filter(({ key }) => meeting.includes(key));
    const flagged = new Set(line.provisional);
    return [{ id, name: `Joint ${number}` }, ...fittings.map(({ key, fitting }) => ({ id: key, name: fitting.name }))].map((t) => ({
      ...t,
      provisional: flagged.has(t.id),
    }));
  });
  /** What others do to the line does not take the text away that is being typed. */
  private readonly record = computed(() => this.line().line.found?.find((f) => f.joint === this.joint().id), {
    equal: (a, b) => JSON.stringify(a) === JSON.stringify(b),
  });
  private readonly about = computed(() => `${this.line().line.id} ${this.joint().id}`);

  constructor() {
    effect(() => {
      this.about();
      const { state = null, action = 'nothing yet', words = '' } = this.record() ?? {};
      untracked(() => this.form.setValue({ state, action, words }, { emitEvent: false }));
    });
  }

  protected flag(id: string, provisional: boolean): void {
    const { line } = this.line();
    const others = (line.provisional ?? []).filter((other) => other !== id);
    this.store.edit('line', line.id, { provisional: provisional ? [...others, id] : others });
  }

  protected keep(): void {
    const { line } = this.line();
    const { state, action, words } = this.form.getRawValue();
    const joint = this.joint().id;
    const others = (line.found ?? []).filter((f) => f.joint !== joint);
    const found = state ? [...others, { joint, state, action, words }] : others;
    if (JSON.stringify(found) !== JSON.stringify(line.found ?? [])) this.store.edit('line', line.id, { found });
  }
}
