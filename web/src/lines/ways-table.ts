import { ChangeDetectionStrategy, Component, computed, effect, inject, input, linkedSignal, signal, untracked } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import {
  branchesOf,
  differenceBetween,
  findFitting,
  formatQuantity,
  keptWay,
  partsOf,
  type AssembledEnd,
  type AssembledLine,
  type KeptWay,
  type Way,
  type WaysAnswer,
  type Wishes,
} from '@gewinde/core';
import { NgbModal, NgbNav, NgbNavItem, NgbNavLinkBase, NgbNavLinkButton } from '@ng-bootstrap/ng-bootstrap';
import { catchError, map, of, scan, startWith, switchMap } from 'rxjs';
import { JobStore } from '../data/job-store';
import { JobView } from '../data/job-view';
import { Preferences } from '../data/preferences';
import { ShopStore } from '../data/shop-store';
import { WaysService } from '../workers/ways-service';
import type { WaysQuestion } from '../workers/ways-protocol';
import { MissingParts } from './missing-parts';
import { SensorPlaces } from './sensor-places';
import { WayRow, type WayView } from './way-row';
import { WeightsDialog } from './weights-dialog';
import { WishesPanel } from './wishes-panel';

interface Asked {
  /** Line and end it was asked for. */
  readonly place: string;
  readonly answer: WaysAnswer | null;
  readonly solving: boolean;
  readonly failed: string | null;
}
const NOT_ASKED: Asked = { place: '', answer: null, solving: false, failed: null };

let tables = 0;

/**
 * The ways from a port to its hose end: those that seal at every joint, fewest joints first, drawn small with what decides. The way
 * that is taken and those that are pinned stay in sight, whatever is wished for and solved anew.
 */
@Component({
  selector: 'g-ways-table',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MissingParts, NgbNav, NgbNavItem, NgbNavLinkBase, NgbNavLinkButton, SensorPlaces, WayRow, WishesPanel],
  templateUrl: './ways-table.html',
  styleUrl: './ways-table.scss',
})
export class WaysTable {
  readonly line = input.required<AssembledLine>();
  protected readonly sides = ['A', 'B'] as const;
  protected readonly id = `ways${++tables}-`;
  private readonly waysService = inject(WaysService);
  private readonly store = inject(JobStore);
  private readonly modal = inject(NgbModal);
  private readonly weights = inject(ShopStore).weights;
  protected readonly view = inject(JobView);
  protected readonly preferences = inject(Preferences);

  private readonly lineId = computed(() => this.line().line.id);
  /** Another line shows the end that still needs a way first; within a line the fabricator decides, until a way is taken. */
  protected readonly side = linkedSignal<string, 'A' | 'B'>({
    source: this.lineId,
    computation: () => untracked(() => (this.line().ends[0].chain && !this.line().ends[1].chain ? 'B' : 'A')),
  });
  protected readonly end = computed((): AssembledEnd => this.line().ends[this.side() === 'A' ? 0 : 1]);
  protected readonly kept = computed(() => (this.side() === 'A' ? this.line().line.endA : this.line().line.endB));
  protected readonly wishes = computed((): Wishes => this.kept().wishes ?? {});
  protected readonly wishCount = computed(() => Object.values(this.wishes()).filter((w) => !(Array.isArray(w) && w.length === 0)).length);
  protected readonly wishesOpen = signal(false);
  /** The line as it was when a wish was set last: while it is still shown, by the very press that left the wish's field, nothing is taken. */
  private wishedOn: AssembledLine | null = null;
  /** The way all others are compared with, and the one whose parts are listed, by their keys. */
  protected readonly held = signal<string | null>(null);
  protected readonly unfolded = signal<string | null>(null);

