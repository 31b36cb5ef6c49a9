import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { FormControl, ReactiveFormsModule } from '@angular/forms';
import { ActivatedRoute, Router, RouterLink } from '@angular/router';
import {
  cutTickets,
  madeForLine,
  newLengthEach,
  openPacks,
  priceFor,
  stockContracts,
  type BuyableOffer,
  type CutPiece,
  type GroupPlan,
  type MadeHose,
  formatRun,
} from '@gewinde/core';
import { NgbDropdown, NgbDropdownItem, NgbDropdownMenu, NgbDropdownToggle, NgbModal } from '@ng-bootstrap/ng-bootstrap';
import { firstValueFrom, map } from 'rxjs';
import { Api } from '../data/api';
import { JobView } from '../data/job-view';
import { Messages } from '../data/messages';
import { Outside } from '../data/outside';
import { Preferences } from '../data/preferences';
import { StockroomStore } from '../data/stockroom-store';
import { Icon } from '../shared/icon';
import { CutPlans } from '../stock/cut-plans';
import { HoseBooking } from '../stock/hose-booking';
import { shortDay } from '../data/today';
import { StoreRulesDialog } from '../stock/store-rules-dialog';
import { AtTheSaw } from './at-the-saw';
import { sawOrder, shownGroup } from './bars';
import { CutBars } from './cut-bars';
import { Ticket } from './ticket';

/** Which hose from which length: the plan as bars, what is done at the saw, and the tickets. */
@Component({
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    RouterLink,
    Icon,
    Ticket,
    CutBars,
    AtTheSaw,
    ReactiveFormsModule,
    NgbDropdown,
    NgbDropdownMenu,
    NgbDropdownToggle,
    NgbDropdownItem,
  ],
  templateUrl: './cut.html',
  styleUrl: './cut.scss',
})
export class Cut {
  private readonly view = inject(JobView);
  private readonly router = inject(Router);
  private readonly route = inject(ActivatedRoute);
  private readonly modal = inject(NgbModal);
  private readonly api = inject(Api);
  private readonly messages = inject(Messages);
  protected readonly preferences = inject(Preferences);
  private readonly outside = inject(Outside);
  protected readonly plans = inject(CutPlans);
  protected readonly stock = inject(StockroomStore);
  protected readonly booking = inject(HoseBooking);
  protected readonly job = computed(() => this.view.document()?.job);
  protected readonly initials = new FormControl(this.preferences.initials(), { nonNullable: true });
  /** `?show=tickets`. */
  protected readonly show = toSignal(this.route.queryParamMap.pipe(map((q) => (q.get('show') === 'tickets' ? 'tickets' : 'plan'))), {
    requireSync: true,
  });
  protected readonly tickets = computed(() => {
    const job = this.view.job();
    return job ? cutTickets(job) : null;
  });
  private readonly planOf = computed(() => new Map(this.plans.plans().map((p) => [p.part, p])));
  protected readonly groups = computed(() => (this.plans.work()?.groups ?? []).map((g) => shownGroup(g, this.planOf().get(g.part))));
  protected readonly sequence = computed(() => sawOrder(this.groups()));
  /** The piece that is worked on: the next to be sawn, unless another was chosen. */
  private readonly chosen = signal<string | null>(null);
  protected readonly current = linkedSignal(() => {
    const open = this.sequence().filter((s) => !s.shown.done);
    return (open.find((s) => s.shown.piece.id === this.chosen()) ?? open[0])?.shown.piece.id ?? null;
  });
  protected readonly waiting = computed(() =>
    this.groups().flatMap(({ group, plan }) => {
      const fresh = plan?.bars.filter((b) => b.kind === 'new') ?? [];
      if (fresh.length === 0) return [];
      const pieces = fresh.flatMap((b) => b.pieces.map((p) => p.id));
      const mm = fresh.reduce((sum, b) => sum + b.lengthMm, 0);
      return [{ part: group.name, pieces, mm, coming: this.coming(group.part) }];
    }),
  );
  protected readonly tooLong = computed(() =>
    this.groups().flatMap(({ group, plan }) => (plan?.unmet ?? []).map((id) => `${id}, ${group.name}`)),
  );
  protected readonly made = computed(() => {
    const job = this.view.job();
    const id = this.job()?.id;
    if (!job || id === undefined) return [];
    const open = new Map(
      (this.plans.work()?.groups ?? []).flatMap((g) => g.toCut.filter((p) => p.of === 'hose').map((p) => [`${p.lineId} ${p.piece}`, p])),
    );
    return job.lines.flatMap((line) =>
      madeForLine(line, this.stock.lengths(), id).flatMap((m) => {
        const piece = open.get(`${line.line.id} ${line.pieces[m.at]!.piece.key}`);
        return piece ? [{ line: line.line, piece, ...m }] : [];
      }),
    );
  });
  /** How it stands, in one line. */
  protected readonly summary = computed(() => {
    const plans = this.plans.plans();
    const pieces = plans.reduce((sum, p) => sum + p.bars.reduce((n, b) => n + b.pieces.length, 0), 0);
    if (pieces === 0) return this.sequence().length > 0 ? 'everything is cut' : '';
    const lengths = plans.reduce((sum, p) => sum + p.bars.length, 0);
    const fresh = plans.reduce((sum, p) => sum + p.bars.reduce((mm, b) => mm + (b.kind === 'new' ? b.lengthMm : 0), 0), 0);
    const proven = plans.every((p) => p.proven);
    const gap = plans.reduce((sum, p) => sum + p.openedMm - p.boundMm, 0);
    const state = this.plans.working() ? 'being proven' : proven ? 'proven least' : `within ${this.run(gap)} of the least there can be`;
    return `${count(pieces, 'piece')} from ${count(lengths, 'length')} · ${state}${fresh > 0 ? `: ${this.run(fresh)} of new hose` : ''}`;
  });
  protected readonly saving = computed(() => {
    const offers = new Map(this.plans.offers().map((o) => [o.id, o]));
    const problems = this.plans.problems();
    const each = problems.map((p) => newLengthEach(p, this.plans.rules()));
    const price = (from: string, packs: number, part: string): number | undefined =>
      priceOf(offers.get(from), packs) ?? this.metrePrice(part, packs);
    const sum = (list: readonly (number | undefined)[]): number | undefined =>
      list.includes(undefined) ? undefined : (list as number[]).reduce((a, b) => a + b, 0);
    const plans = this.plans.plans();
    return {
      each: sum(problems.flatMap((p, i) => each[i]!.map((e) => price(e.from, e.packs, p.part)))),
      plan: sum(plans.flatMap((p) => p.bars.filter((b) => b.kind === 'new').map((b) => price(b.from, b.packs ?? 1, p.part)))),
      offcuts: usedUp(plans),
      offcutsThere: this.plans.work()?.groups.reduce((n, g) => n + g.lengths.filter((l) => l.kind === 'offcut').length, 0) ?? 0,
      left: plans.flatMap((p) => p.bars.filter((b) => b.useful && b.kind !== 'reel').map((b) => b.remainderMm)),
    };
  });

