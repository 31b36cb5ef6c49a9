import { ChangeDetectionStrategy, Component, inject, input, output } from '@angular/core';
import { formatMakeUp, type AssembledLine, type LineJoint } from '@gewinde/core';
import { Preferences } from '../data/preferences';
import { SealGlyph } from '../shared/seal-glyph';

/** One cell a joint: glyph, number, what seals it, make-up figure. */
@Component({
  selector: 'g-seal-row',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [SealGlyph],
  templateUrl: './seal-row.html',
  styleUrl: './seal-row.scss',
})
export class SealRow {
  readonly line = input.required<AssembledLine>();
  readonly chosen = input<number | null>(null);
  readonly choose = output<number>();
  private readonly preferences = inject(Preferences);

  protected makeUp(j: LineJoint): string {
    return j.mating.makeUp ? formatMakeUp(j.mating.makeUp, this.preferences.system()) : '';
  }

  protected words(j: LineJoint): string {
    return j.mating.seal?.method ?? (j.mating.outcome === 'leaks' ? 'leaks' : 'does not join');
  }
}
