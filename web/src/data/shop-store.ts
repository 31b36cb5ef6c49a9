import { computed, inject, Injectable } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import {
  catalogueOf,
  newsOf,
  shopContracts,
  usualSealRules,
  usualWeights,
  type AnswerOf,
  type Catalogue,
  type ListMoney,
  type ListPreview,
  type PartEntry,
  type PartSection,
  type Progress,
  type ShopChange,
  type SealRulesRow,
  type ShopCommand,
  type JudgingSchools,
  type WeightsRow,
  type FlowRulesRow,
  type JudgingRulesRow,
  usualFlowRules,
  usualJudgingRules,
} from '@gewinde/core';
import { BehaviorSubject, defer, distinctUntilChanged, filter, map, type Observable, Subject, switchMap, tap } from 'rxjs';
import { v4 as uuid } from 'uuid';
import { Api, ApiError } from './api';
import { keepTrying } from './in-order';
import { ShopOutbox } from './shop-outbox';

/** What all jobs share, as far as this tab has heard. */
interface Shop extends Progress {
  readonly catalogue: Catalogue;
  readonly weights: WeightsRow;
  readonly sealRules: SealRulesRow;
  readonly flowRules: FlowRulesRow;
  readonly judgingRules: JudgingRulesRow;
  /** Parts in the database that do not hold together: nothing is built on them. */
  readonly unsound: readonly { readonly id: string; readonly problem: string }[];
}

/** The catalogue and what the shop weighs: read once, then followed change by change. */
@Injectable({ providedIn: 'root' })
export class ShopStore {
  private readonly api = inject(Api);
  private readonly outbox = inject(ShopOutbox);
  private readonly asked = new BehaviorSubject<void>(undefined);
  private readonly state = new BehaviorSubject<Shop | null>(null);
  /** Changes of the shop as they are taken in: for what is shown of a part beside the catalogue. */
  readonly changes = new Subject<ShopChange>();
  /** Everything is read anew. */
  readonly reloaded = new Subject<void>();

  readonly catalogue$: Observable<Catalogue | null> = this.state.pipe(
    map((shop) => shop?.catalogue ?? null),
    distinctUntilChanged(),
  );
  readonly catalogue = toSignal(this.catalogue$, { initialValue: null });
  readonly weightsRow = toSignal(this.state.pipe(map((shop) => shop?.weights ?? noWeights)), { initialValue: noWeights });
  readonly weights = computed(() => this.weightsRow().weights);
  readonly sealRulesRow = toSignal(this.state.pipe(map((shop) => shop?.sealRules ?? noSealRules)), { initialValue: noSealRules });
  /** What the shop does its own way, where it bears on a job. */
  readonly schools = computed((): JudgingSchools => ({
    seals: this.sealRulesRow().rules,
    flow: this.flowRulesRow().rules,
    limits: this.judgingRulesRow().rules,
  }));
  readonly flowRulesRow = toSignal(this.state.pipe(map((shop) => shop?.flowRules ?? noFlowRules)), { initialValue: noFlowRules });
  readonly judgingRulesRow = toSignal(this.state.pipe(map((shop) => shop?.judgingRules ?? noJudgingRules)), {
    initialValue: noJudgingRules,
  });
  readonly unsound = toSignal(this.state.pipe(map((shop) => shop?.unsound ?? [])), { initialValue: [] });
  readonly loaded$ = this.catalogue$.pipe(filter((catalogue) => catalogue !== null));

  constructor() {
    this.asked
      .pipe(switchMap(() => defer(() => this.api.call(shopContracts.readCatalogue, {})).pipe(keepTrying(() => true))))
      .subscribe((shop) => this.state.next(asRead(shop)));
    this.outbox.late$.subscribe((change) => this.receive(change, false));
    this.outbox.resume();
  }

  /** Up to which change the shop has been taken in. */
  get at(): number {
    return this.state.value?.at ?? 0;
  }

  /** What the catalogue has to say to a command; undefined while it is not there. */
  get parts(): Catalogue | undefined {
    return this.state.value?.catalogue;
  }

  /** Reads everything anew: what is here is not to be built on any more. */
  reload(): void {
    this.asked.next();
    this.reloaded.next();
  }

  /** @throws {ApiError} in the stream: why it was refused */
  change(...commands: ShopCommand[]): Observable<ShopChange> {
    return this.outbox.send(commands).pipe(tap((change) => this.receive(change, false)));
  }

  undo(): Observable<ShopChange> {
    return this.send((key) => this.api.call(shopContracts.undoShop, { body: { key } }));
  }

