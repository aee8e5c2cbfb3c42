import { describe, expect, it, test } from 'vitest';
import type { ProofFacts } from './facts';
import { prove } from './prove';

/** Books of one invoice of 1,000 and a receipt of 700, of which 600 is allocated and 10 is a bank charge. */
const line = (
	actId: number,
	account: string,
	amount: number,
	over: Partial<ProofFacts['lines'][number]> = {}
) => ({
	actId,
	date: '2026-10-01',
	account,
	customerId: account === '1100' ? 1 : null,
	currency: 'GBP',
	amount,
	base: amount,
	bankEntryId: null,
	sourceKind: account === '1100' ? ('document' as const) : null,
	sourceId: account === '1100' ? 1 : null,
	...over
});
const facts = (): { -readonly [K in keyof ProofFacts]: ProofFacts[K] } => ({
	lines: [
		line(1, '1100', 1000),
		line(1, '4000', -1000),
		line(2, '1200', 700, { date: '2026-10-05', bankEntryId: 1 }),
		line(2, '1100', -700, { date: '2026-10-05', sourceKind: 'receipt' }),
		line(2, '7100', 10, { date: '2026-10-05' }),
		line(2, '1100', -10, { date: '2026-10-05', sourceKind: 'deduction' })
	],
	items: [
		{
			id: 1,
			documentId: 1,
			number: 'AK-1',
			customerId: 1,
			currency: 'GBP',
			credit: false,
			issued: '2026-10-01',
			total: 1000,
			totalBase: 1000,
			stateOpen: 390,
			stateOpenBase: 390
		}
	],
	allocations: [
		{
			id: 1,
			actId: 2,
			date: '2026-10-05',
			receiptId: 1,
			creditItemId: null,
			itemId: 1,
			amount: 600,
			creditCustomerId: 1,
			creditAmount: 600,
			itemBase: 600,
			creditBase: 600,
			undoesId: null
		}
	],
	differences: [{ id: 1, date: '2026-10-05', itemId: 1, amount: 10, base: 10, undoesId: null }],
	receiptAdjustments: [],
	returned: [],
	back: '1235',
	receipts: [
		{
			id: 1,
			bankEntryId: 1,
			customerId: 1,
			state: 'allocated',
			amount: 700,
			currency: 'GBP',
			onAccount: 100,
			onItsWay: false,
			unidentified: false
		}
	],
	receiptPostings: [{ receiptId: 1, customerId: 1, date: '2026-10-05', sign: 1 }],
	spans: [
		{ ...{ customerId: 1, currency: 'GBP' }, date: '2026-10-01', amount: 1000, base: 1000 },
		{ ...{ customerId: 1, currency: 'GBP' }, date: '2026-10-05', amount: -710, base: -710 }
	],
	entries: [{ id: 1, accountId: 1, amount: 700, currency: 'GBP' }],
	statements: [{ accountId: 1, reference: 'S1', opening: 50, closing: 750, entries: 700 }],
	bankAccounts: [{ id: 1, name: 'Current', ledger: '1200', currency: 'GBP' }],
	receivables: '1100',
	way: '1230',
	unidentified: '2150'
});
type Facts = ReturnType<typeof facts>;
const rules = (change: (f: Facts) => void) => {
	const changed = facts();
	change(changed);
	return [...new Set(prove(changed).map((breach) => breach.rule))].sort();
};

const bare = (one: Facts['lines'][number]) => ({ ...one, sourceKind: null, sourceId: null });

it('says nothing of sound books', () => expect(prove(facts())).toEqual([]));

