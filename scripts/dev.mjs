// npm run dev: the application on http://127.0.0.1:4311, built anew at each change.
import { bin, install, must, nodeVersion, pdfParts, root } from './steps.mjs';

nodeVersion();
install();
pdfParts();
must(bin('ng'), ['serve', '--host', '127.0.0.1'], { cwd: `${root}packages/web` });
