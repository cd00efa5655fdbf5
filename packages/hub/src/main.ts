import { fileURLToPath } from 'node:url';
import { hubApp } from './app';
import { ROSTER_PATH } from './school-roster';

const port = Number(process.env['PORT'] ?? 4310);
const host = '127.0.0.1';
const folder = fileURLToPath(new URL('../../web/dist', import.meta.url));

const server = hubApp(folder).listen(port, host, (error?: Error) => {
  if (error) {
    const busy = 'code' in error && error.code === 'EADDRINUSE';
    console.error(busy ? `Port ${port} is taken. Choose another: PORT=4320 npm start` : error.message);
    process.exit(1);
  }
  console.log(`The stand-in for a school’s roster service is at http://${host}:${port}${ROSTER_PATH}`);
  console.log(`Lorvet is at http://${host}:${port}/demo with the demo, http://${host}:${port}/ with what you keep.`);
});
for (const signal of ['SIGINT', 'SIGTERM'] as const) process.on(signal, () => server.close(() => process.exit(0)));
