import type { Letter } from '../core/7-letters/letter';
import { letterPdf } from '../server/pdf/letter-pdf';

/** In a worker thread: one letter in, its PDF out. */
export default async function (letter: Letter): Promise<Uint8Array> {
	return letterPdf(letter);
}
