import { expect, it } from 'vitest';
import { allocateReceipt } from '../src/lib/server/allocation/commands/allocate-receipt';
import {
	bankXml,
	bringIn,
	CLERK,
	credit,
	done,
	newDocument,
	payment,
	testBooks
} from '../src/lib/server/testing';
import { forgeBooks } from './forgeries';

it('every edit of the file shows', async () => {
	const books = await testBooks(newDocument('AK-1', 1, 1000), newDocument('AK-2', 1, 2000));
	await bringIn(books, bankXml([credit(1000, 'AK-1'), credit(2000, 'AK-2')]));
	await done(books, allocateReceipt, payment(1, 1, [1, 1000]), CLERK);
	await done(books, allocateReceipt, payment(2, 1, [2, 500]), CLERK);
	const { made, unnoticed, refused } = await forgeBooks(`file:${books.file}`);
	expect({ unnoticed, refused }).toEqual({ unnoticed: [], refused: [] });
	expect(made).toBeGreaterThan(200);
});
