import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  effect,
  type ElementRef,
  input,
  output,
  signal,
  untracked,
  viewChild,
} from '@angular/core';
import { formatInches, quantity, type ThreadCandidate, type ThreadMeasurement, type ThreadSystem, type UnitSystem } from '@gewinde/core';
import { NgbTooltip } from '@ng-bootstrap/ng-bootstrap';
import {
  clampWindow,
  mapLabels,
  mapLayout,
  panned,
  rowsNear,
  tiedTo,
  WHOLE,
  windowRound,
  zoomed,
  type MapStroke,
  type Window,
} from './map-layout';
import { legend, threadMarks } from './thread-marks';
import { Preferences } from '../data/preferences';

const WIDTH = 640;
const LEFT = 46;
const RIGHT = 8;
const ROW = 17;
const AXIS = 20;
const STRIP = 34;

/** How a diameter is counted off: what one is, mm, which steps there are, which figures stand over all, and how one is said. */
interface Scale {
  readonly mm: number;
  readonly steps: readonly number[];
  readonly whole: readonly number[];
  readonly says: (at: number) => string;
}
const scales: Readonly<Record<UnitSystem, Scale>> = {
  metric: { mm: 1, steps: [0.5, 1, 2, 5, 10], whole: [10, 20, 30, 40, 50, 60], says: (at) => String(at) },
  inch: {
    mm: 25.4,
    steps: [1 / 64, 1 / 32, 1 / 16, 1 / 8, 1 / 4, 1 / 2],
    whole: [0.5, 1, 1.5, 2, 2.5],
    says: (at) => formatInches(at, 64),
  },
};

/**
 * Every thread the app knows: a row a pitch, a stroke a thread by its system's mark, the measurement as a box of its uncertainty, the
 * candidates ringed, the look-alikes of the one looked at tied to it. The strip above shows the whole; the window slides over it.
 */
@Component({
  selector: 'g-thread-map',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [NgbTooltip],
  templateUrl: './thread-map.html',
  styleUrl: './thread-map.scss',
})
export class ThreadMap {
  private readonly preferences = inject(Preferences);
  private readonly scale = computed(() => scales[this.preferences.system()]);
  readonly measurement = input.required<ThreadMeasurement>();
  readonly candidates = input<readonly ThreadCandidate[]>([]);
  /** The thread looked at. */
  readonly shown = input<string | null>(null);
  readonly pick = output<string>();

  private readonly sheet = viewChild<ElementRef<SVGSVGElement>>('sheet');
  protected readonly window = signal<Window>(WHOLE);
  protected readonly hidden = signal<ReadonlySet<ThreadSystem>>(new Set());
  protected readonly legend = legend;
  protected readonly marks = threadMarks;
  protected readonly frame = { width: WIDTH, left: LEFT, right: WIDTH - RIGHT, row: ROW, strip: STRIP };
  /** The last press slid the map; letting go over a stroke does not pick it. */
  private slid = false;
  private dragged: { readonly x: number; readonly window: Window; readonly whole: boolean } | null = null;

