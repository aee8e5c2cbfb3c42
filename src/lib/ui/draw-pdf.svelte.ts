import type { PDFDocumentLoadingTask, PDFDocumentProxy, PDFPageProxy } from 'pdfjs-dist';

/** So many points of the screen a point of the paper has at most: sharper than a good screen shows helps nobody. */
const SHARPEST = 2;

/** A PDF on its way to the screen: how far it is, and what stopped it. */
export class PdfPages {
	#task: PDFDocumentLoadingTask | null = null;
	#asked = 0;
	file = $state.raw<PDFDocumentProxy | null>(null);
	/** One for each page, first to last. */
	pages = $state.raw<readonly PDFPageProxy[]>([]);
	problem = $state('');
	busy = $state(false);

	/** Fetches a file and shows its pages; one that was asked for before is let go. */
	async show(url: string): Promise<void> {
		const asked = ++this.#asked;
		this.busy = true;
		try {
			const answer = await fetch(url, { headers: { accept: 'application/pdf, application/json' } });
			if (!answer.ok) throw new Error(await reasonOf(answer));
			const data = new Uint8Array(await answer.arrayBuffer());
			const pdf = await import('pdfjs-dist');
			const { default: workerSrc } = await import('pdfjs-dist/build/pdf.worker.min.mjs?url');
			pdf.GlobalWorkerOptions.workerSrc = workerSrc;
			if (asked !== this.#asked) return;
			const task = pdf.getDocument({ data });
			const file = await task.promise;
			const pages = await Promise.all(
				Array.from({ length: file.numPages }, (_, n) => file.getPage(n + 1))
			);
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

async function reasonOf(answer: Response): Promise<string> {
	const told: unknown = await answer.json().catch(() => null);
	const message = (told as { readonly message?: unknown } | null)?.message;
	return typeof message === 'string' ? message : `The server answered ${answer.status}.`;
}

/** Draws a page as wide as its place, once it is seen, with its text laid over it so that it can be marked and copied. */
export function drawPage(page: PDFPageProxy) {
	return (place: HTMLElement) => {
		const canvas = place.querySelector('canvas')!;
		const words = place.querySelector<HTMLElement>('[data-words]')!;
		const paper = page.getViewport({ scale: 1 });
		place.style.aspectRatio = `${paper.width} / ${paper.height}`;
		let drawn = 0;
		const draw = async () => {
			const { width } = place.getBoundingClientRect();
			if (width === 0 || Math.abs(width - drawn) < 1) return;
			drawn = width;
			const view = page.getViewport({ scale: width / paper.width });
			const sharp = Math.min(SHARPEST, globalThis.devicePixelRatio || 1);
			[canvas.width, canvas.height] = [Math.round(view.width * sharp), Math.round(view.height * sharp)];
			const { TextLayer } = await import('pdfjs-dist');
			await page.render({ canvas, viewport: view, transform: [sharp, 0, 0, sharp, 0, 0] }).promise;
			words.replaceChildren();
			for (const axis of ['x', 'y']) words.style.setProperty(`--scale-round-${axis}`, '1px');
			words.style.setProperty('--total-scale-factor', String(view.scale));
			await new TextLayer({
				textContentSource: page.streamTextContent(),
				container: words,
				viewport: view
			}).render();
			place.dataset.drawn = 'true';
		};
		// A page that was let go while it was drawn has nothing to say.
		const tried = () => void draw().catch(() => undefined);
		const seen = new IntersectionObserver((entries) => {
			if (entries.some((one) => one.isIntersecting)) tried();
		});
		const resized = new ResizeObserver(() => drawn > 0 && tried());
		seen.observe(place);
		resized.observe(place);
		return () => {
			seen.disconnect();
			resized.disconnect();
		};
	};
}
