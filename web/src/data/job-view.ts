import { computed, inject, Injectable, linkedSignal } from '@angular/core';
import { judgeJob, type Catalogue, type JobDocument, type JudgedJob, type JudgedLine, type JudgingSchools } from '@gewinde/core';
import { JobStore } from './job-store';
import { ShopStore } from './shop-store';

interface Sources {
  readonly document: JobDocument | null;
  readonly catalogue: Catalogue | null;
  readonly shop: JudgingSchools;
}

/** The open job put together with the catalogue, and judged: what every view looks at. What has not changed is not judged again. */
@Injectable({ providedIn: 'root' })
export class JobView {
  readonly document = inject(JobStore).document;
  private readonly shop = inject(ShopStore);
  readonly catalogue = this.shop.catalogue;
  readonly job = linkedSignal<Sources, JudgedJob | null>({
    source: () => ({ document: this.document(), catalogue: this.catalogue(), shop: this.shop.schools() }),
    computation: ({ document, catalogue, shop }, before) =>
      document && catalogue ? judgeJob(document, catalogue, before?.value ?? undefined, shop) : null,
  }).asReadonly();
  readonly lines = computed((): readonly JudgedLine[] => this.job()?.lines ?? []);
}
