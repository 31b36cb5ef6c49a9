import { provideHttpClient, withFetch } from '@angular/common/http';
import { inject, provideAppInitializer } from '@angular/core';
import { bootstrapApplication } from '@angular/platform-browser';
import { provideRouter, withComponentInputBinding } from '@angular/router';
import { ThisTab } from './data/this-tab';
import { provideHouseUnits } from './shared/house-renderer';
import { App } from './shell/app';
import { routes } from './routes';

bootstrapApplication(App, {
  providers: [
    provideHttpClient(withFetch()),
    provideRouter(routes, withComponentInputBinding()),
    provideHouseUnits(),
    // who this tab is must be known before it says anything
    provideAppInitializer(() => inject(ThisTab).take()),
  ],
}).catch((error: unknown) => console.error(error));