  protected open(show: 'plan' | 'tickets'): void {
    void this.router.navigate([], { relativeTo: this.route, queryParams: show === 'tickets' ? { show } : {} });
  }

  protected choose(id: string): void {
    this.chosen.set(id);
  }

  protected print(): void {
    window.print();
  }

  protected pdf(as: 'tickets' | 'sheet' | 'single'): string {
    return `/api/jobs/${this.job()?.id}/tickets.pdf?as=${as}&units=${this.preferences.system()}`;
  }

  protected setInitials(): void {
    this.preferences.initials.set(this.initials.value.trim().slice(0, 12));
  }

  protected rules(): void {
    this.modal.open(StoreRulesDialog, { ariaLabelledBy: 'store-rules-title', size: 'lg', scrollable: true });
  }

  /** What is planned is kept for this job, or given free again. */
  protected async book(reserve: boolean): Promise<void> {
    try {
      await (reserve ? this.booking.reserve() : this.booking.release());
      this.messages.tell(reserve ? 'The lengths of this plan are reserved for this job' : 'Nothing is reserved for this job any more');
    } catch (error) {
      this.messages.fault(error);
    }
  }

  protected async toPrinter(): Promise<void> {
    const id = this.job()?.id;
    if (id === undefined) return;
    try {
      const { labels } = await firstValueFrom(
        this.api.call(stockContracts.printLabels, { params: { id }, body: { units: this.preferences.system() } }),
      );
      this.messages.tell(`${labels.length} labels are at ${this.outside.told()?.printer.name ?? 'the label printer'}`);
    } catch (error) {
      this.messages.fault(error);
    }
  }

  /** On which order a part is on its way, and when it is due. */
  private coming(part: string): string | null {
    const id = this.job()?.id;
    const order = this.stock
      .room()
      .orders.find(
        (o) =>
          o.state !== 'cancelled' &&
          (o.jobIds.length === 0 || (id !== undefined && o.jobIds.includes(id))) &&
          o.lines.some((l) => openPacks(l) > 0 && l.holds.some((h) => h.part === part)),
      );
    const due = order?.lines.find((l) => l.holds.some((h) => h.part === part))?.due;
    return order ? `on order ${order.number}${due ? `, due ${shortDay(due)}` : ''}` : null;
  }

  /** A hose that is made already goes to its line; what comes off it goes back to the rack. */
  protected async useMade({ piece }: { readonly piece: CutPiece }, { length, shortenMm }: MadeHose): Promise<void> {
    const job = this.job();
    if (!job) return;
    try {
      await firstValueFrom(
        this.stock.change({
          do: 'use-made',
          id: length.id,
          version: length.version,
          jobId: job.id,
          lineId: piece.lineId,
          piece: piece.piece,
          ticket: piece.id,
          cutMm: piece.cutMm,
          ...(shortenMm > 0 ? { restMm: shortenMm } : {}),
        }),
      );
      this.messages.tell(`${length.id} is used for ${piece.id}`);
    } catch (error) {
      this.messages.fault(error);
    }
  }

  protected incomplete(pieces: readonly string[]): string {
    return pieces.join(', ');
  }
  protected run(mm: number): string {
    return formatRun(mm, this.preferences.system());
  }
  protected readonly longest = (list: readonly number[]): number => Math.max(...list);
  protected readonly money = (minor: number | undefined): string => (minor === undefined ? '—' : `€ ${(minor / 100).toFixed(2)}`);

  /** Where no offer says: by the metre, at the price of the catalogue. */
  private metrePrice(part: string, metresOf: number): number | undefined {
    const catalogue = this.view.catalogue();
    const minor =
      catalogue?.hoses.find((h) => h.id === part)?.pricePerMetreMinor ?? catalogue?.supplies.find((s) => s.id === part)?.priceMinor;
    return minor === undefined ? undefined : minor * metresOf;
  }
}

const priceOf = (offer: BuyableOffer | undefined, packs: number): number | undefined =>
  offer ? packs * priceFor(offer, packs) : undefined;
const usedUp = (plans: readonly GroupPlan[]): number => plans.reduce((n, p) => n + p.bars.filter((b) => b.kind === 'offcut').length, 0);
const count = (n: number, one: string): string => `${n} ${one}${n === 1 ? '' : 's'}`;
