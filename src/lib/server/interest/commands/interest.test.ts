import { eq } from 'drizzle-orm';
import { beforeEach, describe, expect, it } from 'vitest';
import { CHART } from '../../../core/5-journal/chart';
import { addDays } from '../../../core/day/arithmetic';
import { day, type Day } from '../../../core/day/day';
import { minor } from '../../../core/money/minor';
import { perform } from '../../act/perform';
import { allocateReceipt } from '../../allocation/commands/allocate-receipt';
import { recordPromise } from '../../customers/commands/promises';
import type { Books } from '../../platform/db/open';
import { customer, document, journalLine, runLetter } from '../../platform/db/schema';
import {
	as,
	bankXml,
	bringIn,
	CLERK,
	codesOf,
	credit,
	done,
	invoices,
	newDocument,
	payment,
	proves,
	SUPERVISOR,
	testBooks,
	TODAY
} from '../../testing';
import { lookAtInterest, lookAtInterestSheets } from '../queries/interest';
import { lookAtInterestRun, lookAtInterestRuns } from '../queries/interest-charged';
import { lookAtInterestLetters } from '../queries/interest-letters';
import { chargeInterest } from './charge-interest';
import { setInterest } from './set-interest';
import { undoInterest } from './undo-interest';
import { readSetting } from '../../firm/store/settings';
import { sendLetters } from '../../letters/commands/send-letters';
import { startRun } from '../../letters/commands/start-run';
import { withdrawLetters } from '../../letters/commands/steer-run';
import { prepareLetters } from '../../services/prepare-letters';
import { lettersFor } from '../../letters/store/letters-for';
import { money, shortDay } from '../../../words';
import { interestTable } from '../../../words/interest-table';
import { layOutInterest, layOutLetter, mailText } from '../../../words/letters';

const on = (days: number) => addDays(TODAY, days);
const viewer = { who: CLERK, today: TODAY };
const TERMS = {
	...{ version: 0, since: on(-60), dayCount: 365 as const, graceDays: 0, least: minor(0), margin: 800 },
	reference: [{ from: day('2020-01-01'), basisPoints: 375 }],
	...{
		compensation: [] as { from: ReturnType<typeof minor>; amount: ReturnType<typeof minor> }[],
		onInterest: false
	}
};
let books: Books;
beforeEach(async () => {
	books = await testBooks();
	await done(books, setInterest, TERMS, SUPERVISOR);
	await invoices(
		books,
		newDocument('AK-1', 1, 100_000, {
			issued: on(-70),
			instalments: [{ due: on(-40), amount: minor(100_000) }]
		})
	);
});
const sheet = (through: Day = on(-1)) => lookAtInterestSheets(books.db, { through }, viewer);
async function charge(through: Day = on(-1)) {
	const chosen = (await sheet(through)).map(({ customerId, currency, charge: sum, credit: back }) => ({
		...{ customerId, currency, charge: sum, credit: back }
	}));
	return perform(books, chargeInterest, { through, chosen }, as(CLERK));
}
const sums = async (through?: Day) => (await sheet(through)).map((row) => [row.code, row.charge, row.credit]);
const documents = async () =>
	(await books.db.select().from(document).all()).map((row) => [row.kind, row.number, row.total, row.income]);

/** The newest run of charging, with its documents. */
async function newestRun() {
	const [run] = await lookAtInterestRuns(books.db, null, viewer);
	return (await lookAtInterestRun(books.db, run!.actId, viewer))!;
}

/** £400 that the bank booked on a day before, and that was allocated only now. */
async function paidBefore(days: number): Promise<void> {
	const booked = on(days);
	const entry = credit(40_000, 'AK-1', { booked });
	await bringIn(books, bankXml([entry], { openingOn: addDays(booked, -1), closingOn: booked } as never));
	await done(books, allocateReceipt, payment(1, 1, [1, 40_000]), CLERK);
}

