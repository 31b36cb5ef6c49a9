import { ChangeDetectionStrategy, Component, input, output, signal } from '@angular/core';
import { FormControl, ReactiveFormsModule } from '@angular/forms';
import { TextField } from '../shared/text-field';

const NAME_KEPT = 'gewinde.apprentice';

/** Who was at the bench last, on this computer. */
export const lastAtTheBench = (): string => localStorage.getItem(NAME_KEPT) ?? '';

/** Under whose name the answers are kept. */
@Component({
  selector: 'g-who-at-the-bench',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ReactiveFormsModule, TextField],
  template: `
    <form class="who" (submit)="$event.preventDefault(); say()">
      <g-text-field label="Who is at the bench" placeholder="first name" limit="apprentice" [control]="name" />
      <button type="submit" class="g-button small">{{ begun() ? 'Change' : 'Begin' }}</button>
    </form>
    @if (missing()) {
      <p class="g-error" role="alert">Type a name first; the results are kept under it.</p>
    }
  `,
  styles: `
    .who {
      display: grid;
      grid-template-columns: 1fr auto;
      gap: 6px;
      align-items: end;
      margin-bottom: 12px;
    }
    .g-button {
      min-height: 32px;
    }
  `,
})
export class WhoAtTheBench {
  readonly begun = input(false);
  readonly named = output<string>();
  protected readonly name = new FormControl(lastAtTheBench(), { nonNullable: true });
  protected readonly missing = signal(false);

  protected say(): void {
    const name = this.name.value.trim();
    this.missing.set(name === '');
    if (name === '') return;
    localStorage.setItem(NAME_KEPT, name);
    this.named.emit(name);
  }
}
