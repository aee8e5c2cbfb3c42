import { and, eq } from 'drizzle-orm';
import { type UsualLine, usualKind } from '../../../core/3-matching';
import { nameKey } from '../../../core/text/name-key';
import type { Reader, Tx } from '../../platform/db/open';
import { bankEntry, ledgerAccount, usualLine } from '../../platform/db/schema';

/** An entry as far as it is known by its counterparty and kind. */
interface Entry {
	readonly payerName: string | null;
	readonly text: string;
	readonly amount: number;
	readonly bankEntryId: number | null;
}

/** Kind of a rule that holds for all entries of its counterparty. */
const ANY_KIND = '';

/** Usual lines, by the keys of `usualKeys`; those that are switched off are not among them. */
export async function usualLines(db: Reader): Promise<ReadonlyMap<string, UsualLine>> {
	const rows = await db
		.select({ line: usualLine, name: ledgerAccount.name })
		.from(usualLine)
		.innerJoin(ledgerAccount, eq(ledgerAccount.code, usualLine.account))
		.where(eq(usualLine.off, false));
	return new Map(
		rows.map(({ line, name }) => [
			`${line.nameKey} | ${line.kind}`,
			{ account: line.account, name, times: line.times, setBy: line.setBy }
		])
	);
}

/** Makes it a rule that all entries of a counterparty are proposed for an account. */
export async function ruleUsualLine(tx: Tx, entry: Entry, account: string, by: string): Promise<void> {
	const key = nameKey(entry.payerName ?? '');
	if (!key) return;
	const rule = { account, times: 0, setBy: by, off: false, name: entry.payerName!, text: '' };
	await tx
		.insert(usualLine)
		.values({ nameKey: key, kind: ANY_KIND, ...rule })
		.onConflictDoUpdate({ target: [usualLine.nameKey, usualLine.kind], set: rule });
}

/** Remembers that an entry was booked on an account: once more in a row, or once where the last one went elsewhere. */
export async function learnUsualLine(tx: Tx, entry: Entry, account: string): Promise<void> {
	const which = await keyOf(tx, entry);
	if (!which) return;
	const known = await tx.select().from(usualLine).where(sameLine(which)).get();
	const seen = { name: entry.payerName!, text: entry.text };
	if (!known) await tx.insert(usualLine).values({ ...which, ...seen, account, times: 1 });
	else
		await tx
			.update(usualLine)
			.set(
				known.account === account
					? { ...seen, times: known.times + 1 }
					: { ...seen, account, times: 1, setBy: null }
			)
			.where(eq(usualLine.id, known.id));
}

/** Takes back what one booking taught. */
export async function unlearnUsualLine(tx: Tx, entry: Entry, account: string): Promise<void> {
	const which = await keyOf(tx, entry);
	const known = which && (await tx.select().from(usualLine).where(sameLine(which)).get());
	if (known?.account !== account || known.times === 0) return;
	await tx
		.update(usualLine)
		.set({ times: known.times - 1 })
		.where(eq(usualLine.id, known.id));
}

const sameLine = (which: { readonly nameKey: string; readonly kind: string }) =>
	and(eq(usualLine.nameKey, which.nameKey), eq(usualLine.kind, which.kind));

async function keyOf(tx: Tx, { payerName, text, amount, bankEntryId }: Entry) {
	const key = nameKey(payerName ?? '');
	if (!key || bankEntryId === null) return null;
	const shown = await tx
		.select({ code: bankEntry.code })
		.from(bankEntry)
		.where(eq(bankEntry.id, bankEntryId))
		.get();
	return { nameKey: key, kind: usualKind({ amount, text, code: shown?.code ?? null }) };
}
