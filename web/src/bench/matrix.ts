import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal } from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { FormControl, ReactiveFormsModule } from '@angular/forms';
import { Router, RouterLink } from '@angular/router';
import {
  connectorName,
  connectorThread,
  formatConnector,
  inchStraightThreads,
  matingMatrix,
  nptSizes,
  parseThread,
  UnknownThreadError,
  type Mating,
} from '@gewinde/core';
import { NgbTooltip } from '@ng-bootstrap/ng-bootstrap';
import { SealGlyph } from '../shared/seal-glyph';

interface SizeChoice {
  readonly thread: string;
  readonly name: string;
}

const METRIC = [
  'M8×1',
  'M10×1',
  'M12×1.5',
  'M14×1.5',
  'M16×1.5',
  'M18×1.5',
  'M20×1.5',
  'M22×1.5',
  'M24×1.5',
  'M27×2',
  'M30×2',
  'M33×2',
  'M42×2',
];
const GROUPS: readonly { readonly name: string; readonly sizes: readonly SizeChoice[] }[] = [
  {
    name: 'dash sizes',
    sizes: Object.entries(inchStraightThreads).map(([dash, t]) => {
      const thread = parseThread(`${t.diameter}-${t.tpi}`).designation;
      return { thread, name: `-${dash} (${thread})` };
    }),
  },
  { name: 'pipe sizes', sizes: nptSizes.map(({ size }) => ({ thread: parseThread(`NPT ${size}`).designation, name: `${size} pipe` })) },
  { name: 'metric', sizes: METRIC.map((thread) => ({ thread, name: thread })) },
];

const WORDS: Record<Mating['outcome'], string> = { seals: 'seals', leaks: 'leaks', 'does-not-join': 'does not join' };

/** What joins what round one size: males down, females across, every cell a verdict that can be opened. */
@Component({
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [NgbTooltip, ReactiveFormsModule, RouterLink, SealGlyph],
  templateUrl: './matrix.html',
  styleUrl: './matrix.scss',
})
export class Matrix {
  /** From the address. */
  readonly size = input<string>();
  private readonly router = inject(Router);
  protected readonly groups = GROUPS;
  protected readonly thread = computed(() => {
    try {
      return parseThread(this.size() ?? '9/16-18').designation;
    } catch (error) {
      if (error instanceof UnknownThreadError) return '9/16-18 UNF';
      throw error;
    }
  });
  protected readonly matrix = computed(() => {
    const { males, females, cells } = matingMatrix(this.thread());
    const named = (list: typeof males) =>
      list.map((c) => ({ notation: formatConnector(c), name: connectorName(c), thread: connectorThread(c)!.designation }));
    return { males: named(males), females: named(females), cells };
  });
  protected readonly at = signal<readonly [number, number] | null>(null);
  protected readonly open = computed(() => {
    const { males, females, cells } = this.matrix();
    const [i, j] = this.at() ?? [0, 0];
    const mating = cells[i]?.[j];
    return mating ? { male: males[i]!, female: females[j]!, mating, words: WORDS[mating.outcome] } : null;
  });
  protected readonly counts = computed(() => {
    const all = this.matrix().cells.flat();
    const of = (outcome: Mating['outcome']): number => all.filter((m) => m.outcome === outcome).length;
    const starts = all.filter((m) => this.mark(m) === 'starts').length;
    return { seals: of('seals'), leaks: of('leaks'), starts };
  });

  protected readonly choice = new FormControl('', { nonNullable: true });

  constructor() {
    effect(() => this.choice.setValue(this.thread(), { emitEvent: false }));
    this.choice.valueChanges.pipe(takeUntilDestroyed()).subscribe((thread) => this.choose(thread));
  }

  private choose(thread: string): void {
    this.at.set(null);
    void this.router.navigate([], { queryParams: { size: thread }, replaceUrl: true });
  }

  /** What a cell shows: it seals, it leaks, it starts and binds, or nothing happens. */
  protected mark({ outcome, fit }: Mating): 'seals' | 'leaks' | 'starts' | 'none' {
    if (outcome !== 'does-not-join') return outcome;
    return fit?.verdict === 'binds' || fit?.verdict === 'loose' ? 'starts' : 'none';
  }

  protected words(i: number, j: number): string {
    const { males, females, cells } = this.matrix();
    return `${males[i]!.notation} into ${females[j]!.notation}: ${WORDS[cells[i]![j]!.outcome]}`;
  }

  protected moved(event: KeyboardEvent, i: number, j: number): void {
    const step = { ArrowLeft: [0, -1], ArrowRight: [0, 1], ArrowUp: [-1, 0], ArrowDown: [1, 0] }[event.key];
    if (!step) return;
    event.preventDefault();
    const next = [i + step[0]!, j + step[1]!] as const;
    if (!this.matrix().cells[next[0]]?.[next[1]]) return;
    this.at.set(next);
    const table = (event.target as HTMLElement).closest('table');
    table?.querySelector<HTMLElement>(`[data-cell="${next[0]}-${next[1]}"]`)?.focus();
  }
}
