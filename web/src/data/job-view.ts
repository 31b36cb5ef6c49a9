import { computed, inject, Injectable, linkedSignal } from '@angular/core';
import { assembleJob, type AssembledJob, type AssembledLine, type Catalogue, type JobDocument, type ShopSchools } from '@gewinde/core';
import { JobStore } from './job-store';
import { ShopStore } from './shop-store';

interface Sources {
  readonly document: JobDocument | null;
  readonly catalogue: Catalogue | null;
  readonly shop: ShopSchools;
}

/** The open job put together with the catalogue: what most views look at. What has not changed is not put together again. */
@Injectable({ providedIn: 'root' })
export class JobView {
  readonly document = inject(JobStore).document;
  private readonly shop = inject(ShopStore);
  readonly catalogue = this.shop.catalogue;
  readonly job = linkedSignal<Sources, AssembledJob | null>({
    source: () => ({ document: this.document(), catalogue: this.catalogue(), shop: this.shop.schools() }),
    computation: ({ document, catalogue, shop }, before) =>
      document && catalogue ? assembleJob(document, catalogue, before?.value ?? undefined, shop) : null,
  }).asReadonly();
  readonly lines = computed((): readonly AssembledLine[] => this.job()?.lines ?? []);
}
