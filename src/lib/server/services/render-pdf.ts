import type { ToSet } from '../letters/set-paper';
import { conventions, type Conventions } from '../../words/conventions';
import { runWorker } from '../platform/worker-pool';

/** Milliseconds for one; several wait for each other. */
const PDF_LIMIT = 300_000;

/** What another thread is told, which knows nothing of the firm. */
export type RenderTask =
	| (ToSet & { readonly conventions: Conventions })
	| { readonly what: 'bundle'; readonly papers: readonly Uint8Array[] }
	| { readonly what: 'nothing' };

/** A letter or document as PDF, made in a worker thread of the built application; in place where there is no build. */
export async function render(input: ToSet): Promise<Buffer> {
	const made = inWorker({ ...input, conventions: conventions() });
	return made ? Buffer.from(await made) : (await import('../letters/set-paper')).setPaper(input);
}

/** PDFs as one file for the printer. */
export async function bundlePapers(papers: readonly Uint8Array[]): Promise<Buffer> {
	const made = inWorker({ what: 'bundle', papers });
	return made ? Buffer.from(await made) : (await import('../platform/pdf/bundle')).bundle(papers);
}

/** Lets the thread that sets letters get its fonts ready, so that the first is shown as soon as the next. Nobody waits for it. */
export function warmUp(): void {
	void inWorker({ what: 'nothing' })?.catch(() => undefined);
}

const inWorker = (task: RenderTask) =>
	runWorker<RenderTask, Uint8Array>('pdf-worker', task, { limit: PDF_LIMIT, keeps: true, threads: 2 });
