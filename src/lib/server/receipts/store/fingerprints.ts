import { createHash } from 'node:crypto';
import { and, eq } from 'drizzle-orm';
import { entryContent } from '../../../core/1-bank-files/fingerprint';
import type { ReadStatement } from '../../../core/1-bank-files/read-bank-text';
import { chunks } from '../../platform/db/chunks';
import { inList } from '../../platform/db/in-list';
import type { Tx } from '../../platform/db/open';
import { bankEntry, bankStatement, statementEntry } from '../../platform/db/schema';

export interface Fingerprinted {
	readonly fingerprint: string;
	/** The entry in the books that this is, or null for a new one. */
	readonly entryId: number | null;
}

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
	const next = new Map<string, number>();
	return statement.entries.map((entry, place) => {
		const content = contents[place]!;
		for (let n = next.get(content) ?? 0; ; n++) {
			const fingerprint = `${content}:${n}`;
			const inFile = within.get(fingerprint);
			const inBooks = listed.get(fingerprint);
			// Not the same again, but the next of its kind: look at the next count.
			if (inFile !== undefined && mode === 'continue' && !entry.bankReference) continue;
			if (inBooks?.onlyEarlier && !entry.bankReference) continue;
			next.set(content, n + 1);
			return { fingerprint, entryId: inFile ?? inBooks?.entryId ?? null };
		}
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
	// As many of each as the statement has, then further ones for as long as there are any: an earlier statement may have
	// brought more of them.
	let pending = [...counts].map(([content, n]) => ({ content, from: 0, to: n }));
	while (pending.length > 0) {
		await add(pending.flatMap(({ content, from, to }) => range(from, to).map((k) => `${content}:${k}`)));
		pending = pending
			.filter(({ content, to }) => found.has(`${content}:${to - 1}`))
			.map(({ content, to }) => ({ content, from: to, to: to * 2 }));
	}
	return found;

	async function add(wanted: readonly string[]): Promise<void> {
		for (const part of chunks(wanted, 20_000)) {
			const rows = await tx
				.select({
					fingerprint: bankEntry.fingerprint,
					entryId: bankEntry.id,
					statementId: statementEntry.statementId
				})
				.from(bankEntry)
				.innerJoin(statementEntry, eq(statementEntry.entryId, bankEntry.id))
				.where(and(eq(bankEntry.bankAccountId, accountId), inList(bankEntry.fingerprint, part)));
			for (const { fingerprint, entryId, statementId } of rows) {
				const earlier = before.has(statementId);
				const known = found.get(fingerprint);
				found.set(fingerprint, { entryId, onlyEarlier: earlier && (known?.onlyEarlier ?? true) });
			}
		}
	}
}

function range(from: number, to: number): number[] {
	return Array.from({ length: to - from }, (_, i) => from + i);
}
