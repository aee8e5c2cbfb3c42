import { and, asc, eq, or } from 'drizzle-orm';
import type { ReadStatement } from '../../../core/1-bank-files/read-statement';
import type { StatementEntry } from '../../../core/model/bank';
import type { Problem } from '../../../core/problems';
import { err, ok, type Result } from '../../../core/result';
import { minor } from '../../../core/money/minor';
import { namesAccount } from '../../../tables/names-account';
import { readBankTable } from '../../../tables/read-bank-table';
import { openOwnTable, readOpenedTable, type OpenedTable } from '../../../tables/read-own-table';
import { isAsking, type TableAnswer, type TableSeen } from '../../../tables/table-seen';
import type { Reader } from '../../platform/db/open';
import { bankAccount, bankStatement } from '../../platform/db/schema';
import { readContent, sizeOfContent } from '../../platform/files/file-content';
import { FORM_TEXT_BYTES, inFile, textOfSource, type FormSource } from '../../platform/http/read-form-text';
import { FileKeeper } from '../../receipts/store/kept-file';
import type { BankFileRead } from '../../receipts/store/read-bank-file';
import { withKnownReadings } from './with-known-readings';

/** A bank's table that somebody brings, what they say of its columns, and of which account it is. */
export interface BankTableAsked {
	readonly source: FormSource;
	readonly answers: readonly TableAnswer[];
	readonly bankAccountId: number | null;
	/** Whether nobody can be asked: it has to be read just as one was that somebody brought in before, and to tell its account. */
	readonly onlyKnown?: boolean;
}

/** How a bank's table was understood. */
export interface BankTableSeen {
	readonly seen: TableSeen;
	/** The account that was said, or that the table, or one like it before, tells; null where it has to be said. */
	readonly bankAccountId: number | null;
	/** Whether the account's last table had other columns. */
	readonly otherColumns: boolean;
	readonly statement: ReadStatement | null;
	readonly problems: readonly Problem[];
}

/** Reads a bank's table by what is said of it, and was said before. */
export async function readBankTableFor(db: Reader, asked: BankTableAsked): Promise<Result<BankTableSeen>> {
	const { source } = asked;
	const given = { sources: [source], answers: asked.answers };
	const { answers, currency } = await withKnownReadings(db, 'bank-table', given);
	const text = await textOfSource(source);
	if (!text.ok) return text;
	const opened = inFile(openOwnTable('bank-table', text.value, answers), source.file);
	if (!opened.ok) return opened;
	const accounts = await db
		.select()
		.from(bankAccount)
		.where(eq(bankAccount.kind, 'current'))
		.orderBy(asc(bankAccount.id));
	const account = await accountOf(db, opened.value, { accounts, answers, said: asked.bankAccountId });
	const ofAccount = answers.filter((one) => account && one.bankAccountId === account.id);
	return ok({
		...(account
			? readBankTable(opened.value, account)
			: {
					...{ seen: readOpenedTable(opened.value, currency).seen, statement: null },
					problems: faultsOfAny(opened.value, beforeOf(opened.value, accounts, answers))
				}),
		bankAccountId: account?.id ?? null,
		otherColumns: ofAccount.length > 0 && ofAccount.every((one) => one.headings !== opened.value.seen.key)
	});
}

type Account = typeof bankAccount.$inferSelect;

/**
 * Of which account a table is: that which somebody says, which the table names, or the only one. A table like one before may be of another
 * account of the same bank, so that one is taken only where the table begins with a balance that it had; null where it has to be said.
 */
async function accountOf(
	db: Reader,
	opened: OpenedTable,
	{
		accounts,
		answers,
		said
	}: {
		readonly accounts: readonly Account[];
		readonly answers: readonly TableAnswer[];
		readonly said: number | null;
	}
): Promise<Account | null> {
	const chosen = accounts.find(({ id }) => id === said);
	if (chosen) return chosen;
	const named = accounts.filter(({ number }) => namesAccount(opened, number));
	if (named.length > 0) return named.length === 1 ? named[0]! : null;
	if (accounts.length === 1) return accounts[0]!;
	const before = beforeOf(opened, accounts, answers);
	const going: Account[] = [];
	for (const account of before) {
		const opening = readBankTable(opened, account).statement?.balances.opening ?? null;
		if (opening !== null && (await hadBalance(db, account.id, opening))) going.push(account);
	}
	return going.length === 1 ? going[0]! : null;
}

