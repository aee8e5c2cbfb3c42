import { beforeEach, describe, expect, it } from 'vitest';
import { addBankAccount } from '../../firm/commands/add-bank-account';
import { proveBooks } from '../../ledger/queries/proof';
import type { Books } from '../../platform/db/open';
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
	READER,
	SUPERVISOR,
	testBooks
} from '../../testing';
import { day } from '../../../core/day/day';
import { perform } from '../../act/perform';
import { APPLICATION, type Person } from '../../act/person';
import { setBankFiles } from '../../firm/commands/set-bank-files';
import { acceptStatement } from '../commands/accept-statement';
import { confirmBankFile } from '../commands/confirm-bank-file';
import { importBankFile } from '../commands/import-bank-file';
import { lookAtBankFiles } from '../queries/bank-files';
import { asReport } from '../testing-reports';
import { entryDoubts } from './entry-doubts';
import { readBankFile } from './read-bank-file';
import { statementFaults } from './statement-faults';

let books: Books;
beforeEach(async () => {
	books = await testBooks(newDocument('AK-1', 1, 1000), newDocument('AK-2', 1, 2000));
	await bringIn(books, bankXml([credit(1000, 'AK-1', { reference: 'B1' })]));
});
/** A statement of the days after the first one's. */
const later = (opening: number, ...entries: Parameters<typeof bankXml>[0]) =>
	bankXml([...entries], { reference: 'S2', opening, closingOn: day('2026-10-30') }).replaceAll(
		'2026-10-27',
		'2026-10-29'
	);
const bands = async () =>
	[...(await answeredPile(books.db, Infinity)).answers.values()].map(({ band, reasons }) => [
		band,
		reasons.some(({ code }) => code === 'statement-doubted')
	]);

describe('a statement that does not go on from the one before', () => {
	it('is said when it comes in and by the proof, and nothing of it is certain', async () => {
		const result = await bringIn(books, later(500, credit(2000, 'AK-2', { reference: 'B2' })));
		const [statement] = result.ok ? result.value.statements : [];
		expect(statement!.fault).toMatchObject({ code: 'gap', reference: 'S2', want: 1000, found: 500 });
		const { breaches } = await proveBooks(books.db);
		expect(breaches).toMatchObject([{ rule: 10, want: 1000, found: 500, currency: 'GBP' }]);
		expect(await bands()).toEqual([
			['certain', false],
			['likely', true]
		]);
	});
	it('makes nothing certain by coming twice: entries that only statements in doubt list stay doubted', async () => {
		const forged = credit(2000, 'AK-2', { reference: 'B2' });
		await bringIn(books, later(500, forged));
		await bringIn(books, later(700, forged).replace('>S2<', '>S3<'));
		expect((await statementFaults(books.db)).map((fault) => fault.reference)).toEqual(['S2', 'S3']);
		expect(await bands()).toEqual([
			['certain', false],
			['likely', true]
		]);
	});
	it('is taken for the bank’s by a supervisor, for a reason, who did not bring it in', async () => {
		await bringIn(books, later(500, credit(2000, 'AK-2', { reference: 'B2' })));
		const accept = async (who: Person, statementId = 2, reason = 'the bank was changed') => {
			const result = await perform(books, acceptStatement, { statementId, reason }, as(who));
			return result.ok ? result.value.actId : result.problems.map(({ code }) => code);
		};
		expect(await accept(CLERK)).toEqual(['not-allowed']);
		expect(await accept({ ...CLERK, role: 'supervisor' })).toEqual(['second-person']);
		expect(await accept(SUPERVISOR, 2, ' ')).toEqual(['field']);
		expect(await accept(SUPERVISOR, 1)).toBeNull();
		expect(await accept(SUPERVISOR)).toEqual(expect.any(Number));
		expect(await statementFaults(books.db)).toEqual([]);
		expect((await bands()).map(([band]) => band)).toEqual(['certain', 'certain']);
		await proves(books);
	});
	it('is well once what was missing comes', async () => {
		await bringIn(books, later(1700, credit(2000, 'AK-2', { reference: 'B2' })));
		expect(await statementFaults(books.db)).toHaveLength(1);
		const between = bankXml([credit(700, 'x', { reference: 'B3' })], {
			...{ reference: 'S1b', opening: 1000, closingOn: day('2026-10-29') }
		}).replaceAll('2026-10-27', '2026-10-28');
		await bringIn(books, between);
		expect(await statementFaults(books.db)).toEqual([]);
		expect((await bands()).map(([, doubted]) => doubted)).toEqual([false, false, false]);
	});
	it('that goes on is certain as ever', async () => {
		const result = await bringIn(books, later(1000, credit(2000, 'AK-2', { reference: 'B2' })));
		expect(result.ok && result.value.statements[0]!.fault).toBe(null);
		expect((await bands()).map(([band]) => band)).toEqual(['certain', 'certain']);
	});
	it('at the start is one that begins with another balance than was agreed', async () => {
		await done(
			books,
			addBankAccount,
			{ name: 'New', number: 'GB00NEW1', bankName: 'Mere', currency: 'GBP', ledger: '1220', opening: 4200 },
			SUPERVISOR
		);
		const first = (opening: number) => bankXml([credit(1, 'x')], { account: 'GB00NEW1', opening });
		const result = await bringIn(books, first(500));
		expect(result.ok && result.value.statements[0]!.fault).toMatchObject({
			...{ code: 'first-opening', want: 4200, found: 500, account: 'New' }
		});
	});
});

