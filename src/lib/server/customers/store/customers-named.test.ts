import fc from 'fast-check';
import { expect, it } from 'vitest';
import { customer } from '../../platform/db/schema';
import { newDocument, testBooks } from '../../testing';
import { customersNamed } from './customers-named';

it('are found by code, name, document and part of a name, as one would look through the list', async () => {
	const books = await testBooks(newDocument('AK-1', 1, 1_000), newDocument('AK-77', 2, 1_000));
	const all = await books.db.select().from(customer).orderBy(customer.id);
	const documents = new Map([
		['AK-1', 1],
		['AK-77', 2]
	]);
	// Slow and plain: the rules one after another.
	const plainly = (text: string) => {
		if (!text || text.length > 200) return undefined;
		const needle = text.toLowerCase();
		const exact = all.filter(({ code, name }) => [code.toLowerCase(), name.toLowerCase()].includes(needle));
		if (exact.length) return exact.map(({ id }) => id);
		const key = text.toUpperCase().replace(/[^A-Z0-9]/g, '');
		const owner = [...documents].find(([number]) => number.replace('-', '') === key);
		if (owner) return [owner[1]];
		return all.filter(({ name }) => name.toLowerCase().includes(needle)).map(({ id }) => id);
	};
	const part = fc
		.tuple(
			fc.constantFrom(...all.flatMap(({ code, name }) => [code, name])),
			fc.nat(20),
			fc.integer({ min: 1, max: 9 })
		)
		.map(([text, from, length]) => text.slice(from % text.length, (from % text.length) + length));
	const text = fc.oneof(
		part,
		part.map((one) => one.toUpperCase()),
		fc.constantFrom('AK-1', 'ak 77', 'AK77', '%', '_', '', ' ', 'x'.repeat(100_000), '\n', 'nobody')
	);
	await fc.assert(
		fc.asyncProperty(fc.array(text, { maxLength: 12 }), async (texts) => {
			const found = await customersNamed(books.db, texts);
			for (const one of texts)
				expect([one, found.get(one)?.map(({ id }) => id)]).toEqual([one, plainly(one)?.slice(0, 2)]);
		})
	);
	expect(plainly('H1')).toEqual([1]);
});