  /** Parts that other ends of the job take: not a further part to buy. */
  private readonly usedElsewhere = computed(() => {
    const { line } = this.line();
    const side = this.side();
    const lines = this.view.document()?.lines ?? [];
    return lines
      .flatMap((l) => [
        { end: l.endA, here: l.id === line.id && side === 'A' },
        { end: l.endB, here: l.id === line.id && side === 'B' },
      ])
      .filter((e) => !e.here)
      .flatMap(({ end }) => [...(end.fittings ?? []), ...(end.branches ?? []).flatMap((b) => b.fittings)].map((link) => link.id))
      .sort();
  });
  /** What the answer depends on, so that an edit elsewhere asks nothing. */
  private readonly question = computed(
    (): { key: string; question: WaysQuestion } | null => {
      const { port, hoseEnd } = this.end();
      if (!hoseEnd || !this.view.catalogue()) return null;
      const weights = this.weights();
      const used = this.usedElsewhere();
      const wishes = this.wishes();
      const options = {
        wishes,
        weights,
        usedElsewhere: new Set(used),
        flow: this.side() === 'A' ? ('from-to' as const) : ('to-from' as const),
      };
      const question = { port: { connector: port.connector, sensor: port.sensor ?? null }, hoseEnd, options };
      return { key: JSON.stringify([question, used]), question };
    },
    { equal: (a, b) => a?.key === b?.key },
  );

  /** What is known of the ways just now: the last answer stays in sight while a new one is worked out at the same end. */
  private readonly asked = toSignal(
    toObservable(computed(() => ({ place: `${this.lineId()} ${this.side()}`, question: this.question() }))).pipe(
      switchMap(({ place, question }) =>
        (question
          ? this.waysService.ways(question.question).pipe(
              map((answer): Partial<Asked> => ({ answer, solving: false })),
              catchError((error: Error) => of<Partial<Asked>>({ failed: error.message, solving: false })),
              startWith<Partial<Asked>>({ failed: null, solving: true }),
            )
          : of<Partial<Asked>>({ answer: null, failed: null, solving: false })
        ).pipe(map((news) => ({ place, ...news }))),
      ),
      scan((last: Asked, news): Asked => ({ ...(last.place === news.place ? last : NOT_ASKED), ...news }), NOT_ASKED),
    ),
    { initialValue: NOT_ASKED },
  );
  protected readonly answer = computed(() => this.asked().answer);
  protected readonly solving = computed(() => this.asked().solving);
  protected readonly failed = computed(() => this.asked().failed);

  protected readonly rows = computed((): WayView[] => {
    const catalogue = this.view.catalogue();
    const { port, hoseEnd } = this.end();
    if (!catalogue || !hoseEnd) return [];
    const { fittings, branches = [], pinned = [] } = this.kept();
    const taken = fittings && keyOf({ fittings, branches });
    const pins = new Set(pinned.map(keyOf));
    const answered = this.answer()?.ways ?? [];
    const known = new Set(answered.map(keyOf));
    const extra = [...(fittings ? [{ fittings, branches }] : []), ...pinned].filter((way) => !known.has(keyOf(way)));
    const others = [...new Map(extra.map((way) => [keyOf(way), keptWay(way, port, hoseEnd, catalogue)])).values()];
    const ways = [...others.filter((way) => way !== undefined), ...answered];
    const reference = ways.find((way) => keyOf(way) === this.held()) ?? ways.find((way) => keyOf(way) === taken);
    return ways.map((way): WayView => {
      const key = keyOf(way);
      const parts = partsOf(way);
      return {
        key,
        way,
        parts: [...new Set(parts)].map((id) => findFitting(catalogue, id)!),
        chosen: key === taken,
        pinned: pins.has(key),
        held: key === this.held(),
        unfolded: key === this.unfolded(),
        sealed: [...way.joints, ...way.branches.flatMap((b) => b.joints)].every((j) => j.outcome === 'seals'),
        narrow: way.leastBoreMm < hoseEnd.boreMm * 0.8,
        ...(reference && reference !== way ? { against: { way: reference, ...differenceBetween(parts, partsOf(reference)) } } : {}),
      };
    });
  });
  protected readonly unit = computed(() => (this.preferences.system() === 'metric' ? 'mm' : 'in'));

