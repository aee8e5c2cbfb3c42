import { and, eq, gte, isNull, or, sql } from 'drizzle-orm';
import type { MaybeSame } from '../../../core/model/entry-doubt';
import { contentHash } from './count-alike';
import { entriesOfOtherFormats } from './entries-of-other-formats';
import { FIRST_FORMAT, type ReadStatement } from '../../../core/1-bank-files/read-statement';
import { statementsBefore } from '../../../core/1-bank-files/statements-before';
import { chunks } from '../../platform/db/chunks';
import { inList } from '../../platform/db/in-list';
import type { Tx } from '../../platform/db/open';
import { bankEntry, bankStatement, statementEntry } from '../../platform/db/schema';

export interface Fingerprinted {
	readonly fingerprint: string;
	/** The entry in the books that this is, or null for a new one. */
	readonly entryId: number | null;
	/** Whether another format brought the entry, so that it has another fingerprint there. */
	readonly alias: boolean;
	/** Entries of another format that it may be, where nothing tells it and nobody said it; null where it is certain. */
	readonly doubt: { readonly key: string; readonly others: readonly MaybeSame[] } | null;
}

/**
 * Tells a statement's entries that are in the books already from new ones. Entries alike are counted: the second of two in
 * one statement is another entry. Where the bank gives no reference, a statement that begins with the balance with which an
 * earlier one ended continues it, so an entry alike in the earlier one is another payment and not the same again: money is
 * never taken for a repetition on looks alone. What a file of another format brought has another shape, and is told by references, then
 * by day, amount and words (`pairEntries`).
 * @param within entries of the same file met before, new or of another format, by fingerprint; also keeps the counts of statements
 * that continue.
 * @param answers what somebody said of entries that may be in the books already, by the keys of the doubts
 */
export async function fingerprints(
	tx: Tx,
	accountId: number,
	statement: ReadStatement,
	mode: 'start' | 'continue',
	within: Map<string, number>,
	answers: ReadonlyMap<string, number | null>
): Promise<Fingerprinted[]> {
	const contents = statement.entries.map(contentHash);
	const before = await earlierStatements(tx, accountId, statement);
	const listed = await entriesAlike(tx, accountId, contents, before);
	const next = new Map<string, number>();
	const found = statement.entries.map((entry, place) => {
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
	const open = statement.entries.flatMap((entry, place) =>
		found[place]!.entryId === null ? [{ ...entry, place }] : []
	);
	const elsewhere = await entriesOfOtherFormats(tx, accountId, statement, {
		...{ open, before, taken: new Set(within.values()) }
	});
	const said = new Set<number>();
	return found.map(({ fingerprint, entryId }, place) => {
		const other = elsewhere.same.get(place);
		const sure = { fingerprint, entryId: entryId ?? other ?? null, alias: other !== undefined, doubt: null };
		const all = elsewhere.doubtful.get(place);
		if (!all?.length) return sure;
		const key = `${accountId} ${fingerprint}`;
		const answer = answers.get(key);
		const others = all.filter(({ id }) => !said.has(id));
		// Said to be what another one is already: only one of them can be.
		if (typeof answer === 'number' && said.has(answer)) return { ...sure, doubt: { key, others: all } };
		if (others.length === 0) return sure;
		if (answer === null) return sure;
		if (answer === undefined || !others.some(({ id }) => id === answer))
			return { ...sure, doubt: { key, others } };
		said.add(answer);
		return { ...sure, entryId: answer, alias: true };
	});
}

/** Statements of the account that this one goes on from, of its own days: an entry of another day is another by that. */
async function earlierStatements(
	tx: Tx,
	accountId: number,
	{ format, header: { reference }, balances, entries }: ReadStatement
): Promise<ReadonlySet<number>> {
	const { opening, closing, closingOn } = balances;
	if (opening === null || entries.length === 0) return new Set();
	const first = entries.reduce((day, { booked }) => (booked < day ? booked : day), entries[0]!.booked);
	const others = await tx
		.select()
		.from(bankStatement)
		.where(
			and(
				eq(bankStatement.bankAccountId, accountId),
				or(gte(bankStatement.closingOn, first), isNull(bankStatement.closingOn))
			)
		);
	return statementsBefore(
		{ format, reference, opening, closing, closingOn },
		others.map((other) => ({ ...other, format: other.format ?? FIRST_FORMAT }))
	);
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
			const first = await tx
				.select({
					fingerprint: bankEntry.fingerprint,
					entryId: bankEntry.id,
					statementId: statementEntry.statementId
				})
				.from(bankEntry)
				.innerJoin(statementEntry, eq(statementEntry.entryId, bankEntry.id))
				.where(and(eq(bankEntry.bankAccountId, accountId), inList(bankEntry.fingerprint, part)));
			const later = await tx
				.select({
					fingerprint: sql<string>`${statementEntry.fingerprint}`,
					entryId: statementEntry.entryId,
					statementId: statementEntry.statementId
				})
				.from(statementEntry)
				.innerJoin(bankEntry, eq(bankEntry.id, statementEntry.entryId))
				.where(and(eq(bankEntry.bankAccountId, accountId), inList(statementEntry.fingerprint, part)));
			for (const { fingerprint, entryId, statementId } of [...first, ...later]) {
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
