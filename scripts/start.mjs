// npm start: installs what is missing, builds what has changed, serves it, and says where.
import { spawn } from 'node:child_process';
import { build, install, nodeVersion, root } from './steps.mjs';

nodeVersion();
install();
build();
const hub = spawn(process.execPath, ['packages/hub/dist/main.js'], { cwd: root, stdio: 'inherit' });
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => hub.kill(signal));
hub.on('exit', (code) => process.exit(code ?? 0));
