import { signal } from '@angular/core';
import { provideHttpClient } from '@angular/common/http';
import { HttpTestingController, provideHttpClientTesting, type TestRequest } from '@angular/common/http/testing';
import type { Type } from '@angular/core';
import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { provideRouter, Router } from '@angular/router';
import { NgbActiveModal } from '@ng-bootstrap/ng-bootstrap';
import {
  noStoreRules,
  usualFlowRules,
  usualJudgingRules,
  usualSealRules,
  usualWeights,
  type Command,
  type CutMade,
  type HoseLength,
  type JobChange,
  type JobDocument,
  type OfferRow,
  type PurchaseOrder,
  type ShopCommand,
  type StockRow,
  type SupplierRow,
} from '@gewinde/core';
import { NEVER } from 'rxjs';
import { catalogue, document } from '../../core/testing/sample-job';
import { Outside } from '../src/data/outside';
import { JobStore } from '../src/data/job-store';
import { LiveStream } from '../src/data/live-stream';
import { Messages, type Message } from '../src/data/messages';
import { ShopStore } from '../src/data/shop-store';
import { StockroomStore } from '../src/data/stockroom-store';
import { provideHouseUnits } from '../src/shared/house-renderer';

export const settle = (): Promise<void> => new Promise((resolve) => setTimeout(resolve, 0));

/** What all jobs share, as the server tells it. */
export const shopAt0 = {
  ...catalogue,
  weights: { id: 'chain-weights', weights: usualWeights, version: 0 },
  sealRules: { id: 'seal-rules', rules: usualSealRules, version: 0 },
  flowRules: { id: 'flow-rules', rules: usualFlowRules, version: 0 },
  judgingRules: { id: 'judging-rules', rules: usualJudgingRules, version: 0 },
  unsound: [] as { id: string; problem: string }[],
  at: 0,
};

/** An answer of the server to a change. */
export function answer(key: string, more: Partial<JobChange> = {}): JobChange {
  return { id: 1, key, kind: 'edit', label: 'A change', client: 'me', at: '2026-02-01T00:00:00.000Z', put: [], removed: [], ...more };
}

export interface OpenJob {
  readonly http: HttpTestingController;
  readonly store: JobStore;
  readonly messages: Message[];
  /** What a dialog was closed with. */
  readonly closed: unknown[];
  /** The one request of this method to this address. */
  readonly request: (method: string, url: string) => TestRequest;
  /** The commands of the one change that is on its way, and how to answer it. */
  readonly sent: () => { readonly commands: Command[]; readonly key: string; readonly request: TestRequest };
  /** The one change of the shop that is on its way. */
  readonly shopSent: () => { readonly commands: ShopCommand[]; readonly key: string; readonly request: TestRequest };
  readonly nothingSent: () => void;
}

/** Outside there is what ships to try with. */
const simulated = {
  supplier: { name: 'a simulated supplier', simulated: true },
  printer: { name: 'a simulated label printer', simulated: true },
  calliper: { name: 'a simulated calliper', simulated: true },
};

/** The sample job open in the store, the catalogue loaded, the server played by the test. */
export async function openSampleJob(
  change: Partial<JobDocument> = {},
  live: Pick<LiveStream, 'listen'> = { listen: () => NEVER },
  shop: Partial<typeof shopAt0> = {},
): Promise<OpenJob> {
  TestBed.resetTestingModule();
  localStorage.clear();
  const closed: unknown[] = [];
  TestBed.configureTestingModule({
    providers: [
      provideHouseUnits(),
      provideHttpClient(),
      provideHttpClientTesting(),
      provideRouter([{ path: '**', children: [] }]),
      { provide: LiveStream, useValue: { away: signal(false), ...live } },
      { provide: Outside, useValue: { told: signal(simulated) } },
      { provide: NgbActiveModal, useValue: { close: (result: unknown) => closed.push(result), dismiss: () => closed.push('dismissed') } },
    ],
  });
  const http = TestBed.inject(HttpTestingController);
  const store = TestBed.inject(JobStore);
  const messages: Message[] = [];
  TestBed.inject(Messages).said$.subscribe((m) => messages.push(m));
  TestBed.inject(ShopStore);
  http.expectOne('/api/catalogue').flush({ ...shopAt0, ...shop });
  store.open('job');
  http.expectOne('/api/jobs/job').flush({ document: { ...document, ...change }, at: 0 });
  await settle();
  const one = (url: string) => {
    const request = http.expectOne({ method: 'POST', url });
    const { key, commands } = request.request.body as { key: string; commands: never };
    return { key, commands, request };
  };
  return {
    http,
    store,
    messages,
    closed,
    request: (method, url) => http.expectOne({ method, url }),
    sent: () => one('/api/jobs/job/changes'),
    shopSent: () => one('/api/shop/changes'),
    nothingSent: () => http.expectNone('/api/jobs/job/changes'),
  };
}

/** What the server tells of the stockroom when it is first looked at. */
export const stockroomAt0 = {
  suppliers: [] as SupplierRow[],
  offers: [] as OfferRow[],
  stock: [] as StockRow[],
  lengths: [] as HoseLength[],
  cuts: [] as CutMade[],
  orders: [] as PurchaseOrder[],
  rules: noStoreRules,
  at: 0,
};

