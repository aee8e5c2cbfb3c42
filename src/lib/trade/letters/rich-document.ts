import type { JSONContent } from '@tiptap/core';
import type { RichBlock, RichRun, RichText } from '$lib/core/7-letters/wording/rich-text';

/** Text as the editor's document has it. */
export function toDocument(text: RichText): JSONContent {
	const content = text.map((block): JSONContent =>
		block.kind === 'paragraph'
			? paragraphOf(block.runs)
			: {
					type: block.ordered ? 'orderedList' : 'bulletList',
					content: block.items.map((item) => ({ type: 'listItem', content: [paragraphOf(item)] }))
				}
	);
	return { type: 'doc', content: content.length > 0 ? content : [{ type: 'paragraph' }] };
}

function paragraphOf(runs: readonly RichRun[]): JSONContent {
	return { type: 'paragraph', content: runs.flatMap(nodesOf) };
}

function nodesOf({ text, strong, em, link }: RichRun): JSONContent[] {
	const marks = [
		...(strong ? [{ type: 'bold' }] : []),
		...(em ? [{ type: 'italic' }] : []),
		...(link ? [{ type: 'link', attrs: { href: link } }] : [])
	];
	return text
		.split('\n')
		.flatMap((line, n) => [
			...(n > 0 ? [{ type: 'hardBreak' }] : []),
			...(line === '' ? [] : [{ type: 'text', text: line, ...(marks.length > 0 ? { marks } : {}) }])
		]);
}

/** What is in the editor, as text: only what a letter can say; empty lines between paragraphs are none. */
export function fromDocument(document: JSONContent): RichText {
	return (document.content ?? []).flatMap(blocksOf);
}

function blocksOf(node: JSONContent): RichBlock[] {
	if (node.type === 'bulletList' || node.type === 'orderedList') {
		const items = (node.content ?? []).flatMap(itemsOf).filter((runs) => runs.length > 0);
		return items.length > 0 ? [{ kind: 'list', ordered: node.type === 'orderedList', items }] : [];
	}
	const runs = runsOf(node);
	return runs.length > 0 ? [{ kind: 'paragraph', runs }] : [];
}

/** The lines of a list; one within another comes behind the line that it hangs on. */
function itemsOf(node: JSONContent): RichRun[][] {
	return (node.content ?? []).flatMap((child) =>
		child.type === 'bulletList' || child.type === 'orderedList'
			? (child.content ?? []).flatMap(itemsOf)
			: [runsOf(child)]
	);
}

function runsOf(node: JSONContent): RichRun[] {
	const runs: RichRun[] = [];
	for (const child of node.content ?? []) {
		const run = runOf(child);
		const last = runs.at(-1);
		// What looks alike is one run, so that a placeholder typed in pieces is whole.
		if (last && looksLike(last, run)) runs[runs.length - 1] = { ...last, text: last.text + run.text };
		else if (run.text !== '') runs.push(run);
	}
	return runs;
}

function runOf(node: JSONContent): RichRun {
	if (node.type === 'hardBreak') return { text: '\n' };
	const has = (type: string) => node.marks?.find((mark) => mark.type === type);
	const link: unknown = has('link')?.attrs?.['href'];
	return {
		text: node.text ?? '',
		...(has('bold') ? { strong: true } : {}),
		...(has('italic') ? { em: true } : {}),
		...(typeof link === 'string' && link !== '' ? { link } : {})
	};
}

const looksLike = (a: RichRun, b: RichRun) => a.strong === b.strong && a.em === b.em && a.link === b.link;
