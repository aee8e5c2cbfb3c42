import { describe, expect, it, test } from 'vitest';
import type { Problem } from '../../core/problems';
import type { Reason } from '../../core/3-matching';
import { day } from '../../core/day/day';
import { minor } from '../../core/money/minor';
import { amount, count, list, moment, money, shortDay, weekDay } from './format';
import { ledgerWords } from './ledger-words';
import { problemSentence } from './problem-sentence';
import { payerSentence } from './payer-sentence';
import { reasonSentence } from './reason-sentence';

test.each([
	[188920, 'GBP', '1,889.20', '£1,889.20'],
	[-5, 'GBP', '−0.05', '−£0.05'],
	[0, 'EUR', '0.00', '€0.00'],
	[123456789, 'GBP', '1,234,567.89', '£1,234,567.89'],
	[1234, 'JPY', '1,234', 'JPY 1,234'],
	[1234567, 'BHD', '1,234.567', 'BHD 1,234.567'],
	[100, 'GBP', '1.00', '£1.00'],
	[99999, 'GBP', '999.99', '£999.99']
])('%s %s reads %s and %s', (value, currency, plain, signed) => {
	expect(amount(value, currency)).toBe(plain);
	expect(money(value, currency)).toBe(signed);
});

describe('days and lists', () => {
	it('leaves out the year that is meant anyway', () => {
		expect(shortDay('2026-10-04', '2026-01-01')).toBe('4 Oct');
		expect(shortDay('2025-10-04', '2026-01-01')).toBe('4 Oct 2025');
		expect(weekDay('2026-10-30')).toBe('Fri 30 Oct');
		expect(moment('2026-10-30T14:05:09.000Z')).toBe('30 Oct 2026, 14:05');
	});
	it('counts and lists', () => {
		expect([count(1, 'entry', 'entries'), count(1200, 'invoice')]).toEqual(['1 entry', '1,200 invoices']);
		expect([list([]), list(['a']), list(['a', 'b']), list(['a', 'b', 'c', 'd', 'e'])]).toEqual([
			'',
			'a',
			'a and b',
			'a, b, c and 2 more'
		]);
	});
});

