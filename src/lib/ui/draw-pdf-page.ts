import type { PDFPageProxy } from 'pdfjs-dist';

/** So many points of the screen a point of the paper has at most: sharper than a good screen shows helps nobody. */
const SHARPEST = 2;

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
