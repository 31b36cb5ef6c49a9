import type { Acknowledgement, PurchaseOrder, SupplierRow } from '@gewinde/core';

/** What is on its way, as the supplier tells it. */
export interface Shipment {
  readonly reference: string;
  /** `2026-11-26`. */
  readonly on: string;
  readonly lines: readonly { readonly key: string; readonly packs: number }[];
}

/** Under which key an order goes out, and until when its answer is waited for. */
export interface Sending {
  /** The same however often it is sent: a desk takes an order under a key once. */
  readonly key: string;
  readonly signal: AbortSignal;
}

/** Where orders are sent. Asked twice under one key it answers the same: an answer that was lost is asked for again, and orders nothing twice. */
export interface SupplierDesk {
  order(order: PurchaseOrder, supplier: SupplierRow, sending: Sending): Promise<Acknowledgement>;
  shipments(order: PurchaseOrder, supplier: SupplierRow): Promise<readonly Shipment[]>;
}
