import { z } from 'zod';
import type { RichRun } from '../../../core/7-letters/wording/rich-text';
import { emailField } from '../../act/fields';

const MOST_TEXT = 20_000;

const line = (most: number) => z.string().max(most, `That may be ${most} letters long.`);

/** What a link may lead to: pages and addresses, nothing that a browser would run. */
const LINK = z
	.string()
	.max(1_000, 'That is longer than an address may be.')
	.refine(isHarmless, 'A link leads to a page (https://…) or an address for mail (mailto:…).');

const RUN = z
	.strictObject({
		text: z.string().max(MOST_TEXT),
		strong: z.boolean().optional(),
		em: z.boolean().optional(),
		link: LINK.optional()
	})
	.transform(({ text, strong, em, link }): RichRun => ({
		text,
		...(strong ? { strong } : {}),
		...(em ? { em } : {}),
		...(link ? { link } : {})
	}));
const RUNS = z.array(RUN).max(200, 'A paragraph may change its look 200 times.');

const BLOCK = z.discriminatedUnion('kind', [
	z.strictObject({ kind: z.literal('paragraph'), runs: RUNS }),
	z.strictObject({
		kind: z.literal('list'),
		ordered: z.boolean(),
		items: z.array(RUNS).max(100, 'A list may have 100 lines.')
	})
]);

/** The words of a letter as they come from an editor: text with the little structure that there is, and nothing else. */
export const WORDING = z.strictObject({
	title: line(200).trim().min(1, 'Give the letter a title.'),
	subject: line(300).trim().min(1, 'Give the message a subject.'),
	greeting: line(300).trim(),
	body: z
		.array(BLOCK)
		.max(100, 'A letter may have 100 paragraphs.')
		.refine((blocks) => lengthOf(blocks) <= MOST_TEXT, `A letter may have ${MOST_TEXT} letters.`),
	closing: line(1_000).trim(),
	sender: line(1_000).trim(),
	fromName: line(200).trim(),
	replyTo: z.union([z.literal(''), emailField])
});

function lengthOf(blocks: readonly z.output<typeof BLOCK>[]): number {
	const runs = blocks.flatMap((block) => (block.kind === 'paragraph' ? block.runs : block.items.flat()));
	return runs.reduce((sum, run) => sum + run.text.length, 0);
}

function isHarmless(link: string): boolean {
	try {
		return ['http:', 'https:', 'mailto:'].includes(new URL(link).protocol);
	} catch {
		return false;
	}
}
