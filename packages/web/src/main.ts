// The core's schemas are built in a turn of their own, before the application's: the two together would be felt.
const core = import('./app/records');
const app = import('./app/boot');

void core
  .then(() => app)
  .then(({ boot }) => boot())
  .catch((error: unknown) => {
    document.body.textContent = 'Lorvet could not start. Reload the page; what you keep is still there.';
    console.error(error);
  });
