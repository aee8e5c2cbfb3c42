import { mkdirSync, mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, it, vi } from 'vitest';
import { runWorker } from './worker-pool';

const { root } = vi.hoisted(() => ({ root: { path: '' } }));
vi.mock('./config', () => ({ config: () => ({ built: true, root: root.path }) }));

root.path = mkdtempSync(join(tmpdir(), 'odd-penny-workers-'));
mkdirSync(join(root.path, 'build/tools'), { recursive: true });
writeFileSync(
	join(root.path, 'build/tools/spinner.js'),
	`let runs = 0;
	module.exports = (forEver) => {
		while (forEver);
		return ++runs;
	};`
);
writeFileSync(join(root.path, 'package.json'), '{"type":"commonjs"}');

it('what takes too long is ended, and the next task goes on in a thread of its own', async () => {
	const use = { keeps: true, limit: 300 };
	expect(await runWorker('spinner', false, { ...use, limit: 60_000 })).toBe(1);
	await expect(runWorker('spinner', true, use)).rejects.toMatchObject({
		problems: [{ code: 'took-too-long', seconds: 0 }]
	});
	expect(await runWorker('spinner', false, { ...use, limit: 60_000 })).toBe(1);
	expect(await runWorker('spinner', false, { keeps: true, limit: null })).toBe(2);
});

it('there is none where it is not built', () =>
	expect(runWorker('no-such-worker', null, { limit: null })).toBeNull());