  private readonly layout = computed(() => mapLayout(this.measurement().side));
  protected readonly rows = computed(() => this.layout().rows.map((row, i) => ({ ...row, y: AXIS + (i + 0.5) * ROW })));
  protected readonly height = computed(() => AXIS + this.rows().length * ROW + 4);
  protected readonly x = computed(() => {
    const { fromMm, toMm } = this.window();
    return (mm: number): number => LEFT + ((mm - fromMm) / (toMm - fromMm)) * (WIDTH - LEFT - RIGHT);
  });
  private readonly seen = computed(() => this.layout().strokes.filter((s) => !this.hidden().has(s.thread.system)));
  protected readonly strokes = computed(() => {
    const { fromMm, toMm } = this.window();
    const x = this.x();
    const inView = this.seen().filter((s) => s.diameterMm >= fromMm && s.diameterMm <= toMm);
    return inView.map((s) => ({
      designation: s.thread.designation,
      mark: threadMarks[s.thread.system],
      x: x(s.diameterMm),
      y: this.rowY(s),
    }));
  });
  protected readonly labels = computed(() => {
    const { fromMm, toMm } = this.window();
    const inView = this.seen().filter((s) => s.diameterMm >= fromMm && s.diameterMm <= toMm);
    return mapLabels(inView, this.x(), LEFT, WIDTH).map((label) => ({ ...label, y: AXIS + (label.row + 0.5) * ROW + 4 }));
  });
  /** Ticks in round figures of the house, as many as are read easily. */
  protected readonly ticks = computed(() => {
    const { fromMm, toMm } = this.window();
    const { steps, mm, says } = this.scale();
    const step = steps.find((s) => (toMm - fromMm) / (s * mm) <= 14) ?? steps.at(-1)!;
    const [first, last] = [Math.ceil(fromMm / (step * mm)), Math.floor(toMm / (step * mm))];
    return Array.from({ length: last - first + 1 }, (_, i) => {
      const at = (first + i) * step;
      return { said: says(at), x: this.x()(at * mm) };
    });
  });
  protected readonly rings = computed(() =>
    this.candidates()
      .slice(0, 8)
      .flatMap((c, i) => {
        const stroke = this.seen().find((s) => s.thread.designation === c.designation);
        return stroke && this.isInView(stroke)
          ? [{ x: this.x()(stroke.diameterMm), y: this.rowY(stroke), first: i === 0, score: c.score }]
          : [];
      }),
  );
  protected readonly target = computed(() => {
    const stroke = this.seen().find((s) => s.thread.designation === this.shown());
    return stroke && this.isInView(stroke) ? { x: this.x()(stroke.diameterMm), y: this.rowY(stroke) } : null;
  });
  protected readonly arcs = computed(() => {
    const shown = this.shown();
    const from = this.target();
    if (!shown || !from) return [];
    return tiedTo(shown, this.seen())
      .filter((s) => this.isInView(s))
      .map((s) => {
        const to = { x: this.x()(s.diameterMm), y: this.rowY(s) };
        const bend = 14 + Math.abs(to.y - from.y) * 0.35;
        return `M${from.x.toFixed(1)} ${from.y}Q${((from.x + to.x) / 2 + bend).toFixed(1)} ${((from.y + to.y) / 2).toFixed(1)} ${to.x.toFixed(1)} ${to.y}`;
      });
  });
  /** The measurement: as wide as its uncertainty, over the rows its pitch may be. */
  protected readonly box = computed(() => {
    const { diameterMm, pitchMm, threadsPerInch, uncertaintyMm = 0.05 } = this.measurement();
    const pitch = pitchMm ?? (threadsPerInch ? 25.4 / threadsPerInch : undefined);
    if (diameterMm === undefined && pitch === undefined) return null;
    const rows = rowsNear(this.layout().rows, pitch);
    if (!rows) return null;
    const { fromMm, toMm } = this.window();
    const from = diameterMm === undefined ? fromMm : diameterMm - uncertaintyMm;
    const to = diameterMm === undefined ? toMm : diameterMm + uncertaintyMm;
    if (to < fromMm || from > toMm) return null;
    const left = this.x()(Math.max(from, fromMm));
    const width = Math.max(3, this.x()(Math.min(to, toMm)) - left);
    return { x: left, y: AXIS + rows.first * ROW, width, height: (rows.last - rows.first + 1) * ROW };
  });
  protected readonly strip = computed(() => {
    const x = (mm: number): number => LEFT + ((mm - WHOLE.fromMm) / (WHOLE.toMm - WHOLE.fromMm)) * (WIDTH - LEFT - RIGHT);
    const share = (STRIP - 12) / this.rows().length;
    const { fromMm, toMm } = this.window();
    return {
      dots: this.seen()
        .map((s) => `M${x(s.diameterMm).toFixed(1)} ${(3 + s.row * share).toFixed(1)}v1.6`)
        .join(''),
      from: x(fromMm),
      width: x(toMm) - x(fromMm),
      ticks: this.scale().whole.map((at) => ({ said: this.scale().says(at), x: x(at * this.scale().mm) })),
    };
  });
  protected readonly words = computed(() => {
    const { side, diameterMm } = this.measurement();
    const where = side === 'external' ? 'major diameter across' : 'minor diameter of the hole across';
    const box = diameterMm === undefined ? '' : ` Measured ${quantity(diameterMm.toFixed(2), 'mm')}.`;
    return `Thread map: a row for each pitch, ${where}, ${this.strokes().length} threads in view.${box} Arrow keys move, plus and minus zoom.`;
  });

