import { bankNumberKey } from '../../../core/text/bank-number';
import { entryWords } from '../../../core/1-bank-files/entry-words';
import type { StatementEntry } from '../../../core/model/bank';
import type { DoubtAnswer, EntryDoubt } from '../../../core/model/entry-doubt';
import { append } from '../../../core/append';
import { eq } from 'drizzle-orm';
import { isReport, type ReadStatement } from '../../../core/1-bank-files/read-statement';
import { receiptsOfEntry } from '../../../core/2-receipts/receipts-of-entry';
import type { Problem } from '../../../core/problems';
import { takeId, takeIds } from '../../platform/db/take-ids';
import { insertRows } from '../../platform/db/insert-rows';
import type { Tx } from '../../platform/db/open';
import {
	act,
	bankAccount,
	bankEntry,
	bankFile,
	bankFilePart,
	bankStatement,
	receipt,
	receiptState,
	statementEntry
} from '../../platform/db/schema';
import type { BankFileRead } from '../store/read-bank-file';
import { countTurnover } from '../../ledger/store/turnover';
import { numbered } from '../../allocation/store/number-posting';
import { statementFaults, type StatementFault } from '../store/statement-faults';
import { fingerprints } from '../store/fingerprints';
import { APPLICATION } from '../../act/person';
import { readSetting } from '../../firm/store/settings';
import { defineAct, madeHere } from '../../act/define-act';
import { entryColumns } from '../store/entry-rows';
import { waitingState } from '../store/receipt-states';
import { meetReports, toldBefore } from '../store/reported-entries';
import { takeReports, type ReportsTaken } from '../store/take-reports';
import { DomainError } from '../../act/domain-error';

export interface ImportedStatement {
	readonly account: string;
	readonly reference: string;
	readonly closing: number | null;
	readonly closingOn: string | null;
	readonly currency: string;
	readonly entriesNew: number;
	readonly entriesKnown: number;
	readonly notBooked: number;
	readonly balanceChecked: boolean;
	/** Why it does not go on from the one before; null where it does. */
	readonly fault: StatementFault | null;
}

export interface Imported {
	readonly name: string;
	/** When and by whom the very same file was brought in before; then nothing changed. */
	readonly before: { readonly at: string; readonly who: string } | null;
	readonly statements: readonly ImportedStatement[];
	readonly entriesNew: number;
	readonly entriesKnown: number;
	/** What came of the bank's reports in it, which no money of the books comes from; null where it has none. */
	readonly reports: ReportsTaken | null;
}

/** A file that was read, and what somebody said of its entries that may be in the books already. */
export interface BankFileGiven extends BankFileRead {
	readonly doubtAnswers?: readonly DoubtAnswer[];
}

/**
 * Brings a file that was read into the books, whole or not at all. What is there already stays as it is; where nothing tells whether an
 * entry is, it asks, and brings nothing in.
 */
