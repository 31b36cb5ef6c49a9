import { ChangeDetectionStrategy, Component, computed, effect, inject, input, linkedSignal, signal, untracked } from '@angular/core';
import {
  asKept,
  boreLeads,
  fluidOf,
  differenceBetween,
  findFitting,
  findHoseEnd,
  formatQuantity,
  gapOf,
  gapsByCase,
  keptWay,
  partsOfWay,
  portCases,
  takeWayCommands,
  terminalName,
  type AssembledLine,
  type AssembledWay,
  type Catalogue,
  type CommandOf,
  type Gap,
  type KeptWay,
  type Way,
  type WaysAnswer,
  type WaysOptions,
  type Wishes,
} from '@gewinde/core';
import { NgbModal, NgbNav, NgbNavItem, NgbNavLinkBase, NgbNavLinkButton } from '@ng-bootstrap/ng-bootstrap';
import { answered } from '../data/answered';
import { JobStore } from '../data/job-store';
import { JobView } from '../data/job-view';
import { Preferences } from '../data/preferences';
import { ShopStore } from '../data/shop-store';
import { WaysService } from '../workers/ways-service';
import type { WaysQuestion } from '../workers/ways-protocol';
import { CaseTable } from './case-table';
import { MissingParts } from './missing-parts';
import { SensorPlaces } from './sensor-places';
import { WayRow, type WayView } from './way-row';
import { WeightsDialog } from './weights-dialog';
import { WishesPanel } from './wishes-panel';

let tables = 0;

/**
 * The ways across one place of a line, from port to hose, hose to hose or port to port: those that seal at every joint, fewest joints first, drawn small with what decides. The way
 * that is taken and those that are pinned stay in sight, whatever is wished for and solved anew.
 */
@Component({
  selector: 'g-ways-table',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [CaseTable, MissingParts, NgbNav, NgbNavItem, NgbNavLinkBase, NgbNavLinkButton, SensorPlaces, WayRow, WishesPanel],
  templateUrl: './ways-table.html',
  styleUrl: './ways-table.scss',
})
export class WaysTable {
  readonly line = input.required<AssembledLine>();
  protected readonly id = `ways${++tables}-`;
  private readonly waysService = inject(WaysService);
  private readonly store = inject(JobStore);
  private readonly modal = inject(NgbModal);
  private readonly weights = inject(ShopStore).weights;
  protected readonly view = inject(JobView);
  protected readonly preferences = inject(Preferences);

  private readonly lineId = computed(() => this.line().line.id);
  /** Another line shows the way that is still open first; within a line the fabricator decides, until a way is taken. */
  protected readonly at = linkedSignal<string, number>({
    source: this.lineId,
    computation: () =>
      untracked(() =>
        Math.max(
          0,
          this.line().ways.findIndex((w) => !w.fittings),
        ),
      ),
  });
  protected readonly way = computed((): AssembledWay => this.line().ways[this.at()] ?? this.line().ways[0]!);
  protected readonly tabs = computed(() => this.line().ways.map((way) => ({ at: way.at, name: nameOf(way), open: !way.fittings })));
  protected readonly title = computed(() => titleOf(this.way()));
  /** Where the ports beside it are not certain. */
  protected readonly cases = computed(() => gapsByCase(this.way()), { equal: (a, b) => JSON.stringify(a) === JSON.stringify(b) });
  protected readonly caseOptions = computed((): WaysOptions => ({ wishes: this.wishes(), weights: this.weights() }));
  protected readonly waiting = computed(() => {
    const unknown = [this.way().from, this.way().to].find((t) => t.kind === 'port' && portCases(t.port).length === 0);
    return unknown
      ? `The thread of ${terminalName(unknown)} is not known: name it in the survey, or write there what it may be.`
      : 'Choose the hose and its ends at the right first; then the ways that seal are listed here.';
  });
  protected readonly gap = computed((): Gap | undefined => gapOf(this.way()));
  /** Ports beside this way in which a sensor sits. */
  protected readonly seated = computed(() =>
    [this.way().from, this.way().to].flatMap((t) => (t.kind === 'port' && t.port.sensor ? [t.port] : [])),
  );
  protected readonly wishes = computed((): Wishes => this.way().kept.wishes ?? {});
  protected readonly wishCount = computed(() => Object.values(this.wishes()).filter((w) => !(Array.isArray(w) && w.length === 0)).length);
  protected readonly wishesOpen = signal(false);
  /** The line as it was when a wish was set last: while it is still shown, by the very press that left the wish's field, nothing is taken. */
  private wishedOn: AssembledLine | null = null;
  /** The way all others are compared with, and the one whose parts are listed, by their keys. */
  protected readonly held = signal<string | null>(null);
  protected readonly unfolded = signal<string | null>(null);

