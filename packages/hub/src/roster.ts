import express from 'express';
import { ROSTER_PATH, schoolRoster } from './school-roster';

// The stand-in for a school's roster service alone, for tests of what reads it.
const port = Number(process.env['PORT'] ?? 4312);
const host = '127.0.0.1';
const app = express();
app.disable('x-powered-by');
app.use(ROSTER_PATH, schoolRoster());
const server = app.listen(port, host, () => console.log(`The stand-in is at http://${host}:${port}${ROSTER_PATH}`));
for (const signal of ['SIGINT', 'SIGTERM'] as const) process.on(signal, () => server.close(() => process.exit(0)));
