import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { FormControl, FormGroup, ReactiveFormsModule } from '@angular/forms';
import {
  constructions,
  endsForHose,
  formatCut,
  formatConnector,
  formatDash,
  formatQuantity,
  hoseLimits,
  hoseSize,
  fluidOf,
  fluidProblem,
  hosesOfSize,
  proposeSize,
  LONGEST_LINE_MM,
  straightened,
  type AssembledLine,
  type AssembledPiece,
  type CommandOf,
  type Hose,
  type HoseEnd,
  type Piece,
  type PieceLength,
} from '@gewinde/core';
import { NgbModal } from '@ng-bootstrap/ng-bootstrap';
import { JobStore } from '../data/job-store';
import { JobView } from '../data/job-view';
import { Preferences } from '../data/preferences';
import { type Choice, ChoiceField } from '../shared/choice-field';
import { QuantityInput } from '../shared/quantity-input';
import { RowForm } from '../shared/row-form';
import { BreakDialog } from './break-dialog';
import { TapingPicture } from './taping-picture';

type Set = CommandOf<'edit-piece'>['set'];
interface Shown {
  /** Of the line and the piece: what is typed in one is not carried to another. */
  readonly id: string;
  readonly line: AssembledLine['line'];
  readonly piece: Piece;
}
const CHOOSE = { value: null, name: 'Choose', disabled: true } as const;
const LENGTH_NAMES: Record<PieceLength['as'], string> = { taped: 'Taped length', assembly: 'Assembly length', cut: 'Cut length' };

/** One hose of a line: what it is, its ends, its length with the arithmetic, and where it comes from. */
@Component({
  selector: 'g-piece-form',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ChoiceField, QuantityInput, ReactiveFormsModule, TapingPicture],
  templateUrl: './piece-form.html',
  styleUrl: './inspector.scss',
})
export class PieceForm {
  readonly assembled = input.required<AssembledLine>();
  readonly piece = input.required<AssembledPiece>();

  private readonly store = inject(JobStore);
  private readonly view = inject(JobView);
  private readonly modal = inject(NgbModal);
  protected readonly preferences = inject(Preferences);
  protected readonly longest = LONGEST_LINE_MM;
  protected readonly lengths: readonly Choice<PieceLength['as']>[] = [
    { value: 'taped', name: 'taped' },
    { value: 'assembly', name: 'as assembled' },
    { value: 'cut', name: 'the cut itself' },
  ];
  protected readonly sources: readonly Choice<Piece['source']>[] = [
    { value: 'cut', name: 'the reel, cut here' },
    { value: 'bought', name: 'a shop, made up' },
    { value: 'kept', name: 'the car, kept' },
  ];
  private readonly shown = computed((): Shown => {
    const { line } = this.assembled();
    const { piece } = this.piece();
    return { id: `${line.id} ${piece.key}`, line, piece };
  });
  private readonly hoses = computed(() => this.view.catalogue()?.hoses ?? []);
  /** As far as it is known. */
  private readonly made = computed(() => {
    const { hose, piece } = this.piece();
    const { construction = null, dash } = piece.wanted ?? {};
    return { construction: hose?.construction ?? construction, size: hose ? hoseSize(hose) : dash === undefined ? null : formatDash(dash) };
  });
  protected readonly constructions = computed((): Choice<string | null>[] => [
    ...(this.made().construction === null ? [CHOOSE] : []),
    ...constructions.map(({ id, name }) => ({ value: id, name })),
  ]);
  /** What the hose bears, and why a shop takes its kind. */
  protected readonly school = computed(() => {
    const { hose } = this.piece();
    const why = constructions.find((c) => c.id === this.made().construction)?.school;
    const limits = hose && `${hoseLimits(hose, this.preferences.system())}.`;
    return limits || why ? [limits && limits.charAt(0).toUpperCase() + limits.slice(1), why].filter(Boolean).join(' ') : null;
  });
  /** Inch sizes, then those that are called by their metric bore. */
  protected readonly sizes = computed((): Choice<string | null>[] => {
    const { construction, size } = this.made();
    const made = this.hoses()
      .filter((h) => h.construction === construction)
      .sort((a, b) => Number(a.metricMm !== undefined) - Number(b.metricMm !== undefined) || a.dash - b.dash || a.boreMm - b.boreMm);
    const sizes = [...new Set(made.map(hoseSize))];
    return [...(size === null ? [CHOOSE] : []), ...sizes.map((name) => ({ value: name, name }))];
  });
  /** Where several makers have the same construction and size. */
  protected readonly makes = computed((): Choice<string | null>[] => {
    const { construction, size } = this.made();
    const same = construction === null || size === null ? [] : hosesOfSize({ hoses: this.hoses() }, construction, size);
    return same.length > 1 ? same.map(({ id, name }) => ({ value: id, name })) : [];
  });
  protected readonly ends = computed((): Choice<string | null>[] => {
    const { hose, piece } = this.piece();
    const catalogue = this.view.catalogue();
    if (!hose || !catalogue) return [CHOOSE];
    const made = [...endsForHose(catalogue, hose)].sort((a, b) => a.angleDeg - b.angleDeg);
    return [
      ...(piece.endA === null || piece.endB === null ? [CHOOSE] : []),
      ...made.map((end) => ({ value: end.id, name: endName(end, made) })),
    ];
  });
  protected readonly lengthName = computed(() => LENGTH_NAMES[this.piece().piece.length?.as ?? this.row.group.controls.as.value]);
  protected readonly which = computed(() => {
    const { pieces } = this.assembled();
    return pieces.length > 1 ? `Hose ${pieces.indexOf(this.piece()) + 1}` : 'The hose';
  });

