import type { LetterKind } from '../letter-kind';

/** What a wording may be filled in with, in the order in which it is offered. */
export const PLACEHOLDERS = [
	...(['customer', 'contact', 'account', 'firm', 'title', 'day'] as const),
	...(['amount', 'overdue', 'deducted', 'count', 'numbers', 'days-late', 'reference'] as const),
	...(['shows', 'as-at', 'from', 'to'] as const),
	...(['step', 'next-step', 'next-day', 'answer-by'] as const),
	...(['returned', 'paid-on', 'returned-on', 'returned-why', 'charge'] as const),
	...(['person', 'firm-phone', 'firm-email'] as const),
	...(['items', 'totals', 'how-to-pay'] as const)
] as const;
export type Placeholder = (typeof PLACEHOLDERS)[number];

/** What stands for a part of its own: it has a line to itself. */
export const BLOCK_PLACEHOLDERS = ['items', 'totals', 'how-to-pay'] as const satisfies readonly Placeholder[];
export type BlockPlaceholder = (typeof BLOCK_PLACEHOLDERS)[number];

export const isBlock = (name: Placeholder): name is BlockPlaceholder =>
	(BLOCK_PLACEHOLDERS as readonly Placeholder[]).includes(name);

/** What only some kinds of letters know. */
const OF_KINDS: Partial<Record<Placeholder, readonly LetterKind[]>> = {
	...{
		shows: ['statement', 'returned', 'interest'],
		'as-at': ['statement'],
		from: ['statement'],
		to: ['statement']
	},
	...{ totals: ['statement', 'reminder'], deducted: ['reminder'] },
	...{ step: ['reminder'], 'next-step': ['reminder'], 'next-day': ['reminder'], 'answer-by': ['reminder'] },
	...{ returned: ['returned'], 'paid-on': ['returned'], 'returned-on': ['returned'] },
	...{ 'returned-why': ['returned'], charge: ['returned'] }
};

/** What a wording of a kind may be filled in with. */
export function placeholdersFor(kind: LetterKind): readonly Placeholder[] {
	return PLACEHOLDERS.filter((name) => OF_KINDS[name]?.includes(kind) ?? true);
}
