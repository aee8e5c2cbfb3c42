import { and, eq } from 'drizzle-orm';
import { type UsualLine, usualKind } from '../../../core/3-matching';
import { nameKey } from '../../../core/text/name-key';
import { readSetting } from '../../firm/store/settings';
import type { Reader, Tx } from '../../platform/db/open';
import { bankEntry, ledgerAccount, usualLine } from '../../platform/db/schema';

/** An entry as far as it is known by its counterparty and kind. */
interface Entry {
	readonly payerName: string | null;
	readonly text: string;
	readonly amount: number;
	readonly bankEntryId: number | null;
}

/** Usual lines and rules that are proposed, by the keys of `usualKeys`; those that are switched off are not among them. */
export async function usualLines(db: Reader): Promise<ReadonlyMap<string, UsualLine>> {
	const names = new Map((await db.select().from(ledgerAccount)).map(({ code, name }) => [code, name]));
	const found = new Map<string, UsualLine>();
	const rules = (await readSetting(db, 'asideRules')) ?? {};
	for (const [key, { account }] of Object.entries(rules)) {
		const name = names.get(account);
		if (name) found.set(`${key} | `, { account, name, times: 2 });
	}
	for (const { nameKey: key, kind, account, times, off } of await db.select().from(usualLine)) {
		const name = names.get(account);
		if (name && !off) found.set(`${key} | ${kind}`, { account, name, times });
	}
	return found;
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
			.set({ ...seen, account, times: known.account === account ? known.times + 1 : 1 })
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
