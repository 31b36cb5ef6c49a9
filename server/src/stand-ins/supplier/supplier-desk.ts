import type { Acknowledgement, PurchaseOrder, SupplierRow } from '@gewinde/core';

/** What is on its way, as the supplier tells it. */
export interface Shipment {
  readonly reference: string;
  /** `2026-11-26`. */
  readonly on: string;
  readonly lines: readonly { readonly key: string; readonly packs: number }[];
}

/** Where orders are sent. Asked twice about one order it answers the same: an answer that was lost is asked for again. */
export interface SupplierDesk {
  order(order: PurchaseOrder, supplier: SupplierRow): Promise<Acknowledgement>;
  shipments(order: PurchaseOrder, supplier: SupplierRow): Promise<readonly Shipment[]>;
}
