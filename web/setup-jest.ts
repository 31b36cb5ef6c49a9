import '@angular/localize/init';
import { setupZonelessTestEnv } from 'jest-preset-angular/setup-env/zoneless';

setupZonelessTestEnv({ errorOnUnknownElements: true, errorOnUnknownProperties: true });

// jsdom has neither a media query nor an event stream; the screen of the tests is a wide, light one
Object.assign(globalThis, {
  matchMedia: (query: string) => Object.assign(new EventTarget(), { matches: query.includes('min-width') }),
  EventSource: class {
    addEventListener(): void {
      /* nothing is heard */
    }
    close(): void {
      /* nothing to close */
    }
  },
});
Object.assign(globalThis, {
  ResizeObserver: class {
    observe(): void {
      /* nothing has a size */
    }
    unobserve(): void {
      /* nothing is looked at */
    }
    disconnect(): void {
      /* nothing to end */
    }
  },
});
// nor does it draw on a canvas: a chart is read by its label
Object.assign(HTMLCanvasElement.prototype, {
  getContext(this: HTMLCanvasElement) {
    const drawn: Record<PropertyKey, unknown> = { canvas: this, measureText: () => ({ width: 0 }) };
    return new Proxy(drawn, { get: (known, what) => (what in known ? known[what] : () => undefined) });
  },
});
// jsdom lays nothing out and scrolls nothing
Object.assign(Element.prototype, { scrollTo: () => undefined });

// the test browser has none of its own; the layout of graphs copies by it
globalThis.structuredClone ??= <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T;
