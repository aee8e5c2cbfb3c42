import type { Answer } from '../../core/3-matching';
import { NO_LIMITS_OF_ONE } from '../../core/4-allocation/over-limits';
import { day } from '../../core/day/day';
import type { OpenItem } from '../../core/model/records';
import { sampleItem } from '../../core/model/sample-item';
import { minor } from '../../core/money/minor';
import type { Desk } from '../../server/allocation/queries/desk';

/** An item open on the account of the sample desk. */
export const sampleOpenItem = (id: number, open: number, over: Partial<OpenItem> = {}) =>
	sampleItem(id, open, { number: `AK-${id}`, version: 3, ...over });
/** What is open there: three invoices, a credit note, an instalment. */
export const sampleItems = [
	sampleOpenItem(1, 75000),
	sampleOpenItem(2, 48000),
	sampleOpenItem(3, 70460),
	sampleOpenItem(4, 6210, { kind: 'credit_note', number: 'AC-4' }),
	sampleOpenItem(5, 1000, { part: 2, parts: 3 })
];
/** A receipt on the desk, proposed to be laid as the lines say. For tests. */
export function sampleDesk(amount: number, lines: Answer['lines'] = [], over: Partial<Desk> = {}): Desk {
	const receipt = {
		id: 9,
		booked: day('2026-10-29'),
		amount: minor(amount),
		currency: 'GBP',
		payerName: 'HAZEL',
		payerAccount: null,
		text: '',
		structuredReference: null,
		endToEndId: null,
		version: 2,
		...{ heldBecause: null, heldFor: null, bankAccountId: 1, code: null },
		unidentifiedActId: null,
		heldOrder: null,
		bankEntryId: 1,
		charges: minor(0),
		fee: minor(0),
		parentId: null,
		method: 'bank',
		returnReason: null
	};
	const answer: Answer = {
		receiptId: 9,
		band: 'likely',
		credits: [],
		customerId: 1,
		lines,
		onAccount: minor(0),
		others: [],
		reasons: [],
		otherAnswers: 0,
		recognised: [],
		booked: day('2026-10-29')
	};
	return {
		receipt,
		answer,
		currency: 'GBP',
		baseCurrency: 'GBP',
		debit: null,
		habits: null,
		payout: null,
		refundsBack: [],
		returned: [],
		owners: {},
		credits: [],
		mayBe: [],
		suspects: [],
		bankMatches: [],
		advices: [],
		feePattern: null,
		payerKnown: true,
		limits: { tolerance: 500, mine: NO_LIMITS_OF_ONE, before: { customer: {}, day: {} } },
		bank: { name: 'Current', reference: null },
		customer: { id: 1, code: 'H1', name: 'Hazel', notes: '', owes: [{ amount: 0, currency: 'GBP' }] },
		rates: { GBP: { currency: 'GBP', millionths: 1_000_000, day: null, source: '' } },
		receiptBase: null,
		items: sampleItems,
		itemsOf: { accounts: [1], version: '1' },
		habit: [],
		setAside: [],
		...over
	};
}
