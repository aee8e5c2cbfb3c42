import type { KeyBinding } from '$lib/ui/keys';

/** What the keys of the desk do, beside those that allocate to items; each passes over where it makes no sense. */
export interface DeskDoes {
	readonly step: (by: 1 | -1) => void;
	readonly lookForSets: () => void;
	/** Takes what is proposed; where it is several, goes from one to the next. */
	readonly takeProposal: () => void;
	/** Says why the marked item was not taken. */
	readonly whyNot: () => void;
	readonly whose: () => void;
	readonly otherAnswer: () => void;
	readonly newCustomer: () => void;
	readonly split: () => void;
	readonly mark: () => void;
	readonly deal: (what: 'hold' | 'account') => void;
	readonly ask: (what: 'certain' | 'hold' | 'aside' | 'advice') => void;
	readonly filterPile: () => void;
	readonly undo: () => void;
}

/** The keys of the desk, and their help, as one list. @param items the keys that allocate to items */
export function deskKeys(does: DeskDoes, items: readonly KeyBinding[]): readonly KeyBinding[] {
	return [
		{ keys: ['j', 'k'], what: 'next and previous receipt', run: (key) => does.step(key === 'j' ? 1 : -1) },
		...items,
		{ keys: ['s'], what: 'look for items that come to what is left', run: does.lookForSets },
		{
			keys: ['y'],
			what: 'yes: take what is proposed above or was found; of several, the next, then Enter',
			run: does.takeProposal
		},
		{ keys: ['x'], what: 'the next answer, where several fit', run: does.otherAnswer },
		{ keys: ['i'], what: 'why the marked item was not taken', run: does.whyNot },
		{ keys: ['w'], what: 'whose it is: find the account', run: does.whose },
		{ keys: ['q'], what: 'open an account for a new customer', run: does.newCustomer },
		{ keys: ['a'], what: 'take their remittance advice', run: () => does.ask('advice') },
		{ keys: ['p'], what: 'split a payout into its payments', run: does.split },
		{ keys: ['Enter'], what: 'post and go on' },
		{ keys: ['h'], what: 'hold, with what is allocated so far', run: () => does.ask('hold') },
		{ keys: ['n'], what: 'not customer money', run: () => does.ask('aside') },
		{ keys: ['m'], what: 'mark the receipt, to deal with several at once', run: does.mark },
		{
			keys: ['g'],
			what: 'the marked ones: hold them, or hand them to somebody',
			run: () => does.deal('hold')
		},
		{ keys: ['b'], what: 'the marked ones: put them on one account', run: () => does.deal('account') },
		{ keys: ['l'], what: 'filter the receipts', run: does.filterPile },
		{ keys: ['c'], what: 'read and post what is certain', run: () => does.ask('certain') },
		{ keys: ['u'], what: 'undo the last posting', run: does.undo }
	];
}
