import { DOCUMENT } from '@angular/common';
import { DestroyRef, inject, Injectable } from '@angular/core';

const ROW = 'ngb-typeahead-window [role=option]';

/**
 * A pointer that rests does not pick. A list that opens under it would mark the row that happens to lie there, and Enter would take it:
 * rows are marked by the pointer only once it has moved since the last key.
 */
@Injectable({ providedIn: 'root' })
export class RestingPointer {
  private rests = true;

  constructor() {
    const { body } = inject(DOCUMENT);
    const watch = new AbortController();
    const options = { capture: true, signal: watch.signal };
    body.addEventListener('keydown', () => (this.rests = true), options);
    body.addEventListener('mousemove', (event) => this.moved(event), options);
    body.addEventListener(
      'mouseenter',
      (event) => {
        if (this.rests && event.target instanceof Element && event.target.closest(ROW)) event.stopPropagation();
      },
      options,
    );
    inject(DestroyRef).onDestroy(() => watch.abort());
  }

  /** The browser tells of a move as well when only the page has moved under the pointer. */
  private moved(event: MouseEvent): void {
    if (!this.rests || (event.movementX === 0 && event.movementY === 0)) return;
    this.rests = false;
    const row = event.target instanceof Element ? event.target.closest(ROW) : null;
    row?.dispatchEvent(new MouseEvent('mouseenter'));
  }
}