describe('a file that somebody brought in by hand', () => {
	const confirm = (who: Person) => perform(books, confirmBankFile, { fileId: 2 }, as(who));
	const codes = async (who: Person) => {
		const result = await confirm(who);
		return result.ok ? [] : result.problems.map(({ code }) => code);
	};
	it('is not certain until a second person confirms it, where the firm wants that', async () => {
		await done(books, setBankFiles, { from: 'confirmed' }, SUPERVISOR);
		// What came before that was wanted waits for nobody.
		expect((await bands())[0]).toEqual(['certain', false]);
		await bringIn(books, later(1000, credit(2000, 'AK-2', { reference: 'B2' })));
		expect((await bands()).map(([band]) => band)).toEqual(['certain', 'likely']);
		expect(await codes(CLERK)).toEqual(['second-person']);
		expect(await codes(READER)).toEqual(['not-allowed']);
		const viewer = { who: SUPERVISOR, today: as(CLERK).today };
		expect((await lookAtBankFiles(books.db, null, viewer)).files).toMatchObject([
			{ who: 'Wren', byHand: true, waits: true, mayConfirm: true, confirmedBy: null },
			{ waits: false }
		]);
		expect(await codes(SUPERVISOR)).toEqual([]);
		expect(await confirm(SUPERVISOR)).toMatchObject({ ok: true, value: { actId: null } });
		expect((await bands()).map(([band]) => band)).toEqual(['certain', 'certain']);
		expect((await lookAtBankFiles(books.db, null, viewer)).files).toMatchObject([
			{ waits: false, confirmedBy: 'Hollis' },
			{ waits: false, confirmedBy: null }
		]);
		await proves(books);
	});
	it('makes doubtful what it tells of the payments of a sum, until then', async () => {
		await done(books, setBankFiles, { from: 'confirmed' }, SUPERVISOR);
		const sum = { amount: 3000, booked: '2026-10-30', reference: 'SUM-77', details: [] };
		const statement = await readBankFile('bank.xml', [Buffer.from(later(1000, sum))]);
		if (!statement.ok) throw new Error('unread');
		await perform(books, importBankFile, statement.value, as(APPLICATION));
		expect([...(await entryDoubts(books.db)).values()]).toEqual([]);
		const parts = ['AK-1', 'AK-2'].map((text, n) => ({
			amount: 1000 + 1000 * n,
			name: null,
			account: null,
			text
		}));
		const told = asReport(later(1000, { ...sum, details: parts }), 'camt.054');
		await bringIn(books, told, 'told.xml');
		expect([...(await entryDoubts(books.db))]).toEqual([
			[2, { code: 'file-unconfirmed', file: 'told.xml', who: 'Wren' }]
		]);
		expect((await perform(books, confirmBankFile, { fileId: 3 }, as(SUPERVISOR))).ok).toBe(true);
		expect((await entryDoubts(books.db)).size).toBe(0);
		await proves(books);
	});
	it('is refused where the firm takes the watched folder alone, which still is taken', async () => {
		await done(books, setBankFiles, { from: 'folder' }, SUPERVISOR);
		const xml = later(1000, credit(2000, 'AK-2', { reference: 'B2' }));
		const refused = await bringIn(books, xml);
		expect(refused.ok ? [] : refused.problems.map(({ code }) => code)).toEqual(['folder-only']);
		const read = await readBankFile('bank.xml', [Buffer.from(xml)]);
		if (!read.ok) throw new Error('unread');
		expect((await perform(books, importBankFile, read.value, as(APPLICATION))).ok).toBe(true);
	});
});