  constructor() {
    // what was held or unfolded belongs to one end
    const place = computed(() => `${this.lineId()} ${this.side()}`);
    effect(() => {
      place();
      untracked(() => {
        this.held.set(null);
        this.unfolded.set(null);
      });
    });
  }

  protected choose(way: Way): void {
    // it may not be what is wished for any more
    if (this.solving() || this.wishedOn === this.line()) return;
    const { ends } = this.line();
    const side = this.side();
    const branches = branchesOf(way, this.end().port.id);
    const fittings = way.fittings.map((link) => ({ ...link }));
    const branching = branches.some((b) => b.to === 'line');
    const taken = this.store.attempt(
      () => this.store.change({ do: 'take-way', id: this.lineId(), side, fittings, branches }),
      branching ? 'The branch is a port of the survey now: draw the other line from it.' : undefined,
    );
    if (!taken) return;
    // on to the other end, if that is still open
    if (!ends[side === 'A' ? 1 : 0].chain) this.side.set(side === 'A' ? 'B' : 'A');
  }

  protected pin(view: WayView): void {
    const { pinned = [] } = this.kept();
    const way: KeptWay = { fittings: view.way.fittings.map((link) => ({ ...link })), branches: branchesOf(view.way, this.end().port.id) };
    const others = pinned.filter((p) => keyOf(p) !== view.key);
    this.editEnd({ pinned: view.pinned ? others : [...others, way].slice(-6) });
  }

  protected hold(view: WayView): void {
    this.held.update((key) => (key === view.key ? null : view.key));
  }

  protected unfold(view: WayView): void {
    this.unfolded.update((key) => (key === view.key ? null : view.key));
  }

  /** A part is to be used or avoided from now on; asked again, the wish is dropped. */
  protected wishPart(wish: 'use' | 'avoid', id: string): void {
    const wishes = this.wishes();
    const other = wish === 'use' ? 'avoid' : 'use';
    const list = wishes[wish] ?? [];
    this.setWishes({
      ...wishes,
      [wish]: list.includes(id) ? list.filter((p) => p !== id) : [...list, id].slice(wish === 'use' ? -3 : -20),
      [other]: (wishes[other] ?? []).filter((p) => p !== id),
    });
  }

  protected setWishes(wishes: Wishes): void {
    const said = Object.fromEntries(Object.entries(wishes).filter(([, w]) => w !== undefined && !(Array.isArray(w) && w.length === 0)));
    const before = this.store.document();
    const other = JSON.stringify(said) !== JSON.stringify(this.wishes());
    this.editEnd({ wishes: said });
    if (other && this.store.document() !== before) this.wishedOn = this.line();
  }

  protected weigh(): void {
    this.modal.open(WeightsDialog, { ariaLabelledBy: 'weights-title', size: 'lg' });
  }

  protected length(mm: number): string {
    return formatQuantity(mm, 'length', this.preferences.system(), { decimals: 0, bare: true });
  }

  private editEnd(change: Partial<AssembledLine['line']['endA']>): void {
    const { line } = this.line();
    const field = this.side() === 'A' ? 'endA' : 'endB';
    this.store.edit('line', line.id, { [field]: { ...line[field], ...change } });
  }
}

/** The same for the same parts in the same places. Whom a branch serves counts, not by which port. */
function keyOf({
  fittings,
  branches,
}: {
  fittings: Way['fittings'];
  branches: readonly KeptWay['branches'][number][] | Way['branches'];
}): string {
  const link = (l: Way['fittings'][number]): string => `${l.id}:${l.inEnd}${l.outEnd}`;
  return [...fittings.map(link), ...branches.map((b) => `${b.at}.${b.end}=${b.to}${b.fittings.map(link).join()}`)].join('|');
}
