import { asc, eq } from 'drizzle-orm';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { minor } from '../../../core/money/minor';
import type { Books } from '../../platform/db/open';
import { act, claim, document, itemState, journalLine } from '../../platform/db/schema';
import {
	as,
	bankXml,
	bringIn,
	CLERK,
	credit,
	done,
	invoices,
	newDocument,
	proves,
	READER,
	SUPERVISOR,
	testBooks,
	TODAY
} from '../../testing';
import { lookAtApprovals } from '../../approvals/queries/approvals';
import { approvalSentence } from '../../../words';
import { decideClaims, type decideInput } from './decide-claims';
import { perform } from '../../act/perform';
import { allocateReceipt } from '../../allocation/commands/allocate-receipt';
import { setLimits } from '../../firm/commands/set-limits';
import { undoPosting } from '../../allocation/commands/undo-posting';
import type { z } from 'zod';

let books: Books;
type One = z.input<typeof decideInput>['claims'][number];
/** AK-1 over 120.00 with 20 % tax, paid 108.00 with a claim of 12.00: item 2. */
beforeEach(async () => {
	books = await testBooks(
		newDocument('AK-1', 1, 12_000, {
			lines: [{ text: 'clay', net: minor(10_000), taxBasisPoints: 2000, tax: minor(2_000) }]
		}),
		newDocument('AC-7', 2, 100, { kind: 'credit_note' })
	);
	await bringIn(books, bankXml([credit(10_800, 'AK-1')]));
	const facts = { reason: 'damaged', owner: 'Wren', deadline: '2026-11-13', note: 'wet' } as const;
	const gap = { kind: 'claim', amount: 1_200 } as const;
	await done(
		books,
		allocateReceipt,
		{
			...{ receiptId: 1, receiptVersion: 1, customerId: 1 },
			lines: [{ itemId: 1, version: 1, cash: 10_800, differences: [gap], claim: facts }]
		},
		CLERK
	);
});
afterEach(() => books.close());

const decide = (over: Partial<One>, who = CLERK, key?: string) =>
	perform(
		books,
		decideClaims,
		{ claims: [{ itemId: 3, version: 1, allow: 0, billBack: 0, writeOff: 0, ...over }], note: 'agreed' },
		as(who, key)
	);
const open = async () =>
	Object.fromEntries(
		(
			await books.db
				.select({ id: itemState.itemId, open: itemState.open })
				.from(itemState)
				.orderBy(asc(itemState.itemId))
		).map((row) => [row.id, row.open])
	);
const state = async () => (await books.db.select({ state: claim.state }).from(claim).get())!.state;
const posted = async (account: string) =>
	(await books.db.select().from(journalLine).where(eq(journalLine.account, account))).reduce(
		(sum, line) => sum + line.amount,
		0
	);

