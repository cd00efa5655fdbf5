import { bootstrapApplication } from '@angular/platform-browser';
import { App } from './app/app';
import { appConfig } from './app/app.config';

bootstrapApplication(App, appConfig).catch((error: unknown) => {
  document.body.textContent = 'Lorvet could not start. Reload the page; what you keep is still there.';
  console.error(error);
});
