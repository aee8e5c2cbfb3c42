import { expect, test } from 'vitest';
import type { EntryDetail } from '../model/bank';
import { minor } from '../money/minor';
import { plainDetail } from '../1-bank-files/plain-detail';
import { detailsFromReport } from './details-from-report';

/** Details of amounts, or of nothing but a name. */
const told = (amount: number, ...of: readonly (number | string)[]) => ({
	amount: minor(amount),
	details: of.map((one): EntryDetail => ({
		...plainDetail({ text: '' }),
		amount: typeof one === 'number' ? minor(one) : null,
		counterpartyName: typeof one === 'string' ? one : null
	}))
});

test.each<[string, ReturnType<typeof told>, ReturnType<typeof told>, boolean]>([
	['a sum of which the report tells the payments', told(900), told(900, 400, 500), true],
	['a sum with one detail of its own', told(900, 'BULK'), told(900, 400, 500), true],
	['a sum that went', told(-900), told(-900, 400, 500), true],
	['what the statement divides itself', told(900, 300, 600), told(900, 400, 500), false],
	['payments that do not come to it', told(900), told(900, 400, 499), false],
	['payments without amounts', told(900), told(900, 'HAZEL', 'WICKER'), false],
	['another sum', told(900), told(901, 401, 500), false],
	['who paid it, where the statement does not say', told(900), told(900, 'HAZEL'), true],
	['who paid it, where the statement does say', told(900, 'WICKER'), told(900, 'HAZEL'), false],
	['nothing', told(900), told(900), false]
])('%s', (_, entry, reported, taken) => {
	expect(detailsFromReport(entry, reported)).toEqual(taken ? reported.details : null);
});
