import { computed, inject, Injectable } from '@angular/core';
import { assembleLine, type AssembledLine } from '@gewinde/core';
import { JobStore } from './job-store';
import { ShopStore } from './shop-store';

/** The open job put together with the catalogue: what most views look at. */
@Injectable({ providedIn: 'root' })
export class JobView {
  readonly document = inject(JobStore).document;
  readonly catalogue = inject(ShopStore).catalogue;
  readonly lines = computed((): readonly AssembledLine[] => {
    const document = this.document();
    const catalogue = this.catalogue();
    if (!document || !catalogue) return [];
    return [...document.lines].sort((a, b) => a.position - b.position).map((line) => assembleLine(line, document, catalogue));
  });
}
