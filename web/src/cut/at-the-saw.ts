import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import { formatCut, type CutGroup, type CutMade } from '@gewinde/core';
import { NgbModal } from '@ng-bootstrap/ng-bootstrap';
import { firstValueFrom } from 'rxjs';
import { v4 as uuid } from 'uuid';
import { JobView } from '../data/job-view';
import { Messages } from '../data/messages';
import { Preferences } from '../data/preferences';
import { StockroomStore } from '../data/stockroom-store';
import type { ShownBar, ShownPiece } from './bars';
import { MeasuredDialog } from './measured-dialog';
import { SpoilDialog } from './spoil-dialog';
import { TakeBackDialog } from './take-back-dialog';

export interface AtTheBench {
  readonly shown: ShownPiece;
  readonly bar: ShownBar;
  readonly group: CutGroup;
}

/** The pieces in the order of the hands; the one that is sawn next large, to be ticked off with the length as it was measured. */
@Component({
  selector: 'g-at-the-saw',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './at-the-saw.html',
  styleUrl: './at-the-saw.scss',
})
export class AtTheSaw {
  readonly sequence = input.required<readonly AtTheBench[]>();
  readonly current = input<string | null>(null);
  readonly over = input<readonly CutMade[]>([]);
  readonly choose = output<string>();
  private readonly view = inject(JobView);
  private readonly stock = inject(StockroomStore);
  private readonly messages = inject(Messages);
  private readonly modal = inject(NgbModal);
  private readonly preferences = inject(Preferences);
  protected readonly busy = signal(false);
  protected readonly rows = computed(() =>
    [...this.sequence()].sort((a, b) => Number(b.shown.done !== undefined) - Number(a.shown.done !== undefined)),
  );

  protected figure(mm: number): string {
    return formatCut(mm, this.preferences.system());
  }
  protected bare(mm: number): string {
    return formatCut(mm, this.preferences.system(), true);
  }
  /** What is cut off the end before this piece: once a bar. */
  protected trimmed({ shown, bar }: AtTheBench): number {
    return bar.pieces.find((p) => !p.done)?.piece.id === shown.piece.id ? bar.bar.trimMm : 0;
  }

  /** As planned, with one press. */
  protected cut(at: AtTheBench): Promise<void> {
    return this.book(at, at.shown.lengthMm);
  }

  protected async measured(at: AtTheBench): Promise<void> {
    const dialog = this.modal.open(MeasuredDialog, { ariaLabelledBy: 'measured-title' });
    const form = dialog.componentInstance as MeasuredDialog;
    form.start(at.shown.piece.id, at.shown.lengthMm, at.bar.bar.lengthMm, this.trimmed(at));
    const said = (await dialog.result.catch(() => undefined)) as { measuredMm: number; trimmedMm: number; leftMm?: number } | undefined;
    if (said) await this.book(at, said.measuredMm, said.trimmedMm, said.leftMm);
  }

  protected async trim({ shown }: AtTheBench): Promise<void> {
    const { made, piece } = shown.done!;
    const dialog = this.modal.open(MeasuredDialog, { ariaLabelledBy: 'measured-title' });
    (dialog.componentInstance as MeasuredDialog).trim(piece.id, piece.cutMm, made.finalMm ?? made.measuredMm);
    const said = (await dialog.result.catch(() => undefined)) as { measuredMm: number } | undefined;
    if (said)
      await this.attempt(
        () => firstValueFrom(this.stock.change({ do: 'trim-cut', id: made.id, version: made.version, finalMm: said.measuredMm })),
        `${piece.id} is trimmed to ${this.figure(said.measuredMm)}`,
      );
  }

  /** A piece that cannot be used: what it costs is told before it is said. */
  protected async spoiled({ shown, group }: AtTheBench): Promise<void> {
    const dialog = this.modal.open(SpoilDialog, { ariaLabelledBy: 'spoil-title' });
    (dialog.componentInstance as SpoilDialog).start(shown, group);
    await dialog.result.catch(() => undefined);
  }

  /** A cut that was not to be: not sawn, its length is whole again; sawn, the piece hangs on the rack. */
  protected async takeBack(made: CutMade): Promise<void> {
    const dialog = this.modal.open(TakeBackDialog, { ariaLabelledBy: 'take-back-title' });
    (dialog.componentInstance as TakeBackDialog).cut.set(made);
    const sawn = (await dialog.result.catch(() => undefined)) as boolean | undefined;
    if (sawn === undefined) return;
    await this.attempt(
      () => firstValueFrom(this.stock.change({ do: 'take-back-cut', id: made.id, version: made.version, sawn })),
      sawn ? `${made.ticket} hangs on the rack` : `${made.lengthId} is whole again`,
    );
  }

  private async book({ shown, bar }: AtTheBench, measuredMm: number, trimmedMm?: number, leftMm?: number): Promise<void> {
    const job = this.view.document()?.job;
    const { length } = bar;
    if (!job || !length) return;
    const { piece } = shown;
    const trimmed = trimmedMm ?? this.trimmed({ shown, bar } as AtTheBench);
    await this.attempt(
      () =>
        firstValueFrom(
          this.stock.change({
            do: 'cut-piece',
            id: uuid(),
            jobId: job.id,
            lineId: piece.lineId,
            piece: piece.piece,
            of: piece.of,
            ticket: piece.id,
            lengthId: length.id,
            lengthVersion: length.version,
            plannedMm: piece.lengthMm,
            trimMm: piece.trimMm,
            measuredMm,
            trimmedMm: trimmed,
            ...(leftMm === undefined ? {} : { leftMm }),
          }),
        ),
      `${piece.id} is cut off ${length.id}`,
    );
  }

  private async attempt(what: () => Promise<unknown>, words: string): Promise<void> {
    if (this.busy()) return;
    this.busy.set(true);
    try {
      await what();
      this.messages.tell(words);
    } catch (error) {
      this.messages.fault(error);
    } finally {
      this.busy.set(false);
    }
  }
}
