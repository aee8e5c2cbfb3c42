import type { PDFDocumentLoadingTask, PDFDocumentProxy, PDFPageProxy } from 'pdfjs-dist';

/** A PDF on its way to the screen: how far it is, and what stopped it. */
export class PdfPages {
	#task: PDFDocumentLoadingTask | null = null;
	#asked = 0;
	file = $state.raw<PDFDocumentProxy | null>(null);
	/** One for each page, first to last. */
	pages = $state.raw<readonly PDFPageProxy[]>([]);
	problem = $state('');
	busy = $state(false);

	/** Fetches a file and shows its pages; one that was asked for before is let go. @param given what is asked for beside the address, as JSON */
	async show(url: string, given: unknown = null): Promise<void> {
		const asked = ++this.#asked;
		this.busy = true;
		try {
			const answer = await fetch(url, requestFor(given));
			if (!answer.ok) throw new Error(await reasonOf(answer));
			const data = new Uint8Array(await answer.arrayBuffer());
			const pdf = await import('pdfjs-dist');
			const { default: workerSrc } = await import('pdfjs-dist/build/pdf.worker.min.mjs?url');
			pdf.GlobalWorkerOptions.workerSrc = workerSrc;
			if (asked !== this.#asked) return;
			const task = pdf.getDocument({ data });
			const file = await task.promise;
			const pages = await Promise.all(Array.from({ length: file.numPages }, (_, n) => file.getPage(n + 1)));
			if (asked !== this.#asked) return void task.destroy();
			void this.#task?.destroy();
			this.#task = task;
			[this.file, this.pages, this.problem] = [file, pages, ''];
		} catch (error) {
			if (asked !== this.#asked) return;
			[this.pages, this.problem] = [[], error instanceof Error ? error.message : String(error)];
		} finally {
			if (asked === this.#asked) this.busy = false;
		}
	}

	close(): void {
		this.#asked++;
		void this.#task?.destroy();
		this.#task = null;
	}
}

/** A question by its address alone, or one that says more. */
function requestFor(given: unknown): RequestInit {
	const headers = { accept: 'application/pdf, application/json' };
	if (given === null) return { headers };
	const body = JSON.stringify(given);
	return { method: 'POST', headers: { ...headers, 'content-type': 'application/json' }, body };
}

async function reasonOf(answer: Response): Promise<string> {
	const told: unknown = await answer.json().catch(() => null);
	const message = (told as { readonly message?: unknown } | null)?.message;
	return typeof message === 'string' ? message : `The server answered ${answer.status}.`;
}
