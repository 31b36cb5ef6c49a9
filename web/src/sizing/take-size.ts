import { inject, Injectable } from '@angular/core';
import {
  assembleLine,
  gapOf,
  runCommands,
  takeWayCommands,
  type AssembledLine,
  type Command,
  type CommandOf,
  type SizeColumn,
  type TakeWayCommand,
} from '@gewinde/core';
import { catchError, forkJoin, map, of, type Observable } from 'rxjs';
import { v4 as uuid } from 'uuid';
import { JobStore } from '../data/job-store';
import { JobView } from '../data/job-view';
import { ShopStore } from '../data/shop-store';
import { WaysService } from '../workers/ways-service';

type Edit = Omit<CommandOf<'edit-piece'>, 'version'>;

/** Takes a size for a line: hose and ends, and the ways that this opens solved again where they can be, all as one change. */
@Injectable({ providedIn: 'root' })
export class TakeSize {
  private readonly store = inject(JobStore);
  private readonly view = inject(JobView);
  private readonly shop = inject(ShopStore);
  private readonly ways = inject(WaysService);

  /** Answers how many ways are still open after it. */
  take({ line }: AssembledLine, column: SizeColumn): Observable<number> {
    const last = line.pieces.length - 1;
    const edits = line.pieces.map((piece, i): Edit => ({
      do: 'edit-piece',
      id: line.id,
      piece: piece.key,
      set: { hose: column.hose.id, ...(i === 0 ? { endA: column.endA } : {}), ...(i === last ? { endB: column.endB } : {}) },
    }));
    return this.solved(line.id, edits).pipe(
      map(({ ways, open }) => {
        this.store.attempt(() => this.store.change(...edits, ...ways), `L${line.number} is ${column.size} now`);
        return open;
      }),
    );
  }

  /** The ways that are open once the hose is another. */
  private solved(lineId: string, edits: readonly Edit[]): Observable<{ ways: TakeWayCommand[]; open: number }> {
    const [document, catalogue] = [this.view.document(), this.view.catalogue()];
    if (!document || !catalogue) return of({ ways: [], open: 0 });
    const version = document.lines.find((l) => l.id === lineId)?.version ?? 1;
    const commands = edits.map((edit): Command => ({ ...edit, version }));
    const after = runCommands(document, commands, { newId: uuid, parts: catalogue, versions: 'ignore' }).document;
    const assembled = assembleLine(
      after.lines.find((l) => l.id === lineId)!,
      after,
      catalogue,
    );
    const open = assembled.ways.filter((way) => way.kept.chosen === null);
    const asked = open.flatMap((way) => {
      const gap = gapOf(way);
      if (!gap) return [];
      const options = { wishes: way.kept.wishes ?? {}, weights: this.shop.weights(), limit: 1 };
      return [
        this.ways.ways({ gap, options }).pipe(
          map((answer) => (answer.ways[0] ? takeWayCommands(lineId, way, answer.ways[0]) : [])),
          // a solver that does not answer leaves the way open: the size is taken all the same
          catchError(() => of([])),
        ),
      ];
    });
    if (asked.length === 0) return of({ ways: [], open: open.length });
    return forkJoin(asked).pipe(map((found) => ({ ways: found.flat(), open: open.length - found.filter((f) => f.length > 0).length })));
  }
}
