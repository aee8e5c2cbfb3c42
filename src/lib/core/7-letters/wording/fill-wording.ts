import { cleanLine } from '../../text/clean-text';
import type { LetterKind } from '../letter-kind';
import { isBlock, type BlockPlaceholder, type Placeholder } from './placeholders';
import { readTemplate } from './read-template';
import { mapTexts, type RichBlock } from './rich-text';
import type { Wording } from './wording';

/** Where the table of items and other parts stand among the words. */
export type WordedBlock = RichBlock | { readonly kind: BlockPlaceholder };

/** A letter's words, filled in. */
export interface Worded {
	readonly title: string;
	readonly subject: string;
	readonly greeting: string;
	readonly blocks: readonly WordedBlock[];
	/** A line or several. */
	readonly closing: string;
	readonly sender: string;
	readonly fromName: string;
	readonly replyTo: string;
}

export type PlaceholderValues = Readonly<Partial<Record<Placeholder, string>>>;

const MOST_SUBJECT = 200;

/**
 * Fills a wording in. The items always stand in a letter, and how to pay: where a wording leaves them out they follow its last words.
 * What has no value is left out; a wording with faults is not let in before.
 */
export function fillWording(wording: Wording, kind: LetterKind, values: PlaceholderValues): Worded {
	const fill = (text: string, own: PlaceholderValues = {}) =>
		readTemplate(text, kind)
			.parts.map((part) => (part.kind === 'text' ? part.text : (own[part.name] ?? values[part.name] ?? '')))
			.join('');
	// Other lines may name the title, which is filled in before them.
	const title = values.title ?? cleanLine(fill(wording.title));
	const blocks = wording.body.flatMap((block): WordedBlock[] => {
		const own = ownBlock(block, kind);
		if (own) return [{ kind: own }];
		const filled = mapTexts(block, (text) => fill(text, { title }));
		return isEmpty(filled) ? [] : [filled];
	});
	// A part that stands there twice is shown where it stands first.
	const once = blocks.filter(
		(block, n) => blocks.findIndex((one) => one.kind === block.kind) === n || isRich(block)
	);
	const has = (name: BlockPlaceholder) => once.some((block) => block.kind === name);
	const missing = (['items', 'how-to-pay'] as const).filter((name) => !has(name));
	return {
		title,
		subject: cleanLine(fill(wording.subject, { title })).slice(0, MOST_SUBJECT),
		greeting: cleanLine(fill(wording.greeting)),
		blocks: [...once, ...missing.map((name) => ({ kind: name }))],
		closing: fill(wording.closing),
		sender: fill(wording.sender),
		fromName: cleanLine(fill(wording.fromName)),
		replyTo: wording.replyTo
	};
}

/** The part for which a paragraph stands, where it is nothing but its placeholder. */
function ownBlock(block: RichBlock, kind: LetterKind): BlockPlaceholder | null {
	if (block.kind !== 'paragraph') return null;
	const text = block.runs.map((run) => run.text).join('');
	const parts = readTemplate(text.trim(), kind).parts;
	const [only] = parts;
	return parts.length === 1 && only!.kind === 'placeholder' && isBlock(only!.name) ? only!.name : null;
}

const isRich = (block: WordedBlock): block is RichBlock =>
	block.kind === 'paragraph' || block.kind === 'list';

function isEmpty(block: RichBlock): boolean {
	const runs = block.kind === 'paragraph' ? block.runs : block.items.flat();
	return runs.every((run) => run.text.trim() === '');
}
