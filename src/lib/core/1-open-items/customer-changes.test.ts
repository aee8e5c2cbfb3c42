import { expect, test } from 'vitest';
import { minor } from '../money/minor';
import type { CustomerDetails } from '../model/customer-details';
import { customerChanges } from './customer-changes';

const HAZEL: CustomerDetails = {
	...{ name: 'Hazel Hill Pottery', otherNames: ['Hazel Hill'], address: ['Kiln Row'], statementAddress: [] },
	...{
		termsFrom: 'issue',
		termsDays: 30,
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
		statementEmail: null,
		reminderEmail: null,
		phone: null,
		contacts: [],
		taxNumber: null,
		tags: [],
		notes: ''
	},
	...{ chasingPolicy: null, chasingPaused: null, pausedUntil: null, payerAccounts: ['GB12'] }
};

test.each<[string, Partial<CustomerDetails>, string[]]>([
	['nothing', {}, []],
	['the same lists, made anew', { otherNames: ['Hazel Hill'], address: ['Kiln Row'] }, []],
	['terms and a limit', { termsDays: 45, creditLimit: minor(50_000) }, ['termsDays', 'creditLimit']],
	['the order of lines', { address: ['Kiln Row', 'Mere'] }, ['address']],
	['an empty note is none', { notes: '' }, []],
	['accounts taken off', { payerAccounts: [] }, ['payerAccounts']]
])('%s', (_, over, fields) => {
	const after = { ...HAZEL, ...over };
	const changes = customerChanges(HAZEL, after);
	expect(changes.map(({ field }) => field)).toEqual(fields);
	// What changed, laid over what was before, is what is now.
	expect({ ...HAZEL, ...Object.fromEntries(changes.map(({ field, after }) => [field, after])) }).toEqual(
		after
	);
});
