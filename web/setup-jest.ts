import '@angular/localize/init';
import { setupZonelessTestEnv } from 'jest-preset-angular/setup-env/zoneless';

setupZonelessTestEnv({ errorOnUnknownElements: true, errorOnUnknownProperties: true });

// jsdom has neither a media query nor a printer nor an event stream
Object.assign(globalThis, {
  matchMedia: () => ({ matches: false }),
  EventSource: class {
    addEventListener(): void {
      /* nothing is heard */
    }
    close(): void {
      /* nothing to close */
    }
  },
});
// jsdom lays nothing out and scrolls nothing
Object.assign(Element.prototype, { scrollTo: () => undefined });
