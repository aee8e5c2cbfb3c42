import { join } from 'node:path';
import { root } from './ready.mjs';

// The demo keeps its books apart from real ones.
process.env.DATA_DIR ??= join(root, 'data/demo');
process.argv.splice(2, 0, 'demo');
await import('./tool.mjs');
