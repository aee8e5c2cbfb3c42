import { expect, it } from 'vitest';
import { perform } from '../../act/perform';
import { lettersFor } from '../../letters/store/letters-for';
import { as, CLERK, codesOf, done, newDocument, SUPERVISOR, testBooks, TODAY } from '../../testing';
import { setAgeing } from './set-ageing';

it('is set by a supervisor, and what letters say of age follows', async () => {
	// Overdue by 29 days.
	const books = await testBooks(newDocument('AK-1', 1, 1_000));
	const aged = async () => {
		const accounts = [{ customerId: 1, currency: 'GBP' }];
		const [letter] = await lettersFor(books.db, { kind: 'statement', accounts }, TODAY);
		if (!letter!.ok) throw new Error('refused');
		return letter!.value.letter.aged.map(({ to, sum }) => [to, sum]);
	};
	expect(await aged()).toEqual([
		...[
			[0, 0],
			[30, 1_000],
			[60, 0]
		],
		...[
			[90, 0],
			[null, 0]
		]
	]);
	expect(codesOf(await perform(books, setAgeing, { ends: [14] }, as(CLERK)))).toEqual(['not-allowed']);
	await done(books, setAgeing, { ends: [14, 28] }, SUPERVISOR);
	expect(await aged()).toEqual([
		[0, 0],
		[14, 0],
		[28, 0],
		[null, 1_000]
	]);
	for (const ends of [[], [30, 30], [0], Array.from({ length: 200 }, (_, n) => n + 1)])
		expect(codesOf(await perform(books, setAgeing, { ends }, as(SUPERVISOR)))).toEqual(['field']);
	await books.close();
});
