import { readCustomers } from './testing-all-rows';
import { expect, test } from 'vitest';
import { minor } from '../money/minor';
import type { CustomerDetails } from '../model/customer-details';
import { customerChanges } from './customer-changes';
import { detailsOfRow } from './details-of-row';

const HAZEL: CustomerDetails = {
	...{
		name: 'Hazel Hill',
		otherNames: ['HAZEL'],
		address: ['Kiln Row'],
		statementAddress: ['Box 7'],
		tags: []
	},
	...{
		termsFrom: 'issue',
		termsDays: 45,
		termsParts: [],
		language: 'en',
		statementWay: 'mail',
		statementFiles: [],
		interest: 'statutory',
		interestBasisPoints: null,
		discountBasisPoints: null,
		discountDays: null,
		creditLimit: null,
		parentCode: null
	},
	...{
		statementEmail: 'a@hazel.example',
		reminderEmail: null,
		phone: '01',
		contacts: [],
		taxNumber: null,
		notes: 'Fridays'
	},
	...{ chasingPolicy: null, chasingPaused: null, pausedUntil: null, payerAccounts: ['GB1'] }
};
const PLAIN = { code: 'H1', name: 'Hazel Hill', currency: 'GBP' };

test.each<[string, Record<string, string>, Partial<CustomerDetails>]>([
	['nothing', {}, {}],
	['no terms: those that were stay', { terms_days: '' }, {}],
	['terms', { terms_days: '30' }, { termsDays: 30 }],
	['another name', { name: 'Hazel & Hill' }, { name: 'Hazel & Hill' }],
	[
		'names beside those that are known',
		{ also_known_as: 'HAZEL|H HILL' },
		{ otherNames: ['HAZEL', 'H HILL'] }
	],
	['its own name as another', { also_known_as: 'Hazel Hill' }, {}],
	['an account beside the one that is known', { payer_accounts: 'gb 2' }, { payerAccounts: ['GB1', 'GB2'] }],
	['an address', { address: 'Mere 1, Stannary' }, { address: ['Mere 1', 'Stannary'] }],
	['an empty address', { address: '' }, {}],
	[
		'e-mail and telephone',
		{ email: 'b@hazel.example', phone: '02' },
		{ statementEmail: 'b@hazel.example', phone: '02' }
	],
	[
		'a discount',
		{ discount_percent: '2.5', discount_days: '10' },
		{ discountBasisPoints: 250, discountDays: 10 }
	],
	[
		'what else is kept of a customer',
		{
			...{ reminder_email: 'late@hazel.example', credit_limit: '5000.00', tax_number: 'GB 12' },
			...{ language: 'Deutsch', tags: 'north, kilns|north', notes: 'Rings first' }
		},
		{
			...{ creditLimit: minor(500_000), reminderEmail: 'late@hazel.example', taxNumber: 'GB 12' },
			...{ language: 'de', tags: ['north', 'kilns'], notes: 'Rings first' }
		}
	]
])('a row that says %s', (_, cells, over) => {
	const read = readCustomers([{ line: 2, cells: { ...PLAIN, ...cells } }]);
	if (!read.ok) throw new Error(JSON.stringify(read.problems));
	const after = detailsOfRow(HAZEL, read.value[0]!);
	expect(after).toEqual({ ...HAZEL, ...over });
	expect(customerChanges(HAZEL, after).map((one) => one.field)).toEqual(
		Object.keys(HAZEL).filter((field) => field in over)
	);
});

test.each([
	['a language that is none', { language: 'Klingon' }, 'language', /nor the name of one/],
	['a limit below nothing', { credit_limit: '-5.00' }, 'credit_limit', /not an amount/],
	['a limit that is none', { credit_limit: 'none' }, 'credit_limit', /not an amount/],
	['a tag that is too long', { tags: 'k'.repeat(41) }, 'tags', /longer than 40/],
	['too many tags', { tags: Array.from({ length: 21 }, (_, i) => `t${i}`).join('|') }, 'tags', /more than 20/]
])('%s is refused at its column', (_, cells, field, why) => {
	const read = readCustomers([{ line: 2, cells: { ...PLAIN, ...cells } }]);
	expect(read.ok ? [] : read.problems).toEqual([
		expect.objectContaining({ code: 'csv-field', field, line: 2, why: expect.stringMatching(why) as string })
	]);
});
