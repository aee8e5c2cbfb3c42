import { addDays } from '../../day/arithmetic';
import { day } from '../../day/day';
import type { Customer, OpenItem, ReceiptFacts } from '../../model/records';
import { sampleItem } from '../../model/sample-item';
import { minor } from '../../money/minor';
import type { Answer } from '../answer';
import { answerReceipts } from './answer-receipts';

import type { MatchBooks } from '../match-books';

export const customer = (id: number, name: string, over: Partial<Customer> = {}): Customer => ({
	...{ id, code: `C${id}`, name, otherNames: [], payerAccounts: [`ACC${id}`], parentId: null },
	...{ currency: 'GBP', ...over }
});
export const CUSTOMERS = [
	customer(1, 'Stannary Education Trust'),
	customer(2, 'Stannary Lane College', { parentId: 1 }),
	customer(3, 'Stannary Bridge School', { parentId: 1 }),
	customer(4, 'Marl Haven Keramik GmbH', { currency: 'EUR' }),
	customer(5, 'Copse Bridge Glassworks')
];
export const item = (id: number, customerId: number, open: number, over: Partial<OpenItem> = {}) =>
	sampleItem(id, open, {
		...{ customerId, currency: CUSTOMERS[customerId - 1]!.currency },
		...{ issued: addDays(day('2026-06-01'), id), due: addDays(day('2026-07-01'), id), ...over }
	});
export const ITEMS = [
	item(11, 1, 51_317),
	item(21, 2, 20_411),
	item(22, 2, 73_009),
	item(31, 3, 12_223),
	item(32, 3, 64_801),
	item(41, 4, 80_000),
	item(42, 4, 31_700),
	item(51, 5, 24_000),
	item(52, 5, 24_000),
	item(53, 5, 38_119),
	item(54, 5, 9_450, { kind: 'credit_note', number: 'AC-7054' }),
	item(55, 5, 61_250),
	item(56, 5, 17_030)
];
export const number = (id: number) => `AK-${40_000 + id}`;
export const open = (...ids: number[]) =>
	ids.reduce((sum, id) => sum + ITEMS.find((one) => one.id === id)!.open, 0);
let next = 1;
export const receipt = (amount: number, over: Partial<ReceiptFacts> = {}): ReceiptFacts => ({
	...{ id: next++, booked: day('2026-10-28'), amount: minor(amount), currency: 'GBP', payerName: null },
	...{ payerAccount: null, text: '', structuredReference: null, endToEndId: null, ...over }
});
export const BOOKS: MatchBooks = { customers: CUSTOMERS, items: ITEMS, baseCurrency: 'GBP' };
export const answer = (one: ReceiptFacts, over: Partial<MatchBooks> = {}) =>
	answerReceipts([one], { ...BOOKS, ...over })[0]!;
export const short = ({ band, customerId, lines }: Answer) => [
	band,
	customerId,
	lines.map((line) => line.itemId)
];
export const codes = (one: Answer) => one.reasons.map((reason) => reason.code);
export const gaps = (one: Answer) =>
	one.lines.flatMap((line) => line.differences.map(({ kind, amount }) => [kind, amount]));
