import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { formatCut, formatQuantity, hoseLimits, pieceDrawing, type CutTicket } from '@gewinde/core';
import { Preferences } from '../data/preferences';
import { Dial } from '../shared/dial';
import { DrawingView } from '../shared/drawing';

/** One hose on one tag: what to cut, in figures that read at arm's length, what goes on it, and a label for each end. */
@Component({
  selector: 'g-ticket',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [DrawingView, Dial],
  templateUrl: './ticket.html',
  styleUrl: './ticket.scss',
})
export class Ticket {
  readonly ticket = input.required<CutTicket>();
  private readonly preferences = inject(Preferences);

  /** What the hose bears. */
  protected readonly limits = computed(() => {
    const { hose } = this.ticket().piece;
    return hose ? hoseLimits(hose, this.preferences.system()) : '';
  });
  protected readonly cut = computed(() => formatCut(this.ticket().cutMm, this.preferences.system()));
  /** What comes off a hose that is on the car already. */
  protected readonly shorten = computed(() => {
    const { shortenMm } = this.ticket();
    return shortenMm === undefined ? null : formatQuantity(shortenMm, 'length', this.preferences.system());
  });
  protected readonly otherCut = computed(() => formatCut(this.ticket().cutMm, this.preferences.system() === 'metric' ? 'inch' : 'metric'));
  protected readonly assembly = computed(() => formatQuantity(this.ticket().assemblyMm, 'length', this.preferences.system()));
  protected readonly drawing = computed(() =>
    pieceDrawing(this.ticket().assembled, this.ticket().piece, { width: 430, height: 132, system: this.preferences.system() }),
  );
}
