import { createHash } from 'node:crypto';
import { and, eq, inArray } from 'drizzle-orm';
import { entryContent } from '../../core/1-bank-files/fingerprint';
import type { ReadStatement } from '../../core/1-bank-files/read-bank-text';
import { chunks } from '../db/chunks';
import type { Tx } from '../db/open';
import { bankEntry, bankStatement, statementEntry } from '../db/schema';

export interface Fingerprinted {
	readonly fingerprint: string;
	/** The entry in the books that this is, or null for a new one. */
	readonly entryId: number | null;
}

const MOST_ALIKE = 1000;

/**
 * Tells a statement's entries that are in the books already from new ones. Entries alike are counted: the second of two in
 * one statement is another entry. Where the bank gives no reference, a statement that begins with the balance with which an
 * earlier one ended continues it, so an entry alike in the earlier one is another payment and not the same again: money is
 * never taken for a repetition on looks alone.
 * @param within entries of the same file met before, by fingerprint; also keeps the counts of statements that continue.
 */
export async function fingerprints(
	tx: Tx,
	accountId: number,
	statement: ReadStatement,
	mode: 'start' | 'continue',
	within: Map<string, number>
): Promise<Fingerprinted[]> {
	const contents = statement.entries.map((entry) =>
		createHash('sha256').update(entryContent(entry)).digest('hex').slice(0, 40)
	);
	const before = await earlierStatements(tx, accountId, statement);
	const listed = await entriesAlike(tx, accountId, contents, before);
	const used = new Set<string>();
	return statement.entries.map((entry, place) => {
		const content = contents[place]!;
		for (let n = 0; n < MOST_ALIKE; n++) {
			const fingerprint = `${content}:${n}`;
			if (used.has(fingerprint)) continue;
			const inFile = within.get(fingerprint);
			const inBooks = listed.get(fingerprint);
			// Not the same again, but the next of its kind: look at the next count.
			if (inFile !== undefined && mode === 'continue' && !entry.bankReference) continue;
			if (inBooks?.onlyEarlier && !entry.bankReference) continue;
			used.add(fingerprint);
			return { fingerprint, entryId: inFile ?? inBooks?.entryId ?? null };
		}
		throw new Error(`more than ${MOST_ALIKE} entries alike in statement ${statement.header.reference}`);
	});
}

/** Statements of the account that end with the balance with which this one begins. */
async function earlierStatements(
	tx: Tx,
	accountId: number,
	{ header, balances }: ReadStatement
): Promise<ReadonlySet<number>> {
	if (balances.opening === null) return new Set();
	const rows = await tx
		.select({ id: bankStatement.id, reference: bankStatement.reference })
		.from(bankStatement)
		.where(and(eq(bankStatement.bankAccountId, accountId), eq(bankStatement.closing, balances.opening)));
	return new Set(rows.filter((row) => row.reference !== header.reference).map((row) => row.id));
}

async function entriesAlike(
	tx: Tx,
	accountId: number,
	contents: readonly string[],
	before: ReadonlySet<number>
) {
	const found = new Map<string, { entryId: number; onlyEarlier: boolean }>();
	const counts = new Map<string, number>();
	for (const content of contents) counts.set(content, (counts.get(content) ?? 0) + 1);
	// Alike ones beyond those in this statement may stand in the books from statements before it.
	const wanted = [...counts].flatMap(([content, n]) =>
		[...Array(n + 2).keys()].map((k) => `${content}:${k}`)
	);
	for (const part of chunks(wanted)) {
		const rows = await tx
			.select({
				fingerprint: bankEntry.fingerprint,
				entryId: bankEntry.id,
				statementId: statementEntry.statementId
			})
			.from(bankEntry)
			.innerJoin(statementEntry, eq(statementEntry.entryId, bankEntry.id))
			.where(and(eq(bankEntry.bankAccountId, accountId), inArray(bankEntry.fingerprint, part)));
		for (const { fingerprint, entryId, statementId } of rows) {
			const earlier = before.has(statementId);
			const known = found.get(fingerprint);
			found.set(fingerprint, { entryId, onlyEarlier: earlier && (known?.onlyEarlier ?? true) });
		}
	}
	return found;
}
