import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { built, installed, root } from './ready.mjs';

// Runs one of the built tools by name: node scripts/tool.mjs NAME …
const [name, ...args] = process.argv.slice(2);
installed();
built();
process.env.ODD_PENNY_ROOT ??= root;
process.env.NODE_ENV ??= 'production';
// A tool says what it did in a sentence; requests and acts are logged by what serves.
if (name !== 'serve') process.env.LOG_LEVEL ??= 'warn';
const path = join(root, `build/tools/${name}.js`);
process.argv = [process.argv[0], path, ...args];
await import(pathToFileURL(path).href);