describe('deciding a claim', () => {
	it('allowed: a credit note with its tax settles it', async () => {
		expect(await decide({ allow: 1_200 })).toMatchObject({ ok: true, value: { decided: 1, waits: [] } });
		expect([await state(), await open()]).toEqual(['allowed', { 1: 0, 2: 100, 3: 0, 4: 0 }]);
		const [note] = await books.db.select().from(document).where(eq(document.number, 'AC-8'));
		expect(note).toMatchObject({ kind: 'credit_note', total: 1_200, customerId: 1 });
		expect(await posted('2200')).toBe(-1_800);
		await proves(books);
	});
	it('the credit note takes the next number that is free', async () => {
		const note = { kind: 'credit_note' } as const;
		await invoices(books, newDocument('AC-9', 2, 100, note), newDocument('AC-8', 2, 100, note));
		await decide({ allow: 1_200 });
		const notes = await books.db.select().from(document).where(eq(document.customerId, 1));
		expect(notes.map((one) => one.number)).toContain('AC-10');
		await proves(books);
	});
	it('billed back: the invoice is owed again, due as at first', async () => {
		await decide({ billBack: 1_200 });
		expect([await state(), await open()]).toEqual(['billed_back', { 1: 1_200, 2: 100, 3: 0 }]);
		const row = await books.db.select().from(itemState).where(eq(itemState.itemId, 1)).get();
		expect(row!.due).toBe('2026-10-01');
		await proves(books);
	});
	it('written off within the limit; above it a supervisor is asked, and nothing is decided', async () => {
		const byRole = { clerk: { bad_debt: 0 }, supervisor: {} };
		await done(books, setLimits, { tolerance: null, byRole, byPerson: {} }, SUPERVISOR);
		expect(await decide({ allow: 200, writeOff: 1_000 })).toMatchObject({
			ok: true,
			value: { decided: 0, waits: [{ kind: 'bad_debt', amount: 1_000, most: 0 }] }
		});
		expect([await state(), await open()]).toEqual(['open', { 1: 0, 2: 100, 3: 1_200 }]);
		await decide({ writeOff: 1_200 }, SUPERVISOR);
		expect([await state(), await posted('7300')]).toEqual(['written_off', 1_200]);
		await proves(books);
	});
	it('in parts, one of them beyond a limit: whoever is asked reads of all, and what of which item each takes', async () => {
		const byRole = { clerk: { bad_debt: 0 }, supervisor: {} };
		await done(books, setLimits, { tolerance: null, byRole, byPerson: {} }, SUPERVISOR);
		await decide({ allow: 600, billBack: 500, writeOff: 100 });
		const { waiting } = await lookAtApprovals(books.db, null, { who: SUPERVISOR, today: TODAY });
		const [asked] = waiting;
		expect(approvalSentence(asked!.about)).toMatch(
			/^allow £6\.00 of CL-00003, bill back £5\.00 of CL-00003 and write off £1\.00 of CL-00003 \(agreed\)$/
		);
		expect(asked!.items.filter((one) => one.number === 'CL-00003')).toMatchObject([
			{ kind: 'allocated', amount: 600 },
			{ kind: 'billed_back', amount: 500 },
			{ kind: 'bad_debt', amount: 100 }
		]);
		expect(asked!.shows!.map(({ account, amount }) => [account, amount])).toContainEqual(['7300', 100]);
		expect(await state()).toBe('open');
	});
	it('in parts, of which some wait on', async () => {
		await decide({ allow: 500, billBack: 300, writeOff: 100 });
		expect([await state(), await open()]).toEqual(['open', { 1: 300, 2: 100, 3: 300, 4: 0 }]);
		await proves(books);
		await decide({ version: 4, billBack: 300 });
		expect([await state(), (await open())[1]]).toEqual(['billed_back', 600]);
		await proves(books);
	});
	it.each<[string, Partial<One>, string]>([
		['more than is open', { allow: 1_300 }, 'over-item'],
		['nothing at all', {}, 'over-item'],
		['what somebody changed', { version: 9, allow: 1 }, 'claim-changed'],
		['what is no claim', { itemId: 1, allow: 1 }, 'not-found']
	])('%s is refused', async (_, over, code) => {
		expect(await decide(over)).toMatchObject({ ok: false, problems: [{ code }] });
		await proves(books);
	});
	it('sent twice it is decided once; a reader may not', async () => {
		const first = await decide({ billBack: 100 }, CLERK, 'k');
		expect(first).toMatchObject({ ok: true, value: { decided: 1, waits: [] } });
		expect(await decide({ billBack: 100 }, CLERK, 'k')).toEqual(first);
		expect(await decide({ version: 2, billBack: 1 }, READER)).toMatchObject({ ok: false });
	});
});

it('taking the settling of a claim back opens the claim again', async () => {
	await decide({ allow: 1_200 });
	const last = (await books.db.select().from(act).where(eq(act.kind, 'allocate-credits'))).at(-1)!;
	await done(books, undoPosting, { actId: last.id }, CLERK);
	expect([await state(), await open()]).toEqual(['open', { 1: 0, 2: 100, 3: 1_200, 4: 1_200 }]);
	await proves(books);
});