  protected readonly row = new RowForm(
    new FormGroup({
      construction: new FormControl<string | null>(null),
      size: new FormControl<string | null>(null),
      hose: new FormControl<string | null>(null),
      endA: new FormControl<string | null>(null),
      endB: new FormControl<string | null>(null),
      length: new FormControl<number | null>(null),
      as: new FormControl<PieceLength['as']>('taped', { nonNullable: true }),
      slack: new FormControl<number | null>(0),
      source: new FormControl<Piece['source']>('cut', { nonNullable: true }),
      has: new FormControl<number | null>(null),
      provisional: new FormControl(false, { nonNullable: true }),
    }),
    this.shown,
    ({ piece }) => ({
      ...this.made(),
      hose: piece.hose,
      endA: piece.endA,
      endB: piece.endB,
      length: piece.length?.mm ?? null,
      as: piece.length?.as ?? 'taped',
      slack: piece.slackPercent,
      source: piece.source,
      has: piece.hasMm ?? null,
      provisional: piece.provisional ?? false,
    }),
    (shown, set, version) => this.save(shown, set, version),
    () => this.store.versionOf('line', this.assembled().line.id),
  );
  /** Rows that add up to what is cut: the last of them is what was rounded up. */
  protected readonly sum = computed(() => {
    const { cut } = this.piece();
    if (!cut) return null;
    const system = this.preferences.system();
    const show = (mm: number) => formatQuantity(mm, 'length', system, { bare: true, decimals: 1, inchDecimals: 2 });
    const step = system === 'metric' ? 0.1 : 0.254;
    const rows = [cut.givenMm, -cut.endAMm, -cut.endBMm, ...(cut.as === 'taped' ? [cut.slackMm] : [])];
    const shown = rows.reduce((sum, mm) => sum + Math.round(mm / step) * step, 0);
    const cutMm = system === 'metric' ? cut.cutMm : Math.ceil((cut.cutMm / 25.4) * 16 - 1e-3) * (25.4 / 16);
    return {
      as: cut.as,
      given: show(cut.givenMm),
      endA: show(-cut.endAMm),
      endB: show(-cut.endBMm),
      slack: show(cut.slackMm),
      percent: cut.slackPercent,
      up: cutMm - shown > step / 2 ? show(cutMm - shown) : null,
      cut: formatCut(cut.cutMm, system),
      assembly: formatQuantity(cut.assemblyMm, 'length', system),
      shorten: cut.shortenMm === undefined ? null : formatQuantity(cut.shortenMm, 'length', system),
    };
  });
  /** Where an end is bent, the tape must run straight on to the centreline of the port; what to take off where it followed the bend. */
  protected readonly bent = computed(() => {
    const { endA, endB, piece } = this.piece();
    if (!endA || !endB || (endA.angleDeg === 0 && endB.angleDeg === 0) || (piece.length && piece.length.as !== 'taped')) return null;
    // what was converted already is not converted twice
    const taped = piece.length && `${this.shown().id} ${piece.length.mm}` === this.unbent() ? undefined : piece.length?.mm;
    const straight = taped === undefined ? undefined : straightened(taped, endA, endB);
    const show = (mm: number) => formatQuantity(mm, 'length', this.preferences.system());
    return {
      straightMm: straight,
      off: straight === undefined ? null : show(taped! - straight),
      full: [endA, endB].some((end) => end.angleDeg >= 180),
    };
  });

