import { beforeEach, describe, expect, it } from 'vitest';
import { sql } from 'drizzle-orm';
import type { Books } from '../../platform/db/open';
import { claimFile } from '../../platform/db/schema';
import { lookAtClaim, lookAtClaimFile } from '../queries/claim';
import { lookAtDeductions } from '../queries/deduction-analysis';
import { frameOf } from '../../allocation/queries/desk';
import { answeredPile } from '../../services/answers/answers';
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
	testBooks,
	TODAY
} from '../../testing';
import { day } from '../../../core/day/day';
import { decideClaims } from './decide-claims';
import { changeClaim } from './change-claim';
import { KEPT_FILE_BYTES } from '../../act/kept-files';
import { fileClaim } from './file-claim';
import { noteClaim } from './note-claim';
import { makeRefundFile } from '../../refunds/commands/make-refund-file';
import { perform } from '../../act/perform';
import { allocateReceipt } from '../../allocation/commands/allocate-receipt';

let books: Books;
const viewer = { who: CLERK, today: TODAY };
let number = '';
let claimId = 0;
beforeEach(async () => {
	books = await testBooks(newDocument('AK-1', 1, 10_000));
	await bringIn(books, bankXml([credit(9_000, 'AK-1', { reference: 'P1' })]));
	await done(
		books,
		allocateReceipt,
		{
			...{ receiptId: 1, receiptVersion: 1, customerId: 1 },
			lines: [
				{
					...{ itemId: 1, version: 1, cash: 8_990 },
					differences: [
						{ kind: 'claim', amount: 1_000 },
						{ kind: 'small_difference', amount: 10 }
					],
					claim: { reason: 'damaged', owner: 'Wren', deadline: '2026-11-10' }
				}
			],
			surplus: [{ kind: 'refund', amount: 10 }]
		},
		CLERK
	);
	const [row] = await books.db.all<{ number: string; id: number }>(
		sql`select number, id from document where kind = 'claim'`
	);
	number = row!.number;
	claimId = row!.id;
});

describe('kept with a claim', () => {
	it('notes, files as they came, and changes of who follows it up, in order and by whom', async () => {
		await done(books, noteClaim, { claimId, text: 'two bags wet' }, CLERK);
		const content = Buffer.from([0x89, 0x50, 0x4e, 0x47, 0, 255]);
		const files = [{ name: 'bags.png', type: 'image/png', content }];
		await done(books, fileClaim, { claimId, files }, CLERK);
		await done(
			books,
			changeClaim,
			{ claimId, reason: 'missing', owner: 'Imre', deadline: '2026-12-01' },
			CLERK
		);
		const found = (await lookAtClaim(books.db, number, viewer))!;
		expect(found.claim).toMatchObject({ reason: 'missing', owner: 'Imre', deadline: '2026-12-01' });
		expect(found.history.map((row) => [row.kind, row.note ?? row.files[0]?.name ?? ''])).toEqual([
			['allocate-receipt', ''],
			['note-claim', 'two bags wet'],
			['file-claim', 'bags.png'],
			['change-claim', '']
		]);
		const file = await lookAtClaimFile(books.db, found.history[2]!.files[0]!.id, viewer);
		expect(Buffer.compare(file!.content, content)).toBe(0);
		await expect(books.db.run(sql`update claim_file set name = 'x'`)).rejects.toThrow();
		await expect(books.db.run(sql`delete from claim_note`)).rejects.toThrow();
		await proves(books);
	});

	it.each([
		['an empty file', 0, 'file-empty'],
		['one that is too large', KEPT_FILE_BYTES + 1, 'file-too-large']
	])('%s is refused', async (_, bytes, code) => {
		const good = { name: 'b.bin', type: '', content: Buffer.alloc(1) };
		const input = { claimId, files: [good, { name: 'a.bin', type: '', content: Buffer.alloc(bytes) }] };
		const result = await perform(books, fileClaim, input, as(CLERK));
		expect(result.ok ? [] : result.problems).toMatchObject([{ code, file: 'a.bin' }]);
		// All of them or none.
		expect(await books.db.$count(claimFile)).toBe(0);
	});

	it('a decided one is changed no more, but may be noted on', async () => {
		const [item] = await books.db.all<{ id: number; version: number }>(sql`
			select s.item_id as id, s.version from item_state s where s.kind = 'claim'`);
		const decision = { itemId: item!.id, version: item!.version, allow: 1_000, billBack: 0, writeOff: 0 };
		await done(books, decideClaims, { claims: [decision] }, CLERK);
		const change = { claimId, reason: 'price' as const, owner: 'Imre', deadline: '2026-12-01' };
		const refused = await perform(books, changeClaim, change, as(CLERK));
		expect(refused.ok ? [] : refused.problems).toMatchObject([{ code: 'not-found' }]);
		await done(books, noteClaim, { claimId, text: 'credit note sent' }, CLERK);
		const lost = await lookAtDeductions(books.db, null, viewer);
		expect(lost.months).toHaveLength(12);
		expect(lost.rows.map((row) => [row.month, row.kind, row.reason, row.code, row.base])).toEqual([
			['2026-10', 'allowance', 'damaged', 'H1', 1_000],
			['2026-10', 'small_difference', null, 'H1', 10]
		]);
	});
});

it('a refund that comes back is pointed out, and is the customer’s again on account', async () => {
	const [change] = await books.db.all<{ id: number }>(
		sql`select id from receipt_adjustment where kind = 'refund'`
	);
	await done(
		books,
		makeRefundFile,
		{ bankAccountId: 1, refunds: [{ id: change!.id, account: 'ACCH1' }] },
		SUPERVISOR
	);
	await bringIn(
		books,
		bankXml(
			[
				credit(10, 'RETURNED REFUND', { reference: 'R1', booked: '2026-10-30', account: 'X' }),
				credit(10, 'something else', { reference: 'R2', booked: '2026-10-30', account: 'Y' })
			],
			{ reference: 'S2', opening: 9_000, closingOn: day('2026-10-30') }
		),
		'back.xml'
	);
	const pile = await answeredPile(books.db);
	const found = await Promise.all(
		pile.receipts.map(async (row) => {
			const desk = await frameOf(
				books.db,
				row,
				pile.answers.get(row.id)!,
				{ customerId: null, also: [] },
				viewer
			);
			return [row.text, desk!.refundsBack.map((one) => `${one.customer} ${one.amount}`)];
		})
	);
	expect(found).toEqual([
		['RETURNED REFUND', ['Hazel Hill Pottery 10']],
		['something else', []]
	]);
	const back = { receiptId: pile.receipts[0]!.id, receiptVersion: 1, customerId: 1, lines: [] };
	await done(books, allocateReceipt, back, CLERK);
	await proves(books);
});