describe('each rule finds its breach', () => {
	test.each<[string, (f: Facts) => void, number[]]>([
		['a journal that does not balance', (f) => (f.lines = [...f.lines, line(1, '4000', 5)]), [1]],
		[
			'a journal out in base currency only',
			(f) => (f.lines = [...f.lines, line(1, '4000', 0, { base: 5 })]),
			[1]
		],
		['a state that says another open amount', (f) => (f.items = [{ ...f.items[0]!, stateOpen: 400 }]), [2]],
		['a state that says another credit', (f) => (f.receipts = [{ ...f.receipts[0]!, onAccount: 0 }]), [2]],
		[
			'what was open on a day otherwise than in the journal',
			(f) => (f.spans = [f.spans[0]!, { ...f.spans[1]!, date: '2026-10-06' }]),
			[2]
		],
		[
			'what was open in base currency otherwise',
			(f) => (f.spans = [f.spans[0]!, { ...f.spans[1]!, base: -700 }]),
			[2]
		],
		[
			'a control account posted past the items',
			(f) => (f.lines = [...f.lines, line(3, '1100', 5), line(3, '4000', -5)]),
			[2, 7]
		],
		[
			'an allocation on another day than its journal',
			(f) => (f.receiptPostings = [{ ...f.receiptPostings[0]!, date: '2026-10-06' }]),
			[2]
		],
		[
			'an item settled beyond its total',
			(f) =>
				(f.allocations = [...f.allocations, { ...f.allocations[0]!, id: 2, amount: 500, creditAmount: 500 }]),
			[2, 3]
		],
		[
			'a credit used beyond its amount',
			(f) => (
				(f.items = [{ ...f.items[0]!, total: 2000, totalBase: 2000, stateOpen: 1280 }]),
				(f.lines = [...f.lines, line(1, '1100', 1000), line(1, '4000', -1000)]),
				(f.spans = [{ ...f.spans[0]!, amount: 2000, base: 2000 }, f.spans[1]!]),
				(f.allocations = [{ ...f.allocations[0]!, amount: 710, creditAmount: 710 }]),
				(f.receipts = [{ ...f.receipts[0]!, onAccount: -10 }])
			),
			[3]
		],
		[
			'money on its way that nobody recorded',
			(f) => (f.lines = [...f.lines, line(4, '1230', 5), line(4, '4000', -5)]),
			[4]
		],
		[
			'a fee that raises the credit but not the ledger',
			(f) =>
				(f.receiptAdjustments = [
					{
						id: 1,
						date: '2026-10-05',
						receiptId: 1,
						customerId: 1,
						kind: 'processor_fee',
						amount: 5,
						base: 5,
						undoesId: null
					}
				]),
			[2, 7]
		],
		[
			'a refund beyond what came',
			(f) =>
				(f.receiptAdjustments = [
					{
						id: 1,
						date: '2026-10-05',
						receiptId: 1,
						customerId: 1,
						kind: 'refund',
						amount: -101,
						base: -101,
						undoesId: null
					}
				]),
			[2, 3, 7]
		],
		[
			'a statement that does not add up',
			(f) => (f.statements = [{ ...f.statements[0]!, closing: 751 }]),
			[4]
		],
		[
			'an entry posted twice',
			(f) => (f.lines = [...f.lines, line(4, '1200', 700, { bankEntryId: 1 }), line(4, '4000', -700)]),
			[4]
		],
		[
			'a bank line without an entry',
			(f) => (f.lines = [...f.lines, line(4, '1200', 7), line(4, '4000', -7)]),
			[4]
		],
		[
			'an entry posted to another account',
			(f) => (f.lines = f.lines.map((one) => (one.account === '1200' ? { ...one, account: '1210' } : one))),
			[4]
		],
		[
			'receipts that are not the whole of their entry',
			(f) => (f.entries = [{ ...f.entries[0]!, amount: 701 }]),
			[4]
		],
		[
			'an undoing of another amount',
			(f) =>
				(f.allocations = [
					...f.allocations,
					{
						...f.allocations[0]!,
						id: 2,
						amount: -599,
						creditAmount: -600,
						itemBase: -600,
						creditBase: -600,
						undoesId: 1
					}
				]),
			[2, 5]
		],
		[
			'an undoing out in base only',
			(f) =>
				(f.differences = [
					...f.differences,
					{ ...f.differences[0]!, id: 2, amount: -10, base: -9, undoesId: 1 }
				]),
			[2, 5, 7]
		],
		[
			'an undoing of nothing',
			(f) =>
				(f.differences = [
					...f.differences,
					{ ...f.differences[0]!, id: 2, amount: 0, base: 0, undoesId: 77 }
				]),
			[5]
		],
		['a line of receivables without its source', (f) => (f.lines = f.lines.with(0, bare(f.lines[0]!))), [7]],
		[
			'a source on a line that is none of receivables',
			(f) => (f.lines = f.lines.with(1, { ...f.lines[1]!, sourceKind: 'document', sourceId: 1 })),
			[7]
		],
		[
			'a line that stands for another record',
			(f) => (f.lines = f.lines.with(5, { ...f.lines[5]!, sourceId: 2 })),
			[7]
		],
		[
			'a document whose value in base is another',
			(f) => (f.items = [{ ...f.items[0]!, totalBase: 999 }]),
			[7]
		]
	])('%s', (_, change, want) => expect(rules(change)).toEqual(want));
});
