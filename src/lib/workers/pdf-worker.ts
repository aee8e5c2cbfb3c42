import type { RenderTask } from '../server/services/render-pdf';
import { setPaper } from '../server/services/set-paper';
import { useConventions } from '../words/conventions';

/** In a worker thread: a letter or a document in, its PDF out, with numbers as the firm writes them. */
export default function (task: RenderTask): Uint8Array {
	useConventions(task.conventions);
	return setPaper(task);
}
