import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { proves } from '../../testing';
import { addsUp, attempt, reductionsAgree, someBooks, standing, step } from '../testing-steps';

describe('whatever is done in whatever order', () => {
	it('the books prove after every step, and what came is what was allocated and explained', async () => {
		let ran = 0;
		await fc.assert(
			fc.asyncProperty(fc.array(step, { minLength: 4, maxLength: 14 }), async (steps) => {
				const books = await someBooks();
				for (const one of steps) {
					const before = await standing(books);
					if (await attempt(books, one)) ran++;
					else expect(await standing(books)).toEqual(before);
					await proves(books);
					await reductionsAgree(books);
					await addsUp(books);
				}
				await books.close();
			}),
			{ numRuns: 24 }
		);
		// The steps are chosen so that many of them are allowed; else nothing would be shown.
		expect(ran).toBeGreaterThan(10);
	}, 120_000);
});
