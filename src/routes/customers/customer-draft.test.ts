import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { day } from '$lib/core/day/day';
import { minor } from '$lib/core/money/minor';
import type { CustomerDetails } from '$lib/core/model/customer-details';
import { detailsField } from '$lib/server/customers/commands/customer-fields';
import type { TermsDraft } from '$lib/trade/customers/terms-draft.svelte';
import { CustomerDraft } from '$lib/trade/customers/customer-draft.svelte';

const HAZEL: CustomerDetails = {
	...{
		name: 'Hazel Hill',
		otherNames: ['HAZEL', 'Hill & Co'],
		address: ['Kiln Row', 'Mere'],
		statementAddress: ['Box 7']
	},
	...{
		termsFrom: 'issue',
		termsDays: 30,
		termsParts: [],
		language: 'de',
		statementWay: 'paper',
		statementFiles: [],
		interest: 'agreed',
		interestBasisPoints: 425,
		discountBasisPoints: 250,
		discountDays: 10,
		creditLimit: minor(123_456),
		parentCode: 'W2'
	},
	...{
		statementEmail: 'a@hazel.example',
		reminderEmail: null,
		phone: '01',
		contacts: [
			...[
				{
					name: 'Ada Reed',
					role: 'bought ledger',
					email: 'ada@hazel.example',
					phone: '02',
					copies: 'all' as const
				}
			],
			...[{ name: 'Jem Orr', role: '', email: null, phone: null, copies: 'none' as const }]
		],
		taxNumber: 'GB1',
		tags: ['north', 'kilns']
	},
	...{
		notes: 'Fridays',
		chasingPolicy: null,
		chasingPaused: 'in talks',
		pausedUntil: day('2026-12-01'),
		payerAccounts: ['GB12ZZAM1', 'GB13ZZAM2']
	}
};
const TODAY = day('2026-10-30');
const parsed = (draft: CustomerDraft, currency = 'GBP') => {
	const given = draft.given(currency);
	return 'details' in given ? detailsField.safeParse(given.details) : given;
};
type Over = Partial<Omit<CustomerDraft, 'terms'>> & { readonly terms?: Partial<TermsDraft> };
function typed({ terms, ...over }: Over): CustomerDraft {
	const draft = Object.assign(new CustomerDraft(HAZEL, 'GBP', TODAY), over);
	Object.assign(draft.terms, terms);
	return draft;
}

describe('what is typed of a customer', () => {
	test('is what is kept, where nothing was changed', () => {
		expect(parsed(new CustomerDraft(HAZEL, 'GBP', TODAY))).toMatchObject({ success: true, data: HAZEL });
	});
	test('any amounts, terms and lists come through the form as they are', () => {
		const word = fc.stringMatching(/^[A-Za-z]{1,12}$/);
		const words = fc.uniqueArray(word, { maxLength: 6 });
		const details = fc.record({
			...{ otherNames: words, tags: words, address: words, statementAddress: words },
			termsDays: fc.integer({ min: 0, max: 3650 }),
			discountBasisPoints: fc.integer({ min: 1, max: 10_000 }),
			creditLimit: fc.option(fc.integer({ min: 0, max: 1e12 }).map(minor)),
			payerAccounts: fc.uniqueArray(fc.stringMatching(/^GB[0-9]{8}$/), { maxLength: 5 })
		});
		fc.assert(
			fc.property(details, fc.constantFrom('GBP', 'JPY', 'KWD'), (over, currency) => {
				const whole = { ...HAZEL, ...over };
				expect(parsed(new CustomerDraft(whole, currency, TODAY), currency)).toMatchObject({
					success: true,
					data: whole
				});
			})
		);
	});
	test.each<[string, Over]>([
		['termsDays', { terms: { termsDays: 'thirty' } }],
		['termsDays', { terms: { termsDays: '' } }],
		['discountBasisPoints', { terms: { discount: '2.555' } }],
		['termsParts', { terms: { parts: [{ key: 0, percent: 'half', days: '3' }] } }],
		['interestBasisPoints', { interestRate: '8 1/2' }],
		['discountDays', { terms: { discountDays: '' } }],
		['pausedUntil', { pausedUntil: 'soon' }],
		['payerAccounts', { payerAccounts: 'no number!' }]
	])('%s that cannot be read is said by the act', (field, over) => {
		const result = parsed(typed(over));
		expect('error' in result && result.error?.issues[0]?.path[0]).toBe(field);
	});
	test('instalments are added and taken off; one alone is all of it again', () => {
		const draft = typed({});
		draft.terms.addPart();
		expect(draft.terms.given()).toMatchObject({
			termsDays: 60,
			termsParts: [
				{ basisPoints: 5_000, days: 30 },
				{ basisPoints: 5_000, days: 60 }
			]
		});
		expect(parsed(draft)).toMatchObject({ success: true });
		draft.terms.dropPart(0);
		expect(draft.terms.given()).toMatchObject({ termsDays: 60, termsParts: [] });
	});
	test('a limit that is no amount is said before', () => {
		expect(parsed(typed({ creditLimit: 'a lot' }))).toMatchObject({ field: 'details.creditLimit' });
	});
	test('a day is typed as anywhere', () => {
		for (const pausedUntil of ['24/12', '24 Dec', '2026-12-24'])
			expect(parsed(typed({ pausedUntil }))).toMatchObject({ data: { pausedUntil: '2026-12-24' } });
	});
	test('2,5 % and 2.5 are one', () => {
		for (const discount of ['2,5 %', '2.5', ' 2.50%'])
			expect(parsed(typed({ terms: { discount } }))).toMatchObject({ data: { discountBasisPoints: 250 } });
	});
});
