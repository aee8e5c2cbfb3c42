/** A stretch of text that looks one way. */
export interface RichRun {
	readonly text: string;
	readonly strong?: boolean;
	readonly em?: boolean;
	/** An address that it leads to: http, https or mailto. */
	readonly link?: string;
}

export type RichBlock =
	| { readonly kind: 'paragraph'; readonly runs: readonly RichRun[] }
	| { readonly kind: 'list'; readonly ordered: boolean; readonly items: readonly (readonly RichRun[])[] };

/** Text with the little structure that a letter needs. It is no HTML: what is not here cannot be said. */
export type RichText = readonly RichBlock[];

/** A paragraph in one look. */
export const paragraph = (text: string): RichBlock => ({ kind: 'paragraph', runs: [{ text }] });

/** What runs say without their look; a link is said behind its words where these are not the address itself. */
export function plainRuns(runs: readonly RichRun[]): string {
	return runs
		.map(({ text, link }) => {
			if (!link) return text;
			const address = link.replace(/^mailto:/, '');
			return text.includes(address) ? text : `${text} (${address})`;
		})
		.join('');
}

/** What a block says as plain text. */
export function plainBlock(block: RichBlock): string {
	if (block.kind === 'paragraph') return plainRuns(block.runs);
	return block.items.map((item, n) => `${block.ordered ? `${n + 1}.` : '–'} ${plainRuns(item)}`).join('\n');
}

/** Every stretch of text in it, in order, changed by a function. */
export function mapTexts(block: RichBlock, change: (text: string) => string): RichBlock {
	const runs = (all: readonly RichRun[]) => all.map((run) => ({ ...run, text: change(run.text) }));
	return block.kind === 'paragraph'
		? { ...block, runs: runs(block.runs) }
		: { ...block, items: block.items.map(runs) };
}
