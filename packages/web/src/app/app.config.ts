import {
  type ApplicationConfig,
  inject,
  provideAppInitializer,
  provideBrowserGlobalErrorListeners,
  provideZonelessChangeDetection,
} from '@angular/core';
import { provideRouter, withComponentInputBinding, withInMemoryScrolling } from '@angular/router';
import { provideStore } from '@ngrx/store';
import { MessageService } from 'primeng/api';
import { providePrimeNG } from 'primeng/config';
import { routes } from './app.routes';
import { LocalForageStore } from './platform/localforage-store';
import { RECORD_STORE } from './platform/record-store';
import { FEATURE, reducer } from './store/reducer';
import { KeepingSync } from './store/workspace';
import { LorvetPreset } from './theme';
import { provideIcons } from './ui/icons';

export const appConfig: ApplicationConfig = {
  providers: [
    provideBrowserGlobalErrorListeners(),
    provideZonelessChangeDetection(),
    provideRouter(routes, withComponentInputBinding(), withInMemoryScrolling({ scrollPositionRestoration: 'enabled' })),
    provideStore(
      { [FEATURE]: reducer },
      { runtimeChecks: { strictStateImmutability: false, strictActionImmutability: false } },
    ),
    providePrimeNG({ theme: { preset: LorvetPreset, options: { darkModeSelector: '.dark' } } }),
    provideIcons(),
    MessageService,
    { provide: RECORD_STORE, useFactory: () => new LocalForageStore() },
    provideAppInitializer(() => inject(KeepingSync).start()),
  ],
};
