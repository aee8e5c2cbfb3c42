import type { RenderTask } from '../server/services/render-pdf';
import { bundle } from '../server/platform/pdf/bundle';
import { setPaper } from '../server/letters/set-paper';
import { useConventions } from '../words/conventions';

/** In a worker thread: a letter or a document in, its PDF out, with numbers as the firm writes them; or several PDFs as one. */
export default function (task: RenderTask): Uint8Array {
	if (task.what === 'bundle') return bundle(task.papers);
	useConventions(task.conventions);
	return setPaper(task);
}
