import { afterEach, beforeEach, expect, test } from 'vitest';
import { perform } from '../../act/perform';
import { mailOf } from '../../letters/testing-mail';
import type { Books } from '../../platform/db/open';
import { setAddress } from '../../customers/commands/set-address';
import {
	as,
	CLERK,
	codesOf,
	done,
	invoices,
	newDocument,
	proves,
	READER,
	testBooks,
	TODAY
} from '../../testing';
import { lookAtItem } from '../queries/item-life';
import { attachedPdf } from '../store/attached-paper';
import { attachPaper, takeOffPaper } from './attach-paper';

let books: Books;
beforeEach(async () => {
	books = await testBooks();
	await invoices(books, newDocument('AK-1', 1, 1000));
});
afterEach(() => books.close());

const pdf = (text: string) => Buffer.from(`%PDF-1.7\n% ${text}\n%%EOF\n`);
const file = (name: string, content: Buffer) => ({ name, type: 'application/pdf', content });
const attach = (content: Buffer, name = 'ak-1.pdf') =>
	perform(books, attachPaper, { documentId: 1, files: [file(name, content)] }, as(CLERK));
const shown = async () => (await lookAtItem(books.db, 1, { who: READER, today: TODAY }))!.paper;

/** What hangs on a letter with copies, as it travels. */
async function copied(): Promise<Buffer> {
	const asked = { kind: 'copies' as const, accounts: [{ customerId: 1, currency: 'GBP', about: [1] }] };
	const mail = await mailOf(books, asked);
	expect(mail.attachments.map((part) => part.filename)).toEqual([
		expect.stringContaining('copies'),
		'AK-1.pdf'
	]);
	return mail.attachments[1]!.content;
}

test('a paper that is attached goes as the copy; taken off, it is drawn again, and the record has both', async () => {
	await done(books, setAddress, { customerId: 1, kind: 'statement', email: 'h1@hazel.example' }, CLERK);
	expect(await shown()).toBe(null);
	const drawn = await copied();
	expect(drawn.subarray(0, 5).toString()).toBe('%PDF-');
	const first = await attach(pdf('first'));
	expect(await shown()).toMatchObject({ name: 'ak-1.pdf', bytes: pdf('first').length, by: CLERK.name });
	expect(await copied()).toEqual(pdf('first'));
	const second = await attach(pdf('second'), 'again.pdf');
	expect(await attachedPdf(books.db, 1)).toEqual(pdf('second'));
	if (!first.ok || !second.ok) throw new Error('refused');
	await done(books, takeOffPaper, { actId: second.value.actId }, CLERK);
	expect(await attachedPdf(books.db, 1)).toEqual(pdf('first'));
	expect(codesOf(await perform(books, takeOffPaper, { actId: second.value.actId }, as(CLERK)))).toEqual([
		'already-undone'
	]);
	await done(books, takeOffPaper, { actId: first.value.actId }, CLERK);
	expect(await copied()).toEqual(drawn);
	await proves(books);
});

test.each([
	['what is no PDF', () => attach(Buffer.from('<html>')), 'not-a-pdf'],
	['an empty file', () => attach(Buffer.alloc(0)), 'file-empty'],
	[
		'one that is too large',
		() => attach(Buffer.concat([pdf('x'), Buffer.alloc(13 * 1024 * 1024)])),
		'file-too-large'
	],
	[
		'a document that there is not',
		() => perform(books, attachPaper, { documentId: 99, files: [file('x.pdf', pdf('x'))] }, as(CLERK)),
		'not-found'
	],
	[
		'two at once',
		() =>
			perform(
				books,
				attachPaper,
				{ documentId: 1, files: [file('x.pdf', pdf('x')), file('y.pdf', pdf('y'))] },
				as(CLERK)
			),
		'field'
	],
	['a paper that was not attached', () => perform(books, takeOffPaper, { actId: 1 }, as(CLERK)), 'not-found']
])('%s is refused, and nothing is attached', async (_, what, code) => {
	expect(codesOf(await what())).toEqual([code]);
	expect(await shown()).toBe(null);
});