  /** Anything that answers with a change of the shop, under a key of its own. */
  ask(call: (key: string) => Observable<ShopChange>): Observable<ShopChange> {
    return this.send(call);
  }

  importList(
    csv: string,
    section: PartSection,
    mapping: ListPreview['mapping'],
    money?: ListMoney,
    counted = false,
  ): Observable<ShopChange> {
    const body = { csv, section, mapping, ...(money ? { money } : {}), ...(counted ? { counted } : {}) };
    return this.send((key) => this.api.call(shopContracts.importList, { body: { ...body, key } }));
  }

  /** Takes a change in: the answer to one's own command, or what the stream tells. */
  receive(change: ShopChange, inOrder: boolean): void {
    const shop = this.state.value;
    if (!shop) return;
    const { put, removed, progress } = newsOf(shop, change, inOrder);
    const parts = put.flatMap((entity): PartEntry[] => (entity.type === 'part' ? [entity.row] : []));
    const weights = put.findLast((entity) => entity.type === 'weights')?.row;
    const unset = removed.some((row) => row.type === 'weights') ? noWeights : undefined;
    const rules = put.findLast((entity) => entity.type === 'sealRules')?.row;
    const noRules = removed.some((row) => row.type === 'sealRules') ? noSealRules : undefined;
    const flow = put.findLast((entity) => entity.type === 'flowRules')?.row;
    const noFlow = removed.some((row) => row.type === 'flowRules') ? noFlowRules : undefined;
    const judging = put.findLast((entity) => entity.type === 'judgingRules')?.row;
    const noJudging = removed.some((row) => row.type === 'judgingRules') ? noJudgingRules : undefined;
    const gone = removed.flatMap((row) => (row.type === 'part' ? [row.id] : []));
    const catalogue = parts.length > 0 || gone.length > 0 ? withEntries(shop.catalogue, parts, gone) : shop.catalogue;
    this.state.next({
      ...shop,
      ...progress,
      catalogue,
      weights: weights ?? unset ?? shop.weights,
      sealRules: rules ?? noRules ?? shop.sealRules,
      flowRules: flow ?? noFlow ?? shop.flowRules,
      judgingRules: judging ?? noJudging ?? shop.judgingRules,
    });
    // what is no news any more is not told on: an answer overtakes the stream
    if (put.length > 0 || removed.length > 0) this.changes.next({ ...change, put, removed });
  }

  /** One key however often it is sent: an answer that is lost does no harm. */
  private send(call: (key: string) => Observable<ShopChange>): Observable<ShopChange> {
    return defer(() => {
      const key = uuid();
      let tries = 0;
      return defer(() => call(key)).pipe(
        keepTrying((error) => error instanceof ApiError && error.transient && ++tries < 3),
        tap((change) => this.receive(change, false)),
      );
    });
  }
}

const noWeights: WeightsRow = { id: 'chain-weights', weights: usualWeights, version: 0 };
const noSealRules: SealRulesRow = { id: 'seal-rules', rules: usualSealRules, version: 0 };
const noFlowRules: FlowRulesRow = { id: 'flow-rules', rules: usualFlowRules, version: 0 };
const noJudgingRules: JudgingRulesRow = { id: 'judging-rules', rules: usualJudgingRules, version: 0 };

function asRead({
  at,
  weights,
  sealRules,
  flowRules,
  judgingRules,
  unsound = [],
  ...catalogue
}: AnswerOf<typeof shopContracts.readCatalogue>): Shop {
  return { unsound, catalogue, weights, sealRules, flowRules, judgingRules, at, ahead: new Map() };
}

/** Parts at their places, new ones last; lists in which nothing has changed stay the same. */
function withEntries(catalogue: Catalogue, entries: readonly PartEntry[], gone: readonly string[]): Catalogue {
  const put = catalogueOf(entries);
  return {
    fittings: withParts(catalogue.fittings, put.fittings, gone),
    hoses: withParts(catalogue.hoses, put.hoses, gone),
    hoseEnds: withParts(catalogue.hoseEnds, put.hoseEnds, gone),
    supplies: withParts(catalogue.supplies, put.supplies, gone),
  };
}

function withParts<P extends { readonly id: string }>(list: readonly P[], parts: readonly P[], gone: readonly string[]): readonly P[] {
  const left = new Set(gone);
  if (parts.length === 0 && !list.some((p) => left.has(p.id))) return list;
  const next = new Map(parts.map((part) => [part.id, part]));
  const known = new Set(list.map((p) => p.id));
  return [...list.filter((p) => !left.has(p.id)).map((p) => next.get(p.id) ?? p), ...parts.filter((part) => !known.has(part.id))];
}
