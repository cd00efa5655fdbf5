import { isDeskPath } from './app/start/desk-path';

// What is needed is fetched at once, but read in turns: all of it together would hold the page for too long.
const parts = isDeskPath(location.pathname)
  ? [import('./app/start/blocks')]
  : [import('./app/start/blocks'), import('./app/start/records'), import('./app/store/teachers-part')];
const app = import('./app/boot');

void Promise.all<unknown>(parts)
  .then(() => app)
  .then(({ boot }) => boot())
  .catch((error: unknown) => {
    document.body.textContent = 'Lorvet could not start. Reload the page; what you keep is still there.';
    console.error(error);
  });
