import { day } from '../../day/day';
import type { Customer, OpenItem, ReceiptFacts } from '../../model/records';
import { minor } from '../../money/minor';
import { answerReceipts } from './answer-receipts';

import { sampleItem } from '../../model/sample-item';

export const customer = (id: number, name: string, over: Partial<Customer> = {}): Customer => ({
	...{
		id,
		code: `C${id}`,
		name,
		otherNames: [],
		payerAccounts: [`ACC${id}`],
		parentId: null,
		currency: 'GBP'
	},
	...over
});
export const item = (id: number, customerId: number, open: number, over: Partial<OpenItem> = {}) =>
	sampleItem(id, open, { customerId, ...over });
let next = 1;
export const receipt = (amount: number, over: Partial<ReceiptFacts> = {}): ReceiptFacts => ({
	...{ id: next++, booked: day('2026-10-28'), amount: minor(amount), currency: 'GBP', payerName: null },
	...{ payerAccount: null, text: '', structuredReference: null, endToEndId: null },
	...over
});
export const customers = [
	customer(1, 'Hazel Hill Pottery Ltd', { otherNames: ['T/A Kiln Corner Studio'] }),
	customer(2, 'Wicker Lane Ceramics Ltd'),
	customer(3, 'Wicker Lane Ceramics CIC'),
	customer(4, 'Alder Bank Workshops Limited')
];
export const number = (n: number) => `AK-${40_000 + n}`;
/** An account with months of items of odd amounts, one a week. */
export const months = (customerId: number, count: number) =>
	Array.from({ length: count }, (_, i) =>
		item(customerId * 100 + i, customerId, 10_007 + i * 7_919, {
			number: number(customerId * 100 + i),
			issued: day(`2026-0${1 + Math.floor(i / 4)}-${String(1 + (i % 4) * 7).padStart(2, '0')}`),
			due: day(`2026-0${2 + Math.floor(i / 4)}-${String(1 + (i % 4) * 7).padStart(2, '0')}`)
		})
	);
export const books = {
	customers,
	items: [
		...months(1, 12),
		...months(2, 4),
		...months(4, 3),
		item(90, 1, 4_358, { kind: 'credit_note', number: 'AC-7090' })
	]
};
export const brief = (one: ReceiptFacts, pile: readonly ReceiptFacts[] = [one], over: object = {}) => {
	const answers = answerReceipts(pile, { ...books, ...over });
	const answer = answers.find((each) => each.receiptId === one.id)!;
	return {
		band: answer.band,
		customer: answer.customerId,
		items: answer.lines.map((line) => line.itemId),
		onAccount: answer.onAccount,
		codes: answer.reasons.map((reason) => reason.code)
	};
};
export const sum = (...ids: number[]) =>
	ids.reduce((total, id) => total + books.items.find((one) => one.id === id)!.open, 0);
