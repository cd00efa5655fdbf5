import {
  type ApplicationConfig,
  ErrorHandler,
  inject,
  provideAppInitializer,
  provideBrowserGlobalErrorListeners,
  provideZonelessChangeDetection,
} from '@angular/core';
import {
  provideRouter,
  TitleStrategy,
  withComponentInputBinding,
  withInMemoryScrolling,
  withNavigationErrorHandler,
  withRouterConfig,
} from '@angular/router';
import { provideStore } from '@ngrx/store';
import { MessageService } from 'primeng/api';
import { routes } from './app.routes';
import { Lock } from './platform/lock';
import { BOXES } from './platform/storage/boxes-token';
import { LocalForageBoxes } from './platform/storage/localforage-boxes';
import { DESK_EDITS } from './store/desk-edits';
import { FEATURE, reducerOf } from './store/reducer';
import { KeepingSync } from './store/keeping-sync';
import { Teaching } from './store/teaching';
import { isDeskPath } from './start/desk-path';
import { SaidTitles } from './ui/say/titles';
import { provideIcons } from './ui/icons';
import { placeFailed, UncaughtErrors } from './ui/unreached';

export const appConfig: ApplicationConfig = {
  providers: [
    provideBrowserGlobalErrorListeners(),
    provideZonelessChangeDetection(),
    { provide: TitleStrategy, useExisting: SaidTitles },
    provideRouter(
      routes,
      withComponentInputBinding(),
      withInMemoryScrolling({ scrollPositionRestoration: 'enabled' }),
      withNavigationErrorHandler(placeFailed),
      // Said on the page by then: whoever asked for the place has nothing to catch.
      withRouterConfig({ resolveNavigationPromiseOnError: true }),
    ),
    { provide: ErrorHandler, useClass: UncaughtErrors },
    provideStore(
      { [FEATURE]: reducerOf(DESK_EDITS) },
      { runtimeChecks: { strictStateImmutability: false, strictActionImmutability: false } },
    ),
    provideIcons(),
    MessageService,
    { provide: BOXES, useFactory: () => new LocalForageBoxes() },
    provideAppInitializer(() => inject(Lock).read()),
    provideAppInitializer(async () => {
      const [teaching, sync] = [inject(Teaching), inject(KeepingSync)];
      if (!isDeskPath(location.pathname)) await teaching.learn();
      await sync.start();
    }),
  ],
};
