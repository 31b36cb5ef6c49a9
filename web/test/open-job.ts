import { provideHttpClient } from '@angular/common/http';
import { HttpTestingController, provideHttpClientTesting, type TestRequest } from '@angular/common/http/testing';
import type { Type } from '@angular/core';
import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { provideRouter } from '@angular/router';
import { NgbActiveModal } from '@ng-bootstrap/ng-bootstrap';
import { catalogue, document } from '../../core/testing/sample-job';
import type { JobDocument } from '@gewinde/core';
import { CatalogueStore } from '../src/data/catalogue-store';
import { JobStore, type Message } from '../src/data/job-store';

export const settle = (): Promise<void> => new Promise((resolve) => setTimeout(resolve, 0));

export interface OpenJob {
  readonly http: HttpTestingController;
  readonly store: JobStore;
  readonly messages: Message[];
  /** What a dialog was closed with. */
  readonly closed: unknown[];
  /** The one request of this method to this address. */
  readonly request: (method: string, url: string) => TestRequest;
  /** Answers the reading of the job. */
  readonly reread: (change?: Partial<JobDocument>) => Promise<void>;
}

/** The sample job open in the store, the catalogue loaded, the server played by the test. */
export async function openSampleJob(change: Partial<JobDocument> = {}): Promise<OpenJob> {
  TestBed.resetTestingModule();
  localStorage.clear();
  const closed: unknown[] = [];
  TestBed.configureTestingModule({
    providers: [
      provideHttpClient(),
      provideHttpClientTesting(),
      provideRouter([{ path: '**', children: [] }]),
      { provide: NgbActiveModal, useValue: { close: (result: unknown) => closed.push(result), dismiss: () => closed.push('dismissed') } },
    ],
  });
  const http = TestBed.inject(HttpTestingController);
  const store = TestBed.inject(JobStore);
  const messages: Message[] = [];
  store.messages.subscribe((m) => messages.push(m));
  const opening = store.open('job');
  http.expectOne('/api/jobs/job').flush({ ...document, ...change });
  await opening;
  TestBed.inject(CatalogueStore);
  http.expectOne('/api/catalogue').flush(catalogue);
  return {
    http,
    store,
    messages,
    closed,
    request: (method, url) => http.expectOne({ method, url }),
    reread: async (next = {}) => {
      await settle();
      http.expectOne('/api/jobs/job').flush({ ...document, ...next });
      await settle();
    },
  };
}

export interface Rendered<T> {
  readonly fixture: ComponentFixture<T>;
  readonly root: HTMLElement;
  readonly text: () => string;
  /** The element of this kind whose text or label contains the words. */
  readonly find: (selector: string, words?: string | RegExp) => HTMLElement;
  readonly all: (selector: string) => HTMLElement[];
  readonly press: (selector: string, words?: string | RegExp) => Promise<void>;
  readonly choose: (label: string, value: string) => Promise<void>;
  readonly type: (label: string, value: string) => Promise<void>;
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
    const labelled = all('label')
      .find((e) => e.querySelector('span')?.textContent.trim() === label)
      ?.querySelector('input, select');
    const found = (named ?? labelled) as HTMLInputElement | undefined;
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
      input.dispatchEvent(new Event('input'));
      await fixture.whenStable();
    },
    press: async (selector, wanted) => {
      find(selector, wanted).click();
      await settle();
      await fixture.whenStable();
    },
    choose: async (label, value) => {
      const select = field(label);
      select.value = value;
      select.dispatchEvent(new Event('change'));
      await fixture.whenStable();
    },
    type: async (label, value) => {
      const input = field(label);
      input.value = value;
      input.dispatchEvent(new Event('input'));
      input.dispatchEvent(new Event('change'));
      input.dispatchEvent(new Event('blur'));
      await fixture.whenStable();
    },
  };
}
