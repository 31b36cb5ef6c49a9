import { ChangeDetectionStrategy, Component, computed, ElementRef, inject, input, output } from '@angular/core';
import type { AreaShape, BalloonShape, Drawing, DotShape, LineShape, Point, Shape, TextShape } from '@gewinde/core';

let drawings = 0;

/** Lines that follow one another in one ink, as one path: a sheet has hundreds of them. */
interface Strokes extends Pick<LineShape, 'kind' | 'stroke' | 'joint'> {
  d: string;
}
type Mark = AreaShape | DotShape | TextShape | Strokes;

/** Renders a display list as SVG. Inks come from the theme; balloons can be chosen by mouse and keyboard. */
@Component({
  selector: 'g-drawing',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './drawing.html',
  styleUrl: './drawing.scss',
})
export class DrawingView {
  readonly drawing = input.required<Drawing>();
  /** Number of the chosen balloon. */
  readonly chosen = input<number | null>(null);
  /** Faint squares behind, as on drawing paper. */
  readonly squared = input(false);
  readonly choose = output<number>();
  protected readonly stateWords: Record<BalloonShape['tone'], string> = {
    sealed: ', seals',
    needs: ', seals with what it needs',
    leaks: ', does not seal',
    held: ', held',
    made: ', made',
  };
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);

  protected readonly id = `d${++drawings}`;
  protected readonly hatches = computed(() => [
    ...new Set(this.drawing().shapes.flatMap((s) => (s.kind === 'area' && s.hatch !== undefined ? [s.hatch] : []))),
  ]);
  protected readonly marks = computed(() => inStrokes(this.drawing().shapes));
  protected readonly balloons = computed(() =>
    this.drawing()
      .shapes.filter((s): s is BalloonShape => s.kind === 'balloon')
      .sort((a, b) => a.number - b.number),
  );

  protected readonly points = listed;

  protected hatchUrl(shape: AreaShape): string | null {
    return shape.hatch !== undefined && (shape.fill === 'section' || shape.fill === 'component') ? `url(#${this.id}-${shape.hatch})` : null;
  }

  /** The focus goes to the balloon that will be chosen. */
  protected go(event: Event, by: 1 | -1): void {
    event.preventDefault();
    const balloons = [...this.host.nativeElement.querySelectorAll<SVGElement>('.balloon')];
    const at = balloons.findIndex((b) => b === document.activeElement);
    const next = this.balloons()[(at + by + balloons.length) % balloons.length];
    balloons[(at + by + balloons.length) % balloons.length]?.focus();
    if (next && next.number !== this.chosen()) this.choose.emit(next.number);
  }

  /** The leader ends at the balloon's rim. */
  protected leader(b: BalloonShape): { x1: number; y1: number; x2: number; y2: number } {
    const length = Math.hypot(b.target[0] - b.at[0], b.target[1] - b.at[1]) || 1;
    return {
      x1: b.at[0] + ((b.target[0] - b.at[0]) / length) * 11,
      y1: b.at[1] + ((b.target[1] - b.at[1]) / length) * 11,
      x2: b.target[0],
      y2: b.target[1],
    };
  }
}

const listed = (points: readonly Point[]): string => points.map(([x, y]) => `${x.toFixed(2)},${y.toFixed(2)}`).join(' ');

function inStrokes(shapes: readonly Shape[]): Mark[] {
  const marks: Mark[] = [];
  for (const shape of shapes) {
    const last = marks.at(-1);
    if (shape.kind === 'balloon') continue;
    if (shape.kind !== 'line') marks.push(shape);
    else if (last?.kind === 'line' && last.stroke === shape.stroke && last.joint === shape.joint) last.d += `M${listed(shape.points)}`;
    else marks.push({ ...shape, d: `M${listed(shape.points)}` });
  }
  return marks;
}