/** Accounts of which tables with such headings came before. */
function beforeOf(
	opened: OpenedTable,
	accounts: readonly Account[],
	answers: readonly TableAnswer[]
): readonly Account[] {
	return accounts.filter(({ id }) =>
		answers.some((one) => one.headings === opened.seen.key && one.bankAccountId === id)
	);
}

/** What is wrong in a table whichever of the accounts it is of; nothing where it can be read as one of them. */
function faultsOfAny(opened: OpenedTable, accounts: readonly Account[]): readonly Problem[] {
	const readings = accounts.map((account) => readBankTable(opened, account).problems);
	return readings.every((problems) => problems.length > 0) ? (readings[0] ?? []) : [];
}

/** Whether a statement of an account begins or ends with a balance. */
async function hadBalance(db: Reader, accountId: number, balance: number): Promise<boolean> {
	const known = or(eq(bankStatement.opening, minor(balance)), eq(bankStatement.closing, minor(balance)));
	return (await db.$count(bankStatement, and(eq(bankStatement.bankAccountId, accountId), known))) > 0;
}

/** What a bank's table is as a file that can be brought in; refused while it asks something, or something is wrong. */
export async function bankFileOfTable(
	db: Reader,
	asked: BankTableAsked
): Promise<Result<{ readonly file: BankFileRead; readonly answer: TableAnswer }>> {
	const { file, content } = asked.source;
	const bytes = typeof content === 'string' ? content.length : await sizeOfContent(content);
	if (bytes > FORM_TEXT_BYTES) return err({ code: 'file-too-large', bytes, most: FORM_TEXT_BYTES });
	const read = await readBankTableFor(db, asked);
	if (!read.ok) return read;
	const { seen, statement, problems, bankAccountId, otherColumns } = read.value;
	if (asked.onlyKnown && (!seen.answer || isAsking(seen) || otherColumns || bankAccountId === null))
		return err({ code: 'table-not-known', ...(file ? { file } : {}) });
	if (problems.length > 0) return err(...problems);
	if (isAsking(seen) || bankAccountId === null || !statement)
		return err({ code: 'table-asks', ...(file ? { file } : {}) });
	const keeper = new FileKeeper();
	keeper.add(typeof content === 'string' ? new TextEncoder().encode(content) : await readContent(content));
	const { key: headings, columns, answer } = seen;
	return ok({
		file: { ...keeper.end(), name: file ?? 'pasted rows', statements: [statement] },
		// What the table tells itself is nobody's saying: the next one may tell otherwise.
		answer: {
			...{ headings, columns, bankAccountId, currency: answer?.currency ?? null },
			...{ dayOrder: answer?.dayOrder ?? null, decimalSign: answer?.decimalSign ?? null },
			...(answer?.name || file ? { name: answer?.name ?? file! } : {})
		}
	});
}

/** A bank's table before it is brought in: how it was understood, its first entries, and what they come to. */
export interface BankTablePreview {
	readonly seen: TableSeen;
	readonly bankAccountId: number | null;
	readonly otherColumns: boolean;
	readonly problems: readonly Problem[];
	readonly statement: {
		readonly entries: readonly StatementEntry[];
		readonly count: number;
		readonly paidIn: number;
		readonly paidOut: number;
		readonly currency: string;
		readonly opening: number | null;
		readonly closing: number | null;
		readonly from: string | null;
		readonly to: string | null;
	} | null;
}

const SHOWN = 30;

/** Looks at a bank's table; why it is none where it cannot be read at all. */
export async function previewBankTable(db: Reader, asked: BankTableAsked): Promise<Result<BankTablePreview>> {
	const read = await readBankTableFor(db, asked);
	return read.ok ? ok(toPreview(read.value)) : read;
}

function toPreview({ statement, ...rest }: BankTableSeen): BankTablePreview {
	if (!statement) return { ...rest, statement: null };
	const { entries, header, balances } = statement;
	const sumOf = (isOf: (amount: number) => boolean) =>
		entries.reduce((sum, { amount }) => (isOf(amount) ? sum + amount : sum), 0);
	return {
		...rest,
		statement: {
			entries: entries.slice(0, SHOWN),
			count: entries.length,
			paidIn: sumOf((amount) => amount > 0),
			paidOut: sumOf((amount) => amount < 0),
			currency: header.currency ?? '',
			...{ opening: balances.opening, closing: balances.closing, from: header.from, to: header.to }
		}
	};
}
