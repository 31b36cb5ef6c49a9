import { Directive, ElementRef, inject } from '@angular/core';
import { NgbTooltip } from '@ng-bootstrap/ng-bootstrap';

/** Text that is cut off is shown whole while the pointer or the focus is on it; text that fits is left alone. */
@Directive({
  selector: '[gWhole]',
  hostDirectives: [{ directive: NgbTooltip, inputs: ['ngbTooltip: gWhole', 'placement'] }],
  host: { '(mouseenter)': 'show()', '(mouseleave)': 'tip.close()', '(focus)': 'show()', '(blur)': 'tip.close()', '(click)': 'tip.close()' },
})
export class Whole {
  protected readonly tip = inject(NgbTooltip, { self: true });
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;

  constructor() {
    this.tip.triggers = 'manual';
    this.tip.container = 'body';
    this.tip.animation = false;
  }

  protected show(): void {
    const clipped = [this.host, ...this.host.querySelectorAll<HTMLElement>('*')].some(
      (e) => e.scrollWidth > e.clientWidth + 1 && getComputedStyle(e).textOverflow === 'ellipsis',
    );
    if (clipped) this.tip.open();
  }
}
