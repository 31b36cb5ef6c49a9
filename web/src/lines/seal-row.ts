import { ChangeDetectionStrategy, Component, ElementRef, inject, input, output } from '@angular/core';
import { formatMakeUp, type AssembledLine, type JointState, type LineJoint } from '@gewinde/core';
import { NgbTooltip } from '@ng-bootstrap/ng-bootstrap';
import { Preferences } from '../data/preferences';
import { SealGlyph } from '../shared/seal-glyph';

/** One cell a joint: glyph, number, what seals it, make-up figure. */
@Component({
  selector: 'g-seal-row',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [NgbTooltip, SealGlyph],
  templateUrl: './seal-row.html',
  styleUrl: './seal-row.scss',
})
export class SealRow {
  readonly line = input.required<AssembledLine>();
  readonly chosen = input<number | null>(null);
  readonly choose = output<number>();
  protected readonly stateWords: Record<JointState, string> = { sealed: 'seals,', needs: 'needs', leaks: '', made: 'made,' };
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);
  private readonly preferences = inject(Preferences);

  protected makeUp(j: LineJoint): string {
    return j.mating.makeUp ? formatMakeUp(j.mating.makeUp, this.preferences.system()) : '';
  }

  protected words(j: LineJoint): string {
    return j.mating.seal?.method ?? (j.mating.outcome === 'leaks' ? 'leaks' : 'does not join');
  }

  /** The focus goes along with the choice. */
  protected go(by: 1 | -1): void {
    const cells = [...this.host.nativeElement.querySelectorAll<HTMLElement>('.cell')];
    const at = cells.findIndex((cell) => cell === document.activeElement);
    const next = (at + by + cells.length) % cells.length;
    cells[next]?.focus();
    const joint = this.line().joints[next];
    if (joint && joint.number !== this.chosen()) this.choose.emit(joint.number);
  }
}
