import { describe, expect, it } from 'vitest';
import { day } from '../day/day';
import type { PastPayment } from '../model/past-payment';
import type { Customer } from '../model/records';
import { minor } from '../money/minor';
import { learnPayers } from './learn-payers';

const customer = (id: number, name: string): Customer => ({
	...{ id, code: `C${id}`, name, otherNames: [], payerAccounts: [], parentId: null, currency: 'GBP' }
});
const past = (customerCode: string, payerName: string | null, payerAccount: string | null): PastPayment => ({
	...{ customerCode, payerName, payerAccount, date: day('2026-09-01'), amount: minor(100) },
	...{ currency: 'GBP', numbers: [] }
});
const learned = (...rows: PastPayment[]) =>
	learnPayers([customer(1, 'Hazel Hill Ltd'), customer(2, 'Wicker Lane')], rows).map((one) => [
		one.otherNames,
		one.payerAccounts
	]);

describe('what earlier payments teach', () => {
	it('accounts and names that paid for one customer, twice or more', () => {
		const one = past('C1', 'Kiln Corner', 'A1');
		expect(learned(one, one)).toEqual([
			[['Kiln Corner'], ['A1']],
			[[], []]
		]);
	});
	it.each([
		['a single payment', [past('C1', 'Kiln Corner', 'A1')]],
		[
			'one that pays for several',
			[past('C1', 'PAYLOOM', 'P'), past('C1', 'PAYLOOM', 'P'), past('C2', 'PAYLOOM', 'P')]
		],
		['its own name', [past('C1', 'HAZEL HILL', null), past('C1', 'HAZEL HILL', null)]],
		['nobody', [past('C1', null, null), past('C1', null, null)]]
	])('nothing from %s', (_, rows) => {
		expect(learned(...rows)).toEqual([
			[[], []],
			[[], []]
		]);
	});
});