/** The stockroom is read, beside the job that is open. */
export async function openStockroom({ http }: OpenJob, change: Partial<typeof stockroomAt0> = {}): Promise<StockroomStore> {
  const store = TestBed.inject(StockroomStore);
  TestBed.tick();
  http.expectOne((r) => r.url === '/api/stockroom').flush({ ...stockroomAt0, ...change });
  await settle();
  return store;
}

/** As if the address said so: `show=tickets`. */
export async function at(query: Record<string, string>): Promise<void> {
  await TestBed.inject(Router).navigate(['/there'], { queryParams: query });
}

export interface Rendered<T> {
  readonly fixture: ComponentFixture<T>;
  readonly root: HTMLElement;
  readonly text: () => string;
  /** The element of this kind whose text or label contains the words. */
  readonly find: (selector: string, words?: string | RegExp) => HTMLElement;
  readonly all: (selector: string) => HTMLElement[];
  readonly press: (selector: string, words?: string | RegExp) => Promise<void>;
  /** Chooses by the name that is read. */
  readonly choose: (label: string, name: string) => Promise<void>;
  readonly type: (label: string, value: string) => Promise<void>;
  /** Types into a picker and takes the first that is offered. */
  readonly pick: (label: string, words: string) => Promise<void>;
  readonly field: (label: string) => HTMLInputElement;
  readonly notation: () => HTMLInputElement;
  readonly typeNotation: (text: string) => Promise<void>;
  readonly stable: () => Promise<void>;
}

/** A component with its inputs, and hands to work it by what a person reads. */
export async function render<T>(component: Type<T>, inputs: Record<string, unknown> = {}): Promise<Rendered<T>> {
  const fixture = TestBed.createComponent(component);
  for (const [name, value] of Object.entries(inputs)) fixture.componentRef.setInput(name, value);
  await fixture.whenStable();
  const root = fixture.nativeElement as HTMLElement;
  const words = (element: HTMLElement): string => `${element.textContent} ${element.getAttribute('aria-label') ?? ''}`.replace(/\s+/g, ' ');
  const all = (selector: string): HTMLElement[] => [...root.querySelectorAll<HTMLElement>(selector)];
  const find = (selector: string, wanted: string | RegExp = ''): HTMLElement => {
    const found = all(selector).find((e) => (typeof wanted === 'string' ? words(e).includes(wanted) : wanted.test(words(e))));
    if (!found) throw new Error(`No ${selector} with "${wanted}" in: ${root.innerHTML.slice(0, 2000)}`);
    return found;
  };
  const field = (label: string): HTMLInputElement => {
    const named = all('input, select').find((e) => e.getAttribute('aria-label') === label);
    const plain = (e: Element): string => e.textContent.replace(/\s+/g, ' ').trim();
    const labelled = all('label').find((e) => plain(e) === label || (e.querySelector('span') && plain(e.querySelector('span')!) === label));
    const id = labelled?.getAttribute('for');
    const found = (named ?? (id ? root.querySelector(`#${id}`) : labelled?.querySelector('input, select'))) as
      HTMLInputElement | null | undefined;
    if (!found) throw new Error(`No field "${label}"`);
    return found;
  };
  return {
    fixture,
    root,
    all,
    find,
    text: () => root.textContent.replace(/\s+/g, ' '),
    stable: async () => fixture.whenStable(),
    notation: () => find('g-notation-input input') as HTMLInputElement,
    typeNotation: async (text) => {
      const input = find('g-notation-input input') as HTMLInputElement;
      input.value = text;
      input.dispatchEvent(new Event('input', { bubbles: true }));
      await fixture.whenStable();
    },
    press: async (selector, wanted) => {
      find(selector, wanted).click();
      await settle();
      await fixture.whenStable();
    },
    choose: async (label, name) => {
      const select = field(label) as unknown as HTMLSelectElement;
      const at = [...select.options].findIndex((o) => o.textContent.trim() === name);
      if (at < 0) throw new Error(`"${label}" does not offer "${name}": ${select.textContent}`);
      select.selectedIndex = at;
      select.dispatchEvent(new Event('change', { bubbles: true }));
      await fixture.whenStable();
    },
    type: async (label, value) => {
      const input = field(label);
      input.value = value;
      input.dispatchEvent(new Event('input', { bubbles: true }));
      input.dispatchEvent(new Event('change', { bubbles: true }));
      input.dispatchEvent(new Event('blur'));
      input.dispatchEvent(new Event('focusout', { bubbles: true }));
      await fixture.whenStable();
    },
    pick: async (label, words) => {
      const input = field(label);
      globalThis.document.body.append(root);
      input.focus();
      input.value = words;
      input.dispatchEvent(new Event('input', { bubbles: true }));
      await fixture.whenStable();
      const offered = all('.g-picker .dropdown-item');
      if (!offered[0]) throw new Error(`Nothing is offered for "${words}"`);
      offered[0].click();
      await settle();
      await fixture.whenStable();
    },
    field,
  };
}