  /** Parts that other ways of the job take: not a further part to buy. */
  private readonly usedElsewhere = computed(() => {
    const here = this.way();
    return this.view
      .lines()
      .flatMap((l) => (l.line.id === this.lineId() ? this.line().ways : l.ways))
      .filter((w) => w !== here)
      .flatMap(({ kept: { chosen } }) => (chosen ? partsOfWay(chosen).map((link) => link.id) : []))
      .sort();
  });
  /** Line and way that are asked for. */
  private readonly place = computed(() => `${this.lineId()} ${this.at()}`);
  /** What the answer depends on, so that an edit elsewhere asks nothing. */
  private readonly question = computed(
    (): { place: string; key: string; question: WaysQuestion } | null => {
      const gap = this.gap();
      if (!gap || !this.view.catalogue()) return null;
      const used = this.usedElsewhere();
      const options = {
        wishes: this.wishes(),
        weights: this.weights(),
        usedElsewhere: new Set(used),
        fluid: fluidOf(this.line().line),
        ...(boreLeads(this.line().line) ? { boreLeads: true } : {}),
      };
      const question = { gap, options };
      return { place: this.place(), key: JSON.stringify([question, used]), question };
    },
    { equal: (a, b) => a?.place === b?.place && a?.key === b?.key },
  );

  private readonly asked = answered(this.question, ({ question }) => this.waysService.ways(question));
  /** The last answer stays in sight while a new one is worked out at the same place. */
  protected readonly answer = computed((): WaysAnswer | null => {
    const last = this.asked.last();
    return this.question() && last?.to.place === this.place() ? last.answer : null;
  });
  protected readonly solving = this.asked.waiting;
  protected readonly failed = this.asked.failed;

  protected readonly rows = computed((): WayView[] => {
    const catalogue = this.view.catalogue();
    const gap = this.gap();
    if (!catalogue || !gap) return [];
    const { chosen, pinned = [] } = this.way().kept;
    const taken = chosen && keyOf(chosen);
    const pins = new Set(pinned.map(keyOf));
    const answered = this.answer()?.ways ?? [];
    const known = new Set(answered.map(keyOf));
    const extra = [...(chosen ? [chosen] : []), ...pinned].filter((way) => !known.has(keyOf(way)));
    const others = [...new Map(extra.map((way) => [keyOf(way), keptWay(way, gap, catalogue)])).values()];
    const ways = [...others.filter((way) => way !== undefined), ...answered];
    const bore = Math.min(gap.from.boreMm ?? Infinity, gap.to.boreMm ?? Infinity);
    const reference = ways.find((way) => keyOf(way) === this.held()) ?? ways.find((way) => keyOf(way) === taken);
    return ways.map((way): WayView => {
      const key = keyOf(way);
      const parts = partIds(way);
      return {
        key,
        way,
        parts: [...new Set(parts)].map((id) => findFitting(catalogue, id)!),
        ...endOf(way, catalogue),
        chosen: key === taken,
        pinned: pins.has(key),
        held: key === this.held(),
        unfolded: key === this.unfolded(),
        sealed: [...way.joints, ...way.branches.flatMap((b) => b.joints)].every((j) => j.outcome === 'seals'),
        narrow: bore !== Infinity && way.leastBoreMm < bore * 0.8,
        ...(reference && reference !== way ? { against: { way: reference, ...differenceBetween(parts, partIds(reference)) } } : {}),
      };
    });
  });
  protected readonly unit = computed(() => (this.preferences.system() === 'metric' ? 'mm' : 'in'));

