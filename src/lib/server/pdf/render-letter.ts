import type { Letter } from '../../core/7-letters/letter';
import { runWorker } from '../worker-pool';

/** A letter as PDF, made in a worker thread of the built application; in place where there is no build. */
export async function renderLetter(letter: Letter): Promise<Buffer> {
	const made = runWorker<Letter, Uint8Array>('pdf-worker', letter);
	if (made) return Buffer.from(await made);
	const { letterPdf } = await import('./letter-pdf');
	return letterPdf(letter);
}
