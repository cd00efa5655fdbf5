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
import { Lock } from './platform/lock';
import { BOXES } from './platform/storage/boxes-token';
import { LocalForageBoxes } from './platform/storage/localforage-boxes';
import { FEATURE, reducer } from './store/reducer';
import { KeepingSync } from './store/keeping-sync';
import { provideIcons } from './ui/icons';
import { keepStyles } from './ui/preset/keep-styles';
import { LorvetPreset } from './ui/preset/preset';

export const appConfig: ApplicationConfig = {
  providers: [
    provideBrowserGlobalErrorListeners(),
    provideZonelessChangeDetection(),
    provideRouter(routes, withComponentInputBinding(), withInMemoryScrolling({ scrollPositionRestoration: 'enabled' })),
    provideStore(
      { [FEATURE]: reducer },
      { runtimeChecks: { strictStateImmutability: false, strictActionImmutability: false } },
    ),
    // Light and dark are switched by our own tokens; in a layer, so that styles.css has the last word.
    providePrimeNG({
      overlayAppendTo: 'body',
      theme: {
        preset: LorvetPreset,
        options: { darkModeSelector: false, cssLayer: { name: 'primeng', order: 'base, primeng' } },
      },
    }),
    provideAppInitializer(keepStyles),
    provideIcons(),
    MessageService,
    { provide: BOXES, useFactory: () => new LocalForageBoxes() },
    provideAppInitializer(() => inject(Lock).read()),
    provideAppInitializer(() => inject(KeepingSync).start()),
  ],
};
