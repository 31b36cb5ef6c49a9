import { inject, Injectable } from '@angular/core';
import type { ChainWeights, ColumnMapping, Fitting, LineError } from '@gewinde/core';
import type { Observable } from 'rxjs';
import { Api } from './api';

export interface PartRow {
  readonly fitting: Fitting;
  readonly version: number;
  readonly origin: 'standard' | 'sample' | 'import' | 'own';
}

export interface PartCard extends PartRow {
  readonly usedBy: readonly { readonly job: string; readonly line: number; readonly lineName: string }[];
}

export interface ListPreview {
  readonly headings: string[];
  readonly sample: string[][];
  readonly lines: number;
  readonly mapping: ColumnMapping;
  readonly added: Fitting[];
  readonly changed: Fitting[];
  readonly counts: { readonly added: number; readonly changed: number; readonly unchanged: number; readonly errors: number };
  readonly errors: LineError[];
}

export interface KeptWeights {
  readonly weights: ChainWeights;
  readonly version: number;
}

/** The catalogue's own routes, and what the shop weighs. */
@Injectable({ providedIn: 'root' })
export class CatalogueApi {
  private readonly api = inject(Api);

  part(id: string): Observable<PartCard> {
    return this.api.send('GET', `/api/catalogue/fittings/${encodeURIComponent(id)}`);
  }
  addPart(fields: object): Observable<PartRow> {
    return this.api.send('POST', '/api/catalogue/fittings', fields);
  }
  editPart({ id, ...fitting }: Fitting, version: number): Observable<PartRow> {
    return this.api.send('PUT', `/api/catalogue/fittings/${encodeURIComponent(id)}`, { version, fitting });
  }
  undo(): Observable<{ label: string }> {
    return this.api.send('POST', '/api/catalogue/undo', {});
  }
  preview(csv: string, mapping?: ColumnMapping): Observable<ListPreview> {
    return this.api.send('POST', '/api/catalogue/import/preview', { csv, ...(mapping ? { mapping } : {}) });
  }
  importList(csv: string, mapping: ColumnMapping): Observable<{ added: number; changed: number; unchanged: number }> {
    return this.api.send('POST', '/api/catalogue/import', { csv, mapping });
  }
  weights(): Observable<KeptWeights> {
    return this.api.send('GET', '/api/shop-rules/chain-weights');
  }
  setWeights(weights: ChainWeights, version: number): Observable<KeptWeights> {
    return this.api.send('PUT', '/api/shop-rules/chain-weights', { weights, version });
  }
}
