// npm run roster: the stand-in for a school's roster service alone, on http://127.0.0.1:4312.
import { spawn } from 'node:child_process';
import { build, install, nodeVersion, root } from './steps.mjs';

nodeVersion();
install();
build();
const service = spawn(process.execPath, ['packages/hub/dist/roster.js'], { cwd: root, stdio: 'inherit' });
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => service.kill(signal));
service.on('exit', (code) => process.exit(code ?? 0));
