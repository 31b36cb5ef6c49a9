import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { formatCut, formatMakeUp, formatQuantity, hoseLimits, labelCode, pieceDrawing, type CutTicket, type Job } from '@gewinde/core';
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
  /** The job it is for, on the ticket. */
  readonly job = input.required<Job>();
  protected readonly today = longDay();
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
  protected readonly taped = computed(() => {
    const { tapedMm } = this.ticket();
    return tapedMm === undefined ? null : formatQuantity(tapedMm, 'length', this.preferences.system());
  });

  protected makeUp(joint: CutTicket['ends'][number]['joints'][number]): string {
    return joint.makeUp ? formatMakeUp(joint.makeUp, this.preferences.system()) : 'by its maker';
  }
  protected code(side: 'A' | 'B'): string {
    return `/api/codes.svg?text=${encodeURIComponent(labelCode(this.ticket().number, side))}`;
  }
  protected readonly drawing = computed(() =>
    pieceDrawing(this.ticket().assembled, this.ticket().piece, { width: 430, height: 132, system: this.preferences.system() }),
  );
}

/** The day it is printed. */
function longDay(): string {
  return new Date().toLocaleDateString('en-GB', { day: 'numeric', month: 'short', year: 'numeric' });
}