  /** Which length of which hose was converted. */
  private readonly unbent = signal<string | null>(null);

  /** The length was taped round the bends: it becomes the one straight along the hose. */
  protected unbend(mm: number): void {
    const { id } = this.assembled().line;
    const { key } = this.piece().piece;
    this.unbent.set(`${this.shown().id} ${mm}`);
    this.store.attempt(
      () => this.store.change({ do: 'edit-piece', id, piece: key, set: { length: { mm, as: 'taped' } } }),
      `Taped length ${formatQuantity(mm, 'length', this.preferences.system())}, straight along the hose`,
    );
  }

  protected break(): void {
    const dialog = this.modal.open(BreakDialog, { ariaLabelledBy: 'break-title', size: 'lg', scrollable: true });
    const instance = dialog.componentInstance as BreakDialog;
    instance.line.set(this.assembled());
    instance.piece.set(this.piece());
  }

  protected takeOut(): void {
    const { id, number } = this.assembled().line;
    const { key } = this.piece().piece;
    this.store.attempt(() => this.store.change({ do: 'remove-piece', id, piece: key }), `A hose of L${number} taken out`);
  }

  /** What was set in the form, as the piece keeps it. */
  private save({ line, piece }: Shown, set: Partial<ReturnType<typeof this.row.group.getRawValue>>, version: number): void {
    const { construction, size, hose, length, as, slack, has, provisional, source } = set;
    const next: Set = {
      ...(construction !== undefined || size !== undefined
        ? this.hoseFor({ ...this.made(), ...(construction === undefined ? {} : { construction }), ...(size === undefined ? {} : { size }) })
        : {}),
      ...(hose ? { hose } : {}),
      ...(set.endA ? { endA: set.endA } : {}),
      ...(set.endB ? { endB: set.endB } : {}),
      ...this.lengthSaid(piece, length, as),
      ...(slack === undefined ? {} : { slackPercent: slack ?? 0 }),
      ...(source === undefined ? {} : { source }),
      ...(has === undefined || has === null ? {} : { hasMm: has }),
      ...(provisional === undefined ? {} : { provisional }),
    };
    if (Object.keys(next).length > 0)
      this.store.attempt(() => this.store.change({ do: 'edit-piece', id: line.id, version, piece: piece.key, set: next }));
  }

  private lengthSaid(piece: Piece, mm: number | null | undefined, as: PieceLength['as'] | undefined): Pick<Set, 'length'> {
    if (mm === undefined && as === undefined) return {};
    const length = mm === undefined ? (piece.length?.mm ?? null) : mm;
    return { length: length === null ? null : { mm: length, as: as ?? piece.length?.as ?? this.row.group.controls.as.value } };
  }

  /** A hose of a construction in the size that is wanted, or the one that its ports and its service ask for; while there is none, what is wanted. */
  private hoseFor({ construction, size }: { construction: string | null; size: string | null }): Set {
    const { line, portA, portB } = this.assembled();
    // of several makes first the one that bears what runs
    const unfit = (h: Hose): number => Number(fluidProblem(h, fluidOf(line)) !== undefined);
    const made = this.hoses()
      .filter((h) => h.construction === construction)
      .sort((a, b) => unfit(a) - unfit(b));
    const ports = [portA.port.connector, portB.port.connector];
    const found: Hose | undefined = made.find((h) => hoseSize(h) === size) ?? proposeSize(made, line.service, ports);
    if (found) return { hose: found.id };
    const dash = size?.startsWith('-') ? Number(size.slice(1)) : undefined;
    return { hose: null, wanted: { ...(construction === null ? {} : { construction }), ...(dash === undefined ? {} : { dash }) } };
  }
}

/** `45°`; with its connector where it is not the 37° swivel of the hose's own size, or the cut end. */
function endName(end: HoseEnd, all: readonly HoseEnd[]): string {
  const { connector, angleDeg, dash } = end;
  const usual = (e: HoseEnd): boolean =>
    e.connector.family === 'barb' || (e.connector.family === 'flare37' && e.connector.size === String(dash) && e.connector.swivel === true);
  const alone = all.filter((e) => e.angleDeg === angleDeg && usual(e)).length === 1;
  return alone && usual(end) ? `${angleDeg}°` : `${angleDeg}° ${formatConnector(connector)}`;
}
