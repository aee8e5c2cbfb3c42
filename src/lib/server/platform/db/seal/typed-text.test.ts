import type { RequestEvent } from '@sveltejs/kit';
import { eq } from 'drizzle-orm';
import { expect, it } from 'vitest';
import { fileClaim } from '../../../claims/commands/file-claim';
import { addPerson } from '../../../people/commands/people';
import { action } from '../../http/action';
import {
	as,
	bankXml,
	bringIn,
	CLERK,
	credit,
	done,
	newDocument,
	proves,
	SUPERVISOR,
	testBooks
} from '../../../testing';
import { allocateReceipt } from '../../../allocation/commands/allocate-receipt';
import { claimFile, receipt, user } from '../schema';

/** What a form may bring: half an emoji, a NUL, accents apart, a mark that turns the direction. */
const HARD = 'a\ud83d\0e\u0301\u202Eb';

it('whatever is typed, the proof stays whole, and what is read back is what was hashed', async () => {
	const books = await testBooks(newDocument('AK-1', 1, 1000));
	const form = new FormData();
	form.set('json', JSON.stringify({ name: HARD, email: 'x@y.example', role: 'clerk' }));
	form.set('key', `k${HARD}`);
	const event = {
		locals: {
			app: {
				books,
				confirmations: { has: () => true },
				context: async (who: typeof SUPERVISOR, key?: string) => as(who, key)
			},
			who: SUPERVISOR
		},
		request: { headers: new Headers({ 'content-length': '100' }), formData: async () => form }
	} as unknown as RequestEvent;
	const answer = await action(addPerson)(event);
	expect('output' in answer && 'id' in answer.output && answer.output.id).toBeTruthy();
	const [person] = await books.db.select().from(user).where(eq(user.email, 'x@y.example'));
	expect(person!.name).toBe('a\ufffdéb');
	await proves(books);
});

it('a file whose long name has an emoji where it is cut', async () => {
	const books = await testBooks(newDocument('AK-1', 1, 1000));
	await bringIn(books, bankXml([credit(900, 'AK-1')]));
	await done(
		books,
		allocateReceipt,
		{
			...{ receiptId: 1, receiptVersion: 1, customerId: 1 },
			lines: [
				{
					...{ itemId: 1, version: 1, cash: 900, differences: [{ kind: 'claim' as const, amount: 100 }] },
					claim: { reason: 'damaged' as const, owner: 'Wren', deadline: '2026-11-20', note: '' }
				}
			]
		},
		CLERK
	);
	const name = `${'x'.repeat(195)}😀${'y'.repeat(100)}.png`;
	await done(
		books,
		fileClaim,
		{ claimId: 2, files: [{ name, type: 'image/png', content: Buffer.from('x') }] },
		CLERK
	);
	const [kept] = await books.db.select({ name: claimFile.name }).from(claimFile);
	expect(kept!.name).toBe(`${'x'.repeat(195)} […]`);
	await proves(books);
});

it('a remittance of fifty megabytes is kept in its file, and cut in the record', async () => {
	const books = await testBooks();
	await bringIn(books, bankXml([credit(1000, `${'long '.repeat(20_000)}\u0085end`)]));
	const [row] = await books.db.select({ text: receipt.text }).from(receipt);
	expect(row!.text.length).toBeLessThanOrEqual(10_000);
	expect(row!.text.endsWith(' […]')).toBe(true);
	await proves(books);
});