describe('interest', () => {
	it('is charged for each day once, in a series of its own, and is income of its own', async () => {
		expect(await sums()).toEqual([['H1', 1_255, 0]]);
		await charge();
		expect(await documents()).toEqual([
			['invoice', 'AK-1', 100_000, null],
			['charge', 'INT-1001', 1_255, 'interest']
		]);
		const lines = await books.db
			.select()
			.from(journalLine)
			.where(eq(journalLine.account, CHART.interest.code))
			.all();
		expect(lines.map((line) => line.amount)).toEqual([-1_255]);
		expect(await sums()).toEqual([]);
		// Today's day is still to be charged: £1,000 at 11.75 % for a day.
		expect(await sums(TODAY)).toEqual([['H1', 32, 0]]);
		await proves(books);
	});
	it('follows a payment from its day, and gives back what it was charged too much when that comes to be known', async () => {
		await charge();
		await paidBefore(-20);
		expect(await sums()).toEqual([['H1', 0, 257]]);
		await charge();
		expect((await documents()).at(-1)).toEqual(['credit_note', 'INC-1001', 257, 'interest']);
		expect(await sums()).toEqual([]);
		await proves(books);
	});
	it('is reckoned from part payments that are known in time', async () => {
		await paidBefore(-20);
		expect(await sums()).toEqual([['H1', 998, 0]]);
	});
	it('is taken back by a credit note, and its days are charged again', async () => {
		await charge();
		const [made] = (await newestRun()).documents;
		const undo = () => perform(books, undoInterest, { documents: [made!.documentId] }, as(CLERK));
		expect((await undo()).ok).toBe(true);
		expect((await undo()).ok).toBe(false);
		expect((await documents()).at(-1)).toEqual(['credit_note', 'INC-1001', 1_255, 'interest']);
		expect(await sums()).toEqual([['H1', 1_255, 0]]);
		expect((await newestRun()).documents).toMatchObject([{ number: 'INT-1001', isUndone: true, open: 0 }]);
		await proves(books);
	});
	it('is not charged on what was promised, nor to who agreed to none; an agreed rate goes before the statutory', async () => {
		const items = [1];
		await done(
			books,
			recordPromise,
			{ customerId: 1, amount: 100_000, promisedFor: on(5), items } as never,
			CLERK
		);
		expect(await sums(TODAY)).toEqual([['H1', 1_255, 0]]);
		const set = (values: object) =>
			books.write((tx) => tx.update(customer).set(values).where(eq(customer.id, 1)));
		await set({ interest: 'none' });
		expect(await sums()).toEqual([]);
		await set({ interest: 'agreed', interestBasisPoints: 500 });
		expect(await sums()).toEqual([['H1', 534, 0]]);
	});
	it('with compensation by what was late, once for each invoice', async () => {
		const compensation = [{ from: minor(100_000), amount: minor(7_000) }];
		await done(books, setInterest, { ...TERMS, version: 1, compensation }, SUPERVISOR);
		expect(await sums()).toEqual([['H1', 8_255, 0]]);
		await charge();
		expect(await sums(TODAY)).toEqual([['H1', 32, 0]]);
	});
	it('begins with the day that the firm set', async () => {
		await done(books, setInterest, { ...TERMS, version: 1, since: on(-10) }, SUPERVISOR);
		expect(await sums()).toEqual([['H1', 322, 0]]);
	});
	it.each([
		['what is no longer on the sheet', { charge: 1, credit: 0 }, on(-1), ['interest-changed']],
		['a day still to come', { charge: 1_255, credit: 0 }, on(1), ['field']]
	])('refuses %s', async (_, seen, through, codes) => {
		const chosen = [{ customerId: 1, currency: 'GBP', ...seen }] as never;
		expect(codesOf(await perform(books, chargeInterest, { through, chosen }, as(CLERK)))).toEqual(codes);
		expect((await documents()).length).toBe(1);
	});
	it('has its terms set by a supervisor, and not by two at once', async () => {
		expect(codesOf(await perform(books, setInterest, TERMS, as(SUPERVISOR)))).toEqual(['wording-changed']);
		expect(codesOf(await perform(books, setInterest, { ...TERMS, version: 1 }, as(CLERK)))).toEqual([
			'not-allowed'
		]);
		const falling = [
			{ from: on(-1), basisPoints: 1 },
			{ from: on(-2), basisPoints: 1 }
		];
		expect(
			codesOf(await perform(books, setInterest, { ...TERMS, version: 1, reference: falling }, as(SUPERVISOR)))
		).toEqual(['field']);
	});
	it('is told in a letter that sets out each item, and each change of what was late', async () => {
		const compensation = [{ from: minor(100_000), amount: minor(7_000) }];
		await done(books, setInterest, { ...TERMS, version: 1, compensation }, SUPERVISOR);
		await paidBefore(-20);
		await charge();
		const run = await newestRun();
		expect([run.through, run.accounts, run.by]).toEqual([on(-1), 1, CLERK.name]);
		const { rows, chosen, unreached } = await lookAtInterestLetters(books.db, run, viewer);
		expect([rows.map((row) => [row.code, row.amount, row.held]), unreached]).toEqual([
			[['H1', 7_998, null]],
			[]
		]);
		const accounts = chosen.map(({ customerId, currency, details }) => ({
			customerId,
			currency,
			...details
		}));
		const [found] = await lettersFor(books.db, { kind: 'interest', accounts }, TODAY);
		const letter = found!.ok ? found!.value.letter : null;
		expect(letter!.owed).toBe(7_998);
		expect(
			letter!.interest!.map(({ kind, number, from, to, amount }) => [kind, number, from, to, amount])
		).toEqual([
			['interest', 'AK-1', on(-39), on(-1), 998],
			['compensation', 'AK-1', on(-39), on(-1), 7_000]
		]);
		const table = layOutLetter(letter!).blocks.find((block) => block.kind === 'table')!;
		expect(table.rows.map((row) => row.cells.map((cell) => cell.text))).toEqual([
			['AK-1', shortDay(on(-39)), shortDay(on(-1)), '39', '', '', '9.98'],
			['', shortDay(on(-39)), shortDay(on(-21)), '19', '1,000.00', '11.75%', ''],
			['', shortDay(on(-20)), shortDay(on(-1)), '20', '600.00', '11.75%', ''],
			['fixed compensation', '', '', '', '', '', '70.00']
		]);
		expect(mailText(letter!).body).toContain('£79.98 of late-payment interest and fixed compensation');
	});
	it('has its letter offered again where that was withdrawn, and none where nobody can be reached', async () => {
		await charge();
		const letters = async () => lookAtInterestLetters(books.db, await newestRun(), viewer);
		const { rows, chosen } = await letters();
		const asked = { kind: 'interest' as const, statement: null, note: '', copyTo: null };
		const seen = { letter: 0, run: 0 };
		const { runId } = await done(books, startRun, { ...asked, rows, chosen, seen } as never, CLERK);
		expect((await letters()).chosen).toEqual([]);
		const accounts = chosen.map((one) => ({ ...one, ...one.details }));
		const now = '2026-10-30T10:00:00.000Z';
		const written = await prepareLetters(books, { kind: 'interest', accounts }, viewer, now);
		const own = await books.db.select().from(runLetter).all();
		const ofRun = own.map((row) => row.id);
		const given = { kind: 'interest' as const, letters: written.ok ? written.value : [], ofRun };
		await done(books, sendLetters, given as never, CLERK);
		expect(Object.values((await newestRun()).told)).toEqual([{ state: 'written', letterId: 1 }]);
		await done(books, withdrawLetters, { runId } as never, CLERK);
		expect((await letters()).chosen).toHaveLength(1);
		await books.write((tx) =>
			tx
				.update(customer)
				.set({ statementEmail: null, reminderEmail: null, address: [] })
				.where(eq(customer.id, 1))
		);
		expect(await letters()).toMatchObject({ chosen: [], unreached: [1] });
	});
	it('is on one sheet, for a spreadsheet and on paper, that comes to what is charged', async () => {
		await charge(on(-30));
		await paidBefore(-35);
		const sheets = await sheet();
		const table = interestTable(sheets);
		const at = table.headings.indexOf('Charged');
		const sum = table.rows.reduce((all, row) => all + Math.round(Number(row[at] || 0) * 100), 0);
		const [one] = sheets;
		expect(one!.credit).toBeGreaterThan(0);
		expect(sum).toBe(one!.charge - one!.credit);
		const firm = (await readSetting(books.db, 'firm'))!;
		const paper = layOutInterest(sheets, { firm, through: on(-1), day: TODAY });
		const tables = paper.blocks.flatMap((block) => (block.kind === 'table' ? [block.sums!.value] : []));
		expect(tables).toEqual([money(sum, 'GBP'), money(sum, 'GBP')]);
	});
	it('is summed up by account, with one of them in full', async () => {
		await invoices(
			books,
			newDocument('AK-2', 2, 50_000, {
				issued: on(-70),
				instalments: [{ due: on(-40), amount: minor(50_000) }]
			})
		);
		const first = await lookAtInterest(books.db, { through: on(-1), open: null }, viewer);
		expect(first.rows.map(({ code, items, interest }) => [code, items, interest])).toEqual([
			['H1', 1, 1_255],
			['W2', 1, 628]
		]);
		expect(first.open!.code).toBe('H1');
		expect((await lookAtInterest(books.db, { through: on(-1), open: 'W2 GBP' }, viewer)).open!.code).toBe(
			'W2'
		);
	});
});
