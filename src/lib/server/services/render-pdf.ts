import type { Letter } from '../../core/7-letters/letter';
import type { Paper } from '../../core/7-letters/paper';
import { runWorker } from '../platform/worker-pool';

export type ToRender =
	{ readonly what: 'letter'; readonly letter: Letter } | { readonly what: 'paper'; readonly paper: Paper };

/** A letter or document as PDF, made in a worker thread of the built application; in place where there is no build. */
export async function render(input: ToRender): Promise<Buffer> {
	const made = runWorker<ToRender, Uint8Array>('pdf-worker', input);
	if (made) return Buffer.from(await made);
	if (input.what === 'letter') return (await import('../letters/letter-pdf')).letterPdf(input.letter);
	return (await import('../documents/paper-pdf')).paperPdf(input.paper);
}
