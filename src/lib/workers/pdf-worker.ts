import type { RenderTask } from '../server/services/render-pdf';
import { day } from '../core/day/day';
import type { Sheet } from '../core/7-letters/sheet';
import { typeset } from '../server/platform/pdf/typeset';
import { bundle } from '../server/platform/pdf/bundle';
import { setPaper } from '../server/letters/set-paper';
import { useConventions } from '../words/conventions';

/** A page with nothing on it: setting it reads the fonts. */
const EMPTY: Sheet = {
	...{ language: 'en', title: 'Odd Penny', author: 'Odd Penny', day: day('2026-01-01'), to: [], facts: [] },
	head: { name: '', address: [], contact: [], sender: '', logo: null },
	...{ running: '', footer: '', pages: '', blocks: [] }
};

/** In a worker thread: a letter or a document in, its PDF out, with numbers as the firm writes them; or several PDFs as one. */
export default function (task: RenderTask): Uint8Array {
	if (task.what === 'nothing') return typeset(EMPTY);
	if (task.what === 'bundle') return bundle(task.papers);
	useConventions(task.conventions);
	return setPaper(task);
}
