// npm run dev: the application on http://127.0.0.1:4311, built anew at each change.
import { bin, chartRoom, install, must, nodeVersion, pdfParts, root } from './steps.mjs';
import { wordParts } from './words.mjs';

nodeVersion();
install();
pdfParts();
wordParts(root);
chartRoom();
must(bin('ng'), ['serve', '--host', '127.0.0.1'], { cwd: `${root}packages/web` });