export const importBankFile = defineAct({
	kind: 'import-bank-file',
	role: 'clerk',
	input: madeHere<BankFileGiven>(),
	run: async (ctx, file): Promise<Imported> => {
		const { tx } = ctx;
		if (ctx.who.id !== APPLICATION.id && (await readSetting(tx, 'bankFiles'))?.from === 'folder')
			throw new DomainError({ code: 'folder-only' });
		const before = await importedBefore(tx, file.sha256);
		if (before)
			return ctx.unchanged({
				...{ name: file.name, before, statements: [], entriesNew: 0, entriesKnown: 0, reports: null }
			});
		const accounts = await accountsFor(tx, file.statements);

		const statements: Omit<ImportedStatement, 'fault'>[] = [];
		const ids: number[] = [];
		const rows = {
			statements: [] as (typeof bankStatement.$inferInsert)[],
			entries: [] as (typeof bankEntry.$inferInsert)[],
			links: [] as (typeof statementEntry.$inferInsert)[],
			receipts: [] as (typeof receipt.$inferInsert & { readonly id: number })[],
			met: [] as { readonly reportedId: number; readonly entryId: number }[]
		};
		const fileId = await takeId(tx, bankFile);
		const answers = new Map(file.doubtAnswers?.map(({ key, entryId }) => [key, entryId]));
		const doubts: EntryDoubt[] = [];
		const within = new Map<string, number>();
		let previous: ReadStatement | null = null;
		for (const statement of file.statements) {
			if (isReport(statement.format)) continue;
			const account = accounts.get(statement.header.account)!;
			const continues: boolean =
				previous !== null &&
				previous.header.account === statement.header.account &&
				previous.header.reference !== statement.header.reference &&
				previous.balances.closing !== null &&
				previous.balances.closing === statement.balances.opening;
			const known = await fingerprints(
				tx,
				account.id,
				statement,
				continues ? 'continue' : 'start',
				within,
				answers
			);
			for (const [place, { doubt }] of known.entries())
				if (doubt) doubts.push(doubtOf(account, statement.entries[place]!, doubt));
			previous = statement;
			const statementId = await takeId(tx, bankStatement);
			const fresh = known.filter((entry) => entry.entryId === null).length;
			const told = await toldBefore(
				tx,
				account.id,
				statement.entries.filter((_, place) => known[place]!.entryId === null),
				new Set(rows.met.map(({ reportedId }) => reportedId))
			);
			let nextTold = 0;
			let entryId = await takeIds(tx, bankEntry, fresh);
			const drafts: Omit<typeof receipt.$inferInsert, 'id'>[] = [];
			rows.statements.push({
				id: statementId,
				fileId,
				bankAccountId: account.id,
				format: statement.format,
				reference: statement.header.reference,
				sequence: statement.header.sequence,
				...statement.balances,
				balanceChecked: statement.balanceChecked,
				notBooked: statement.notBooked
			});
			for (const [place, entry] of statement.entries.entries()) {
				const print = known[place]!;
				let id = print.entryId;
				if (print.alias) within.set(print.fingerprint, id!);
				if (id === null) {
					id = entryId++;
					within.set(print.fingerprint, id);
					const filled = told.entries[nextTold]!;
					for (const reportedId of told.reportedIds[nextTold++]!) rows.met.push({ reportedId, entryId: id });
					const { fingerprint } = print;
					rows.entries.push({ id, bankAccountId: account.id, fingerprint, ...entryColumns(filled) });
					for (const draft of receiptsOfEntry(filled))
						drafts.push({
							...draft,
							bankEntryId: id,
							booked: entry.booked,
							currency: entry.currency
						});
				}
				rows.links.push({
					statementId,
					place,
					entryId: id,
					fingerprint: print.alias ? print.fingerprint : null
				});
			}
			append(rows.receipts, await numbered(tx, receipt, drafts));
			statements.push({
				account: account.name,
				reference: statement.header.reference,
				closing: statement.balances.closing,
				closingOn: statement.balances.closingOn,
				currency: account.currency,
				entriesNew: fresh,
				entriesKnown: known.length - fresh,
				notBooked: statement.notBooked,
				balanceChecked: statement.balanceChecked
			});
			ids.push(statementId);
		}
		if (doubts.length > 0) throw new DomainError({ code: 'entries-doubtful', doubts });
		const entriesNew = rows.entries.length;
		const entriesKnown = rows.links.length - entriesNew;
		const reported = file.statements.reduce(
			(sum, { format, entries }) => sum + (isReport(format) ? entries.length : 0),
			0
		);
		const actId = await ctx.record({
			summary: { file: file.name, entriesNew, entriesKnown, ...(reported > 0 ? { reported } : {}) },
			facts: { sha256: file.sha256 }
		});
		const { name, sha256, bytes } = file;
		await tx.insert(bankFile).values({ id: fileId, actId, name, sha256, bytes, entriesNew, entriesKnown });
		for (const [part, gzip] of file.parts.entries())
			await tx.insert(bankFilePart).values({ fileId, part, gzip });
		await insertRows(tx, bankStatement, rows.statements);
		await countTurnover(
			tx,
			'bank',
			rows.entries.map((entry) => entry.amount)
		);
		await insertRows(tx, bankEntry, rows.entries);
		await insertRows(tx, statementEntry, rows.links);
		await insertRows(tx, receipt, rows.receipts);
		await insertRows(
			tx,
			receiptState,
			rows.receipts.map((row) => waitingState(row.id, row.booked, actId))
		);
		await meetReports(tx, actId, rows.met);
		const reports = file.statements.flatMap(({ format, ...rest }) =>
			isReport(format) ? [{ ...rest, format, accountId: accounts.get(rest.header.account)!.id }] : []
		);
		const taken = reports.length > 0 ? await takeReports(ctx, actId, fileId, reports) : null;
		const faults = new Map((await statementFaults(tx)).map((fault) => [fault.statementId, fault]));
		return {
			...{ name: file.name, before: null, entriesNew, entriesKnown, reports: taken },
			statements: statements.map((one, at) => ({ ...one, fault: faults.get(ids[at]!) ?? null }))
		};
	}
});

function doubtOf(
	{ name: account, currency }: typeof bankAccount.$inferSelect,
	entry: StatementEntry,
	doubt: Pick<EntryDoubt, 'key' | 'others'>
): EntryDoubt {
	const { booked, amount } = entry;
	return { ...doubt, account, booked, amount, currency, words: entryWords(entry) };
}

async function importedBefore(tx: Tx, sha256: string): Promise<Imported['before']> {
	const row = await tx
		.select({ at: act.at, who: act.userName })
		.from(bankFile)
		.innerJoin(act, eq(act.id, bankFile.actId))
		.where(eq(bankFile.sha256, sha256))
		.get();
	return row ?? null;
}

/** The firm's accounts that the statements name; refuses a file with one that is not ours, or in another currency. */
async function accountsFor(tx: Tx, statements: readonly ReadStatement[]) {
	// A bank may name by sort code and number what the firm knows by its IBAN, or the other way round.
	const ours = new Map((await tx.select().from(bankAccount)).map((row) => [bankNumberKey(row.number), row]));
	const accounts = new Map<string, typeof bankAccount.$inferSelect>();
	for (const { header } of statements) {
		const account = ours.get(bankNumberKey(header.account));
		if (account) accounts.set(header.account, account);
	}
	const problems: Problem[] = [];
	for (const { header, entries } of statements) {
		const place = { statement: header.reference };
		const account = accounts.get(header.account);
		const currency = header.currency ?? entries[0]?.currency ?? '';
		if (!account) problems.push({ code: 'account-unknown', account: header.account, currency, ...place });
		else if (currency && currency !== account.currency)
			problems.push({
				code: 'account-currency',
				account: header.account,
				found: currency,
				want: account.currency,
				...place
			});
		else
			for (const entry of entries)
				if (entry.currency !== account.currency)
					problems.push({
						code: 'entry-currency',
						found: entry.currency,
						account: account.currency,
						entry: entry.bankReference ?? entry.entryReference ?? `number ${entry.index + 1}`,
						...place
					});
	}
	if (problems.length > 0) throw new DomainError(...problems.slice(0, 50));
	return accounts;
}
