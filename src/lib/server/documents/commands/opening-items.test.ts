import { refusalsOf } from '../../act/preview-rows';
import { asc, eq, sql } from 'drizzle-orm';
import { afterEach, beforeEach, expect, it } from 'vitest';
import type { DocumentRow, Opening } from '../../../core/1-open-items/document-row';
import { day } from '../../../core/day/day';
import { minor, ZERO } from '../../../core/money/minor';
import { perform } from '../../act/perform';
import { addRates } from '../../firm/commands/add-rates';
import { setLimits } from '../../firm/commands/set-limits';
import type { Books } from '../../platform/db/open';
import { act, approval, document, itemState, journalLine } from '../../platform/db/schema';
import { as, CLERK, codesOf, done, proves, SUPERVISOR, testBooks } from '../../testing';
import { openingSums } from '../queries/opening-balances';
import { bringInDocuments, previewDocuments } from './bring-in-documents';

let books: Books;
beforeEach(async () => (books = await testBooks()));
afterEach(() => books.close());

const OPENING: Opening = { on: day('2026-09-30'), taxHere: false, control: null, apart: ZERO };
const row = (number: string, over: Partial<DocumentRow> = {}): DocumentRow => ({
	...{ line: 2, number, kind: 'invoice', customerCode: 'H1', currency: 'GBP', purchaseOrder: null },
	...{ issued: day('2026-08-14'), due: day('2026-09-13'), total: minor(12000), open: minor(12000) },
	...{ paymentReference: null, text: '', instalments: [], opening: OPENING },
	lines: [{ text: 'clay', net: minor(10000), taxBasisPoints: 2000, tax: minor(2000) }],
	...over
});
const credit = (number: string, open: number): DocumentRow =>
	row(number, { kind: 'credit_note', total: minor(open), open: minor(open), lines: [] });
const said = (over: Partial<Opening>): Partial<DocumentRow> => ({ opening: { ...OPENING, ...over } });
const euro = { currency: 'EUR', customerCode: 'E3' };
const rate = (on: string, millionths: number) => ({ currency: 'EUR', day: day(on), millionths });

/** What was posted to each ledger account, in base currency, and on which days. */
async function ledger() {
	const rows = await books.db
		.select({ account: journalLine.account, base: sql<number>`sum(${journalLine.base})` })
		.from(journalLine)
		.groupBy(journalLine.account)
		.orderBy(asc(journalLine.account));
	const days = await books.db.selectDistinct({ date: journalLine.date }).from(journalLine);
	return {
		...Object.fromEntries(rows.map(({ account, base }) => [account, base])),
		days: days.map((one) => one.date)
	};
}

it('posts them on the day that the books before ended, against opening balances; each keeps its own dates', async () => {
	await done(books, bringInDocuments, [row('AK-1', { open: minor(5000) }), credit('AC-1', 700)], SUPERVISOR);
	expect(await ledger()).toEqual({ 1100: 4300, 3900: -4300, days: ['2026-09-30'] });
	const kept = await books.db.select().from(document).orderBy(asc(document.id)).all();
	expect(kept.map(({ number, issued, openingOn }) => [number, issued, openingOn])).toEqual([
		['AK-1', '2026-08-14', '2026-09-30'],
		['AC-1', '2026-08-14', '2026-09-30']
	]);
	const states = await books.db.select().from(itemState).orderBy(asc(itemState.itemId)).all();
	expect(states.map(({ open, due }) => [open, due])).toEqual([
		[5000, '2026-09-13'],
		[700, '2026-09-13']
	]);
	const whole = await books.db.select().from(act).where(eq(act.kind, 'bring-in-documents')).get();
	expect(JSON.parse(whole!.summary)).toMatchObject({ added: 2, opening: '2026-09-30' });
	await proves(books);
});

it('posts their tax as tax where it is still to be accounted for', async () => {
	await done(books, bringInDocuments, [row('AK-1', said({ taxHere: true }))], CLERK);
	expect(await ledger()).toEqual({ 1100: 12000, 2200: -2000, 3900: -10000, days: ['2026-09-30'] });
	await proves(books);
});

