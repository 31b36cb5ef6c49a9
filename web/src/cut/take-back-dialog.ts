import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { formatCut, type CutMade } from '@gewinde/core';
import { NgbActiveModal } from '@ng-bootstrap/ng-bootstrap';
import { Preferences } from '../data/preferences';

/** A cut is taken back: closes with whether the piece was sawn. What becomes of the hose is said before. */
@Component({
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <header class="modal-header">
      <h2 id="take-back-title">Take the cut of {{ cut()?.ticket }} back</h2>
    </header>
    <div class="modal-body">
      @if (words(); as w) {
        <p>Not sawn yet: {{ w.length }} gets its {{ w.took }} back, the {{ w.kerf }} of kerf and trim with it.</p>
        <p>Sawn already: the piece of {{ w.piece }} goes to the rack as an offcut. {{ w.kerf }} of kerf and trim are gone.</p>
      }
    </div>
    <footer class="modal-footer">
      <button type="button" class="g-button" (click)="modal.dismiss()">Cancel</button>
      <button type="button" class="g-button" (click)="modal.close(true)">It was sawn</button>
      <button type="button" class="g-button filled" (click)="modal.close(false)">It was not sawn</button>
    </footer>
  `,
})
export class TakeBackDialog {
  protected readonly modal = inject(NgbActiveModal);
  private readonly preferences = inject(Preferences);
  readonly cut = signal<CutMade | null>(null);
  protected readonly words = computed(() => {
    const cut = this.cut();
    if (!cut) return null;
    const show = (mm: number): string => formatCut(mm, this.preferences.system());
    const took = cut.tookMm ?? cut.measuredMm;
    return {
      length: cut.lengthId,
      took: show(took),
      kerf: show(Math.max(0, took - cut.measuredMm)),
      piece: show(cut.finalMm ?? cut.measuredMm),
    };
  });
}
