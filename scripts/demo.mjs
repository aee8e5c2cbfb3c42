import { join } from 'node:path';
import { root } from './ready.mjs';

// The demo keeps its books apart from real ones.
process.env.DATA_DIR ??= join(root, 'data/demo');
// Who tries the demo in a terminal wants its address, not a line for every request.
process.env.LOG_LEVEL ??= 'warn';
process.argv.splice(2, 0, 'demo');
await import('./tool.mjs');
