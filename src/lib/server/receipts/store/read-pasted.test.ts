import { expect, it } from 'vitest';
import { problemSentence } from '../../../words';
import { newDocument, testBooks, TODAY } from '../../testing';
import { readPasted } from './read-pasted';

const WAYS = {
	methods: ['cheque', 'cash'],
	banks: [
		{ id: 1, name: 'Account GBP', currency: 'GBP' },
		{ id: 2, name: 'Account EUR', currency: 'EUR' }
	]
};

it('rows are pasted from a spreadsheet, each line read or refused with its place', async () => {
	const books = await testBooks(
		newDocument('AK-1', 1, 1000),
		newDocument('AK-2', 1, 2000),
		newDocument('AK-3', 2, 300)
	);
	const good = await readPasted(
		books.db,
		'H1\t29/10\tCheque\t100412\t1,000.00\tAK-1\nAK-3\t\t\t\t3\t\tPetty cash\nwicker\t28 Oct\tcash\t\t2\taccount\taccount gbp',
		TODAY,
		WAYS
	);
	expect(
		good.ok && good.value.map((one) => [one.customerId, one.date, one.amount, one.pays, one.paidInto])
	).toEqual([
		[1, '2026-10-29', 100000, 'AK-1', null],
		[2, TODAY, 300, 'oldest', 'petty cash'],
		[2, '2026-10-28', 200, 'account', 1]
	]);
	const bad = await readPasted(books.db, 'H1\tsoon\tbarter\t\t-5\t\tmattress\nNobody\t\t\t\t5', TODAY, {
		...WAYS,
		methods: ['cheque']
	});
	expect(bad.ok ? [] : bad.problems.map(problemSentence)).toEqual([
		'Line 1: “soon” in day cannot be taken: it is not a date; write 30/10 or 2026-10-30.',
		'Line 1: “barter” in method cannot be taken: it is none of cheque.',
		'Line 1: “mattress” in paid into cannot be taken: it is none of Account GBP, petty cash.',
		'Line 1: “-5” in amount cannot be taken: it is not an amount above zero.',
		'Line 2: “Nobody” in customer cannot be taken: no customer has that code, name or document.'
	]);
	await books.close();
});
