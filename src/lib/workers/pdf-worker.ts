import { letterPdf } from '../server/letters/letter-pdf';
import { paperPdf } from '../server/documents/paper-pdf';
import type { ToRender } from '../server/services/render-pdf';

/** In a worker thread: a letter or a document in, its PDF out. */
export default async function (input: ToRender): Promise<Uint8Array> {
	return input.what === 'letter' ? letterPdf(input.letter) : paperPdf(input.paper);
}
