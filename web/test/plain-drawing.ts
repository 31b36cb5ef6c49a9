import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import type { Drawing } from '@gewinde/core';

/** Stands in for the drawing where it is not what is tested: its hundreds of strokes are slow to lay out without a browser. */
@Component({ selector: 'g-drawing', changeDetection: ChangeDetectionStrategy.OnPush, template: '<svg></svg>' })
export class DrawingView {
  readonly drawing = input.required<Drawing>();
  readonly chosen = input<number | null>(null);
  readonly squared = input(false);
  readonly choose = output<number>();
}
