import { expect, test } from 'vitest';
import type { Contact } from '../../core/model/customer-details';
import { contactWords, customerChangeWords } from './customer-words';

const ada: Contact = {
	...{ name: 'Ada Reed', role: 'bought ledger', email: 'ada@hazel.example', phone: '0190 1' },
	copies: 'statements'
};

test.each<[Contact, string]>([
	[ada, 'Ada Reed, bought ledger, ada@hazel.example, 0190 1, copies of statements'],
	[{ ...ada, role: '', email: null, phone: null, copies: 'none' }, 'Ada Reed'],
	[{ ...ada, role: '', phone: null, copies: 'all' }, 'Ada Reed, ada@hazel.example, copies of all letters']
])('a contact is read in a line', (contact, want) => expect(contactWords(contact)).toBe(want));

test.each<[Parameters<typeof customerChangeWords>[0], string]>([
	[
		{
			field: 'contacts',
			before: [],
			after: [{ ...ada, role: '', phone: null, email: null, copies: 'none' }]
		},
		'contacts “Ada Reed”'
	],
	[{ field: 'termsDays', before: 30, after: 45 }, 'terms 30 days, now 45 days'],
	[
		{ field: 'termsFrom', before: 'issue', after: 'month_end' },
		'terms counted from the day of issue, now the end of the month'
	],
	[{ field: 'creditLimit', before: 500_000, after: null }, 'credit limit £5,000.00 taken off'],
	[{ field: 'discountBasisPoints', before: null, after: 250 }, 'settlement discount 2.5%'],
	[{ field: 'tags', before: ['north'], after: ['north', 'kilns'] }, 'tags “north”, now “north”, “kilns”'],
	[{ field: 'pausedUntil', before: null, after: '2026-11-30' }, 'paused until 30 Nov 2026']
] as never)('a change is said with what was and what is', (change, want) =>
	expect(customerChangeWords(change, 'GBP')).toBe(want)
);
