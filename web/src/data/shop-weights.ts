import { computed, inject, Injectable, signal } from '@angular/core';
import { usualWeights, type ChainWeights } from '@gewinde/core';
import { firstValueFrom } from 'rxjs';
import { CatalogueApi, type KeptWeights } from './catalogue-api';

/** What the shop weighs when ways are ranked: the usual figures until the server has told its own. */
@Injectable({ providedIn: 'root' })
export class ShopWeights {
  private readonly api = inject(CatalogueApi);
  private readonly kept = signal<KeptWeights>({ weights: usualWeights, version: 0 });
  readonly weights = computed(() => this.kept().weights);

  constructor() {
    void this.read();
  }

  /** @throws {ApiError} conflict, when somebody else has set them; they are then read anew */
  async set(weights: ChainWeights): Promise<void> {
    try {
      this.kept.set(await firstValueFrom(this.api.setWeights(weights, this.kept().version)));
    } catch (error) {
      await this.read();
      throw error;
    }
  }

  private async read(): Promise<void> {
    try {
      this.kept.set(await firstValueFrom(this.api.weights()));
    } catch {
      // without the server the usual figures do; the save state says that it is away
    }
  }
}
