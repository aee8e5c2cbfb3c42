import { describe, expect, it } from 'vitest';
import { whyNotSentence } from '../../../words';
import { day } from '../../day/day';
import type { OpenItem } from '../../model/records';
import { sampleItem } from '../../model/sample-item';
import { minor } from '../../money/minor';
import { answerReceipts } from './answer-receipts';
import { whyNot } from './why-not';

const customer = {
	...{
		id: 1,
		code: 'C1',
		name: 'Hazel Hill',
		otherNames: [],
		payerAccounts: ['A1'],
		parentId: null,
		currency: 'GBP'
	}
};
const item = (id: number, open: number, over: Partial<OpenItem> = {}) =>
	sampleItem(id, open, { customerId: 1, number: `AK-4000${id}`, due: day(`2026-09-0${id}`), ...over });
const items = [
	item(1, 500),
	item(2, 500),
	item(3, 900),
	item(4, 120),
	item(5, 60, { kind: 'credit_note' }),
	item(6, 500, { currency: 'EUR' })
];
const receipt = (amount: number, text: string) => ({
	...{ id: 1, booked: day('2026-10-28'), amount: minor(amount), currency: 'GBP', payerName: null },
	...{ payerAccount: 'A1', text, structuredReference: null, endToEndId: null }
});
const codes = (amount: number, text: string, id: number) => {
	const one = receipt(amount, text);
	const [answer] = answerReceipts([one], { customers: [customer], items });
	const found = whyNot(
		one,
		items.find((each) => each.id === id)!,
		answer!,
		items
	);
	for (const why of found) expect(whyNotSentence(why)).toMatch(/\.$/);
	return found.map((why) => why.code);
};

describe('why not this one', () => {
	it.each([
		['the one that is taken', 500, 'AK-40001', 1, []],
		['named others', 500, 'AK-40001', 3, ['words-name-others', 'more-than-came']],
		['an older one of the same sum', 500, '', 2, ['in-other-answer', 'not-named', 'older-equal']],
		['too little', 500, '', 4, ['not-named', 'less-than-came']],
		['a credit note', 500, '', 5, ['not-named', 'credit-would-leave']],
		['another currency', 500, '', 6, ['other-currency']]
	])('%s', (_, amount, text, id, want) => expect(codes(amount, text, id)).toEqual(want));
});