const problems: Problem[] = [
	{ code: 'file-empty' },
	{ code: 'file-too-large', bytes: 2e8, most: 1.5e8 },
	{ code: 'file-encoding-unknown', encoding: 'x' },
	{ code: 'xml-broken', detail: 'x', line: 3 },
	{ code: 'xml-cut-off' },
	{ code: 'xml-doctype' },
	{ code: 'not-camt', found: 'html' },
	{ code: 'reported-met' },
	{ code: 'camt-version-unknown', found: '001.13' },
	{ code: 'no-statement' },
	{ code: 'part-missing', part: 'Acct/Id' },
	{ code: 'amount-bad', text: 'x', currency: 'GBP', why: 'not-a-number', part: 'Amt' },
	{ code: 'date-bad', text: 'x', part: 'Dt' },
	{ code: 'entry-currency', found: 'EUR', account: 'GBP' },
	{ code: 'balance-wrong', opening: 1, entries: 2, closing: 4, currency: 'GBP' },
	{ code: 'account-unknown', account: 'X', currency: 'GBP' },
	{ code: 'account-currency', account: 'X', found: 'EUR', want: 'GBP' },
	{ code: 'too-many-problems', shown: 50 },
	{ code: 'csv-broken', detail: 'a quote never ends', line: 7 },
	{ code: 'csv-column-missing', columns: ['code'], found: ['name'], line: 1 },
	{ code: 'csv-no-headings' },
	{ code: 'table-asks' },
	{ code: 'table-not-known' },
	{ code: 'csv-width', want: 3, found: 2, line: 4 },
	{ code: 'csv-too-long', most: 500_000, line: 500_002 },
	{ code: 'csv-field', field: 'total', text: 'x', why: 'it is not an amount', line: 3 },
	{ code: 'differs', what: 'customer C9', why: 'the books call it Hazel', line: 3 },
	{ code: 'code-unknown', what: 'customer', text: 'C9', line: 3 },
	{ code: 'nothing-to-place' },
	{ code: 'line-not-positive', item: 'AK-1' },
	{ code: 'line-twice', item: 'AK-1' },
	{ code: 'over-item', item: 'AK-1', asked: 5, open: 4, currency: 'GBP' },
	{ code: 'over-receipt', placed: 5, amount: 4, currency: 'GBP' },
	{ code: 'credit-unused', item: 'AC-1', over: 1, currency: 'GBP' },
	{ code: 'other-currency', item: 'AK-1', found: 'EUR', want: 'GBP' },
	{ code: 'earlier-credit-unused', over: 5, currency: 'GBP' },
	{ code: 'over-credit', asked: 5, left: 4, currency: 'GBP' },
	{ code: 'over-tolerance', amount: 501, most: 500, currency: 'GBP' },
	{ code: 'over-limit', scope: 'act', kind: 'bank_charge', amount: 501, most: 500, currency: 'GBP' },
	{ code: 'over-limit', scope: 'customer', kind: 'refund', amount: 501, most: 500, currency: 'GBP' },
	{ code: 'over-limit', scope: 'day', kind: 'all', amount: 501, most: 500, currency: 'GBP' },
	{ code: 'too-many-to-ask', count: 2001, most: 2000 },
	{ code: 'own-request' },
	{ code: 'confirm-yourself' },
	{ code: 'credit-changed' },
	{ code: 'claim-of-claim', item: 'CL-1' },
	{ code: 'claim-unexplained', item: 'AK-1' },
	{ code: 'split-part', part: 2 },
	{ code: 'split-sum', parts: 5, amount: 6, currency: 'GBP' },
	{ code: 'split-sum', parts: 7, amount: 6, currency: 'GBP' },
	{ code: 'draft-gone' },
	{ code: 'draft-dated', customer: 'Hazel', date: '2026-12-14' },
	{ code: 'more-than-open', number: 'AK-1', open: 500, currency: 'GBP' },
	{ code: 'credit-without-invoice', number: 'AC-1' },
	{ code: 'not-open', number: 'AK-1', customer: 'Hazel' },
	{ code: 'match-differs', recorded: 5, shown: 6, currency: 'GBP' },
	{ code: 'no-customer' },
	{ code: 'not-a-credit-entry' },
	{ code: 'not-allowed', role: 'reader', needs: 'clerk' },
	{ code: 'not-signed-in' },
	{ code: 'not-found', what: 'receipt' },
	{ code: 'receipt-taken', who: 'Wren', at: '2026-10-30T10:00:00Z', to: 'Hazel' },
	{ code: 'item-changed', item: 'AK-1', who: 'Wren', at: '2026-10-30T10:00:00Z', open: 5, currency: 'GBP' },
	{ code: 'already-undone', who: 'Wren', at: '2026-10-30T10:00:00Z' },
	{ code: 'credit-in-use', what: 'AK-1' },
	{ code: 'archive-too-large', files: 3, bytes: 9e9, most: 2000, mostBytes: 2e8, file: 'List.xlsx' },
	{ code: 'archive-too-large', files: 3000, bytes: 9, most: 2000, mostBytes: 2e8 },
	{ code: 'archive-broken', file: 'List.xlsx' },
	{ code: 'sheet-unreadable', file: 'List.xlsx' },
	{ code: 'is-set-up' },
	{ code: 'not-proved', breaches: 2 },
	{ code: 'mail-refused', why: 'connect ECONNREFUSED' },
	{ code: 'open-again', customer: 'Hazel' },
	{ code: 'not-a-pdf', file: 'AK-1.docx' },
	{ code: 'mailbox-refused', why: 'Authentication failed' },
	{ code: 'customer-changed', customer: 'Hazel Hill' },
	{ code: 'account-not-settled', customer: 'Hazel Hill', items: 2, credits: 1 },
	{ code: 'account-closed', customer: 'Hazel Hill' },
	{ code: 'opening-later', number: 'AK-1', date: '2026-11-02', on: '2026-10-31', line: 4 },
	{ code: 'opening-apart', balance: 10000, control: 9950, currency: 'GBP' },
	{ code: 'period-locked', date: '2026-09-01', firstOpen: '2026-10-01' },
	{ code: 'no-rate', currency: 'EUR', date: '2026-09-01' },
	{ code: 'field', field: 'x', message: 'Type a name.' },
	{ code: 'number-taken', number: 'AK-1' },
	{ code: 'total-mismatch', number: 'AK-1' },
	{ code: 'address-missing', customer: 'Hazel' },
	{ code: 'nothing-owed', customer: 'Hazel' },
	{ code: 'letter-changed', customer: 'Hazel' },
	{ code: 'interest-changed', customer: 'Hazel' },
	{ code: 'policy-used', name: 'Schools', customers: 2 },
	{ code: 'step-taken', customer: 'Hazel', step: 'First reminder' },
	{ code: 'wording-wrong', customer: 'Hazel' },
	{ code: 'wording-changed', name: 'Statement' },
	{ code: 'letter-sent', customer: 'Hazel', who: 'Wren', at: '2026-10-30T10:00:00.000Z' },
	{ code: 'books-full' },
	{ code: 'out-of-bounds' },
	{ code: 'report-too-long', rows: 30_000, most: 20_000 },
	{ code: 'took-too-long', seconds: 60 },
	{ code: 'second-person', who: 'Wren' },
	{
		code: 'entries-doubtful',
		doubts: [
			{
				...{ key: '1 a:0', account: 'Current account', booked: day('2026-10-28'), currency: 'GBP' },
				...{ amount: minor(500), words: 'INV', others: [{ id: 3, words: 'HAZEL', file: 'a.xml' }] }
			}
		]
	},
	{ code: 'account-merged', customer: 'H1', into: 'W2', line: 3 },
	{ code: 'accounts-used-as-one', customer: 'Hazel', other: 'Wicker', postings: 2 },
	{ code: 'folder-only' },
	{ code: 'bank-shows-it' },
	{ code: 'other-file', found: 'customers', wanted: 'bank-file' },
	{ code: 'last-supervisor' }
];
test.each(problems.map((problem) => [problem.code, problem] as const))(
	'%s is a whole sentence with its facts',
	(_, problem) => {
		const text = problemSentence(problem);
		expect(text).toMatch(/^[A-Z“0-9£−].*[.?]$/s);
		expect(text).not.toMatch(/undefined|null|NaN|\[object/);
	}
);
it('says where before what', () =>
	expect(problemSentence({ code: 'xml-cut-off', statement: 'S1', entry: 'B7', line: 12 })).toBe(
		'Statement S1, entry B7, line 12: the file ends in the middle. Fetch it from the bank again; nothing of it was taken.'
	));

const SUM = { amount: minor(750), currency: 'EUR' } as const;
/** Every reason there is, each with its facts; a new one that is not here does not compile. */
const reasons: { readonly [C in Reason['code']]: readonly Omit<Extract<Reason, { code: C }>, 'code'>[] } = {
	'account-known': [{ account: 'GB001234', customer: 'Hazel' }],
	'payer-given': [{ customer: 'Hazel' }],
	'name-known': [{ name: 'HAZEL', customer: 'Hazel' }],
	'account-taught': [1, 3].map((times) => ({ account: 'GB001234', customer: 'Hazel', times })),
	'name-taught': [1, 3].map((times) => ({ name: 'HAZEL', customer: 'Hazel', times })),
	'words-taught': [{ words: 'KILN FUND', customer: 'Hazel', times: 2 }],
	'name-cut': [{ name: 'HAZEL HI', customer: 'Hazel Hill' }],
	'name-near': [{ name: 'HAZLE', customer: 'Hazel' }],
	'name-shared': [{ name: 'YARROW', customers: 2 }],
	'shared-fits': [[], ['A', 'B']].map((customers) => ({ customers, ...SUM })),
	'name-in-words': [{ words: 'HAZEL HILL', customer: 'A' }],
	'name-and-number': [{ name: 'HAZEL', customer: 'A' }],
	'words-name-nothing': [{ words: 'thank you' }, { words: '' }],
	'number-nearly': (['letter', 'swapped', 'digit', 'length'] as const).map((how) => ({
		words: 'AK-4O',
		number: 'AK-40',
		how
	})),
	'credit-joins': [{ numbers: ['AC-1'], ...SUM }],
	'all-until': [
		{ day: day('2026-09-30'), items: 4, by: 'due', but: null },
		{ day: day('2026-09-30'), items: 4, by: 'issued', but: 'AK-3' }
	],
	'all-open': [{ items: 4 }],
	'says-on-account': [{}],
	'paid-twice': [{ number: 'AK-1' }],
	'sets-found': [
		{ sets: 4, all: true, looked: 9 },
		{ sets: 40, all: false, looked: 90 }
	],
	'earlier-money': [1, 3].map((receipts) => ({ ...SUM, booked: day('2026-09-01'), receipts })),
	'list-cut': [
		{ numbers: ['AK-1'], sets: 1, ...SUM },
		{ numbers: ['AK-1', 'AK-2'], sets: 3, ...SUM }
	],
	'oldest-habit': [{ times: 6 }],
	'statement-habit': [{ times: 3, of: 4 }],
	'fills-oldest': [1, 3].map((items) => ({ times: 3, of: 4, items })),
	'late-discount-habit': [{ times: 3, days: 5 }],
	'charge-habit': [{ times: 2, customer: 'A', ...SUM }],
	'claim-said': [{ words: 'broken', claim: 'damaged' }],
	'tax-said': [
		{ words: 'WHT', basisPoints: 1000, before: false, ...SUM },
		{ words: '', basisPoints: 0, before: true, ...SUM },
		{ words: '', basisPoints: 1500, before: false, ...SUM }
	],
	'digits-swapped': [{ open: minor(5), came: minor(50), currency: 'GBP', number: 'AK-1' }],
	'says-part': [{ words: 'first half' }],
	'round-sum': [SUM],
	'payer-unknown': [{ name: null }, { name: 'X' }],
	'payer-differs': [{ payer: 'A', customer: 'B' }],
	'parent-pays': [{ parent: 'A', customer: 'B' }],
	'number-named': [{ words: 'AK-1', numbers: ['AK-1'], customer: 'A' }],
	'reference-named': [{ reference: 'RF18', numbers: ['AK-1'], customer: 'A' }],
	'number-settled': [{ number: 'AK-1' }],
	'named-in-other-currency': [{ number: 'AK-1', of: 'EUR', came: 'GBP' }],
	'numbers-of-several': [{ customers: ['A', 'B'] }],
	'adds-up': [1, 3].map((items) => ({ ...SUM, items })),
	short: [{ by: minor(1), of: minor(5), currency: 'GBP' }],
	long: [{ by: minor(1), of: minor(5), currency: 'GBP' }],
	'discount-taken': [{ basisPoints: 200, until: day('2026-10-01'), ...SUM }],
	'charge-usual': [SUM],
	'charges-stated': [SUM],
	'tariff-kept': [0, 20].map((fixed) => ({
		payer: 'PAYLOOM',
		basisPoints: 140,
		fixed: minor(fixed),
		explains: 5,
		...SUM
	})),
	'only-open-item': [{ number: 'AK-1', customer: 'A' }],
	'only-set': [
		{ items: 1, customer: 'A', looked: 4, all: true },
		{ items: 2, customer: 'A', looked: 4, all: false }
	],
	'oldest-of-equal': [{ number: 'AK-1', equal: 3 }],
	'oldest-in-set': [6, 1_000_000].map((ways) => ({ items: 3, ways })),
	'no-set': [{ ...SUM, items: 3 }],
	'nothing-open': [{ customer: 'A', currency: 'GBP' }],
	'wanted-twice': [{ number: 'AK-1' }],
	'recorded-before': [{ label: 'cheque 100412', date: day('2026-10-28') }],
	'advice-kept': [true, false].map((whole) => ({
		date: day('2026-10-28'),
		customer: 'A',
		items: 2,
		whole,
		...SUM
	})),
	'same-sum-before': [['AK-1'], []].map((numbers) => ({ booked: day('2026-10-28'), numbers })),
	'money-out': [{}],
	'statement-doubted': [{ reference: 'S7' }],
	'file-unconfirmed': [{ file: 'bank.xml', who: 'Wren' }],
	'usual-line': [{ account: 'Bank charges', times: 3 }],
	'usual-rule': [{ account: 'Bank charges', by: 'Ada' }],
	'not-yet': [{}]
};
test.each(Object.entries(reasons).flatMap(([code, all]) => all.map((facts) => [code, facts] as const)))(
	'the reason %s is a whole sentence',
	(code, facts) => {
		const text = reasonSentence({ code, ...facts } as Reason);
		expect(text).toMatch(/^[A-Z“0-9£€].*[.?]$/);
		expect(text).not.toMatch(/undefined|null|NaN/);
	}
);

test.each([
	[{ trait: 'account', key: 'GB11', times: 1, told: false }, 'Paid once from GB11.'],
	[
		{ trait: 'name', key: 'MERE CLUB', times: 2, told: true },
		'Paid twice by MERE CLUB, as somebody said to remember.'
	],
	[{ trait: 'words', key: 'KILN FUND', times: 7, told: false }, 'Said “KILN FUND” 7 times.']
] as const)('what was learned of a payer is said with how often', (lesson, text) =>
	expect(payerSentence({ ...lesson, customerId: 1 })).toBe(text)
);

it('names the lines of a ledger', () =>
	expect([ledgerWords('allocate-receipt'), ledgerWords('bank_charge'), ledgerWords('credit_note')]).toEqual([
		'Receipt',
		'Bank charge',
		'Credit note'
	]));
