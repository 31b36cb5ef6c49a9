import { provideHttpClient, withFetch } from '@angular/common/http';
import { bootstrapApplication } from '@angular/platform-browser';
import { provideRouter, withComponentInputBinding } from '@angular/router';
import { App } from './shell/app';
import { routes } from './routes';

bootstrapApplication(App, { providers: [provideHttpClient(withFetch()), provideRouter(routes, withComponentInputBinding())] }).catch(
  (error: unknown) => console.error(error),
);
