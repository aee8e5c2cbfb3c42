import type { Letter } from '../../core/7-letters/letter';
import type { Paper } from '../../core/7-letters/paper';
import { conventions, type Conventions } from '../../words/conventions';
import { runWorker } from '../platform/worker-pool';

export type ToRender =
	{ readonly what: 'letter'; readonly letter: Letter } | { readonly what: 'paper'; readonly paper: Paper };

/** Milliseconds for one; several wait for each other. */
const PDF_LIMIT = 300_000;

/** What another thread is told, which knows nothing of the firm. */
export type RenderTask = ToRender & { readonly conventions: Conventions };

/** A letter or document as PDF, made in a worker thread of the built application; in place where there is no build. */
export async function render(input: ToRender): Promise<Buffer> {
	const task = { ...input, conventions: conventions() };
	const made = runWorker<RenderTask, Uint8Array>('pdf-worker', task, {
		...{ limit: PDF_LIMIT, keeps: true, threads: 2 }
	});
	if (made) return Buffer.from(await made);
	return (await import('./set-paper')).setPaper(input);
}