it('values another currency at the rate of that day, whatever the rate was when each was issued', async () => {
	const invoice = row('AK-9', { ...euro, lines: [], total: minor(10001), open: minor(3333) });
	expect(codesOf(await perform(books, bringInDocuments, [invoice], as(CLERK)))).toEqual(['no-rate']);
	await done(books, addRates, [rate('2026-08-01', 500_000), rate('2026-09-29', 850_000)], CLERK);
	const parts = [
		{ due: day('2026-09-13'), amount: minor(3333) },
		{ due: day('2026-10-13'), amount: minor(6668) }
	];
	const rows = [
		invoice,
		row('AK-10', { ...euro, lines: [], total: minor(10001), open: minor(6001), instalments: parts })
	];
	const sums = await openingSums(books.db, OPENING, rows);
	await done(books, bringInDocuments, rows, CLERK);
	const posted = await ledger();
	// What is shown before is what is posted, to the penny.
	expect(sums).toMatchObject({ ok: true, value: { before: 0, added: posted[1100 as never] } });
	expect(await openingSums(books.db, OPENING, [])).toMatchObject({
		value: { before: posted[1100 as never], added: 0 }
	});
	await proves(books);
});

it('has to come to what the control account shows, or as near as somebody agreed to', async () => {
	const rows = (over: Partial<Opening>) => [
		row('AK-1', said(over)),
		row('AK-2', { total: minor(700), open: minor(700), lines: [], ...said(over) })
	];
	const bring = (over: Partial<Opening>) => perform(books, bringInDocuments, rows(over), as(CLERK));
	expect(await bring({ control: minor(12650) })).toEqual({
		ok: false,
		problems: [{ code: 'opening-apart', balance: 12700, control: 12650, currency: 'GBP' }]
	});
	expect(codesOf(await bring({ control: minor(12650), apart: minor(49) }))).toEqual(['opening-apart']);
	expect(await books.db.$count(document)).toBe(0);
	expect((await bring({ control: minor(12650), apart: minor(50) })).ok).toBe(true);
	// What is there already counts: the rest of the same day is compared with it.
	const rest = (control: number) =>
		perform(
			books,
			bringInDocuments,
			[credit('AC-1', 50)].map((one) => ({ ...one, ...said({ control: minor(control) }) })),
			as(SUPERVISOR)
		);
	expect(codesOf(await rest(12700))).toEqual(['opening-apart']);
	expect((await rest(12650)).ok).toBe(true);
	const facts = await books.db
		.select({ facts: act.facts })
		.from(act)
		.where(eq(act.kind, 'bring-in-documents'))
		.all();
	expect(JSON.parse(facts[0]!.facts)).toEqual({ opening: { ...OPENING, control: 12650, apart: 50 } });
	await proves(books);
});

it('refuses what is dated after the day, with its line', async () => {
	const late = row('AK-3', { line: 7, issued: day('2026-10-01') });
	const preview = await previewDocuments(books.db, [late]);
	expect(refusalsOf(preview)).toEqual([
		{ code: 'opening-later', number: 'AK-3', date: '2026-10-01', on: '2026-09-30', line: 7 }
	]);
	expect(codesOf(await perform(books, bringInDocuments, [late], as(CLERK)))).toEqual(['opening-later']);
});

it('takes credits beyond a limit to a supervisor, who is alone to bring them in where nobody else is', async () => {
	const none = { act: { credit_other: 100 }, customer: {}, day: {} };
	await done(
		books,
		setLimits,
		{ tolerance: 500, byRole: { clerk: none, supervisor: none }, byPerson: {} },
		SUPERVISOR
	);
	const rows = [row('AK-1'), credit('AC-1', 5000)].map((one) => ({
		...one,
		...said({ control: minor(7000) })
	}));
	expect(await perform(books, bringInDocuments, rows, as(CLERK))).toMatchObject({
		value: { added: 1, waiting: 1 }
	});
	expect(await books.db.$count(approval)).toBe(1);
	const alone = [credit('AC-2', 5000)];
	expect(await perform(books, bringInDocuments, alone, as(SUPERVISOR))).toMatchObject({
		value: { added: 1, waiting: 0 }
	});
	await proves(books);
});
