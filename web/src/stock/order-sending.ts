import { inject, Injectable } from '@angular/core';
import { isUnconfirmed, stockContracts, type PurchaseOrder, type StockCommand } from '@gewinde/core';
import { firstValueFrom } from 'rxjs';
import { Api } from '../data/api';
import { ShopStore } from '../data/shop-store';

/** Orders on their way out: to the supplier, and what may be done where it does not confirm. */
@Injectable({ providedIn: 'root' })
export class OrderSending {
  private readonly shop = inject(ShopStore);
  private readonly api = inject(Api);

  /** Sends it; what is sent already is asked about again, and ordered once. @returns what came of it, in words @throws {ApiError} */
  async send({ id, version, number }: PurchaseOrder): Promise<string> {
    const { put } = await firstValueFrom(
      this.shop.ask((key) => this.api.call(stockContracts.sendOrder, { params: { id }, body: { key, version } })),
    );
    const now = put.flatMap((entity) => (entity.type === 'order' && entity.row.id === id ? [entity.row] : [])).at(-1);
    if (now?.state === 'confirmed') return `${number} is sent, and answered`;
    return now && isUnconfirmed(now)
      ? `${number} is sent, and not confirmed`
      : `${number} is on its way out: its answer comes here by itself`;
  }

  /** They said so by other means: it comes as it was ordered. */
  confirmation({ id, version, number }: PurchaseOrder, reference: string): StockCommand {
    return { do: 'acknowledge-order', id, version, answer: { order: number, reference, lines: [] } };
  }
}
