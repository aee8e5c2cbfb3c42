import { letterPdf } from '../server/letters/letter-pdf';
import { paperPdf } from '../server/documents/paper-pdf';
import type { RenderTask } from '../server/services/render-pdf';
import { useConventions } from '../words/conventions';

/** In a worker thread: a letter or a document in, its PDF out, with numbers as the firm writes them. */
export default async function (task: RenderTask): Promise<Uint8Array> {
	useConventions(task.conventions);
	return task.what === 'letter' ? letterPdf(task.letter) : paperPdf(task.paper);
}