  constructor() {
    // a new measurement brings itself into view; looking round is left to the hand
    effect(() => {
      const { diameterMm } = this.measurement();
      untracked(() => this.window.set(diameterMm === undefined ? WHOLE : windowRound(diameterMm)));
    });
    effect(() => {
      const stroke = this.layout().strokes.find((s) => s.thread.designation === this.shown());
      untracked(() => {
        if (stroke && !this.isInView(stroke)) this.window.set(windowRound(stroke.diameterMm));
      });
    });
  }

  protected zoom(factor: number): void {
    this.window.update((w) => zoomed(w, factor));
  }

  protected whole(): void {
    this.window.set(WHOLE);
  }

  protected back(): void {
    const { diameterMm } = this.measurement();
    if (diameterMm !== undefined) this.window.set(windowRound(diameterMm));
  }

  protected wheeled(event: WheelEvent): void {
    event.preventDefault();
    this.window.update((w) =>
      event.shiftKey
        ? panned(w, ((w.toMm - w.fromMm) * Math.sign(event.deltaY)) / 10)
        : zoomed(w, event.deltaY > 0 ? 1.2 : 1 / 1.2, this.mmAt(event, w)),
    );
  }

  protected pressed(event: PointerEvent, whole = false): void {
    this.slid = false;
    (event.target as Element).setPointerCapture?.(event.pointerId);
    this.dragged = { x: event.clientX, window: this.window(), whole };
    if (whole) {
      const width = this.window().toMm - this.window().fromMm;
      const mm = this.mmAt(event, WHOLE);
      this.window.set(clampWindow({ fromMm: mm - width / 2, toMm: mm + width / 2 }));
      this.dragged = { x: event.clientX, window: this.window(), whole };
    }
  }

  protected moved(event: PointerEvent): void {
    if (!this.dragged) return;
    const { x, window, whole } = this.dragged;
    if (Math.abs(event.clientX - x) > 3) this.slid = true;
    const perPixel = ((whole ? WHOLE.toMm - WHOLE.fromMm : window.toMm - window.fromMm) / (WIDTH - LEFT - RIGHT)) * this.unitsPerPixel();
    this.window.set(panned(window, (event.clientX - x) * perPixel * (whole ? 1 : -1)));
  }

  protected released(): void {
    this.dragged = null;
  }

  protected struck(designation: string): void {
    if (this.slid) return;
    // strokes that lie on one another take turns
    const all = this.strokes();
    const struck = all.find((s) => s.designation === designation)!;
    const here = all.filter((s) => s.y === struck.y && Math.abs(s.x - struck.x) < 5).map((s) => s.designation);
    const at = here.indexOf(this.shown() ?? '');
    this.pick.emit(at < 0 ? designation : here[(at + 1) % here.length]!);
  }

  protected keyed(event: KeyboardEvent): void {
    const width = this.window().toMm - this.window().fromMm;
    const doing: Record<string, () => void> = {
      ArrowLeft: () => this.window.update((w) => panned(w, -width / 8)),
      ArrowRight: () => this.window.update((w) => panned(w, width / 8)),
      '+': () => this.zoom(1 / 1.4),
      '=': () => this.zoom(1 / 1.4),
      '-': () => this.zoom(1.4),
      '0': () => this.whole(),
    };
    const run = doing[event.key];
    if (!run || event.ctrlKey || event.metaKey) return;
    event.preventDefault();
    event.stopPropagation();
    run();
  }

  protected toggle(systems: readonly ThreadSystem[]): void {
    this.hidden.update((hidden) => {
      const next = new Set(hidden);
      for (const system of systems) if (!next.delete(system)) next.add(system);
      return next;
    });
  }

  private rowY(stroke: MapStroke): number {
    return AXIS + (stroke.row + 0.5) * ROW;
  }

  private isInView({ diameterMm }: MapStroke): boolean {
    const { fromMm, toMm } = this.window();
    return diameterMm >= fromMm && diameterMm <= toMm;
  }

  private unitsPerPixel(): number {
    const box = this.sheet()?.nativeElement.getBoundingClientRect();
    return box && box.width > 0 ? WIDTH / box.width : 1;
  }

  private mmAt(event: MouseEvent, { fromMm, toMm }: Window): number {
    const box = this.sheet()?.nativeElement.getBoundingClientRect();
    const at = box && box.width > 0 ? ((event.clientX - box.left) / box.width) * WIDTH : WIDTH / 2;
    return fromMm + ((at - LEFT) / (WIDTH - LEFT - RIGHT)) * (toMm - fromMm);
  }
}