  constructor() {
    // what was held or unfolded belongs to one place
    const place = computed(() => `${this.lineId()} ${this.at()}`);
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
    const { ways } = this.line();
    const at = this.way().at;
    const branching = way.branches.some((b) => b.to === 'line');
    const end = findHoseEnd(this.view.catalogue()!, way.otherEnd ?? null);
    const said = [
      ...(end
        ? [`${end.name} is on the hose now: ${this.line().pieces.some((p) => p.piece.length) ? 'tape it again.' : 'tape it with that.'}`]
        : []),
      ...(branching ? ['The branch is a port of the survey now: draw the other line from it.'] : []),
    ];
    const taken = this.store.attempt(
      () => this.store.change(...takeWayCommands(this.lineId(), this.way(), way)),
      said.length > 0 ? said.join(' ') : undefined,
    );
    if (!taken) return;
    // on to the next one that is still open
    const open = ways.find((w) => w.at !== at && !w.fittings);
    if (open) this.at.set(open.at);
  }

  protected pin(view: WayView): void {
    const { pinned = [] } = this.way().kept;
    const others = pinned.filter((p) => keyOf(p) !== view.key);
    this.editWay({ pinned: view.pinned ? others : [...others, asKept(view.way)].slice(-6) });
  }

  /** What stands between two hoses goes, and they are one again. */
  protected join(): void {
    const { id, number } = this.line().line;
    const at = this.way().at;
    if (this.store.attempt(() => this.store.change({ do: 'join-line', id, at }), `L${number} is whole again: tape it anew`))
      this.at.set(at - 1);
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
    this.editWay({ wishes: said });
    if (other && this.store.document() !== before) this.wishedOn = this.line();
  }

  protected weigh(): void {
    this.modal.open(WeightsDialog, { ariaLabelledBy: 'weights-title', size: 'lg' });
  }

  protected length(mm: number): string {
    return formatQuantity(mm, 'length', this.preferences.system(), { decimals: 0, bare: true });
  }

  private editWay(set: CommandOf<'edit-way'>['set']): void {
    const at = this.way().at;
    this.store.attempt(() => this.store.change({ do: 'edit-way', id: this.lineId(), at, set }));
  }
}

/** `End A`, `End B`, `Between 1 and 2`; a line without hose has only one way. */
function nameOf({ at, from, to }: AssembledWay): string {
  if (from.kind === 'port') return to.kind === 'port' ? 'Fittings' : 'End A';
  return to.kind === 'port' ? 'End B' : `Between ${at} and ${at + 1}`;
}

function titleOf({ at, from, to }: AssembledWay): string {
  if (from.kind === 'port' && to.kind === 'port') return `Ways from ${terminalName(from)} to ${terminalName(to)}`;
  const port = from.kind === 'port' ? from : to;
  return port.kind === 'port' ? `Ways from ${terminalName(port)} to the hose end` : `Ways between hose ${at} and hose ${at + 1}`;
}

function endOf({ otherEnd }: Way, catalogue: Catalogue): Pick<WayView, 'end'> {
  const end = findHoseEnd(catalogue, otherEnd ?? null);
  return end ? { end } : {};
}

function partIds(way: Way): string[] {
  return partsOfWay(way).map((link) => link.id);
}

/** The same for the same parts in the same places. Whom a branch serves counts, not by which port. */
function keyOf({
  fittings,
  branches,
  otherEnd,
}: {
  fittings: Way['fittings'];
  branches: readonly KeptWay['branches'][number][] | Way['branches'];
  otherEnd?: string;
}): string {
  const link = (l: Way['fittings'][number]): string => `${l.id}:${l.inEnd}${l.outEnd}`;
  const parts = [...fittings.map(link), ...branches.map((b) => `${b.at}.${b.end}=${b.to}${b.fittings.map(link).join()}`)];
  return [...parts, ...(otherEnd === undefined ? [] : [`end ${otherEnd}`])].join('|');
}
