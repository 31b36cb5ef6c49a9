import { computed, inject, Injectable, linkedSignal } from '@angular/core';
import { assembleJob, type AssembledJob, type AssembledLine, type Catalogue, type JobDocument } from '@gewinde/core';
import { JobStore } from './job-store';
import { ShopStore } from './shop-store';

interface Sources {
  readonly document: JobDocument | null;
  readonly catalogue: Catalogue | null;
}

/** The open job put together with the catalogue: what most views look at. What has not changed is not put together again. */
@Injectable({ providedIn: 'root' })
export class JobView {
  readonly document = inject(JobStore).document;
  readonly catalogue = inject(ShopStore).catalogue;
  readonly job = linkedSignal<Sources, AssembledJob | null>({
    source: () => ({ document: this.document(), catalogue: this.catalogue() }),
    computation: ({ document, catalogue }, before) =>
      document && catalogue ? assembleJob(document, catalogue, before?.value ?? undefined) : null,
  }).asReadonly();
  readonly lines = computed((): readonly AssembledLine[] => this.job()?.lines ?? []);
}
