import { and, asc, eq, gt, max } from 'drizzle-orm';
import type { LetterKind } from '../../../core/7-letters/letter';
import { groupBy } from '../../../core/group-by';
import { ZERO } from '../../../core/money/minor';
import { digestOf } from '../../act/digest';
import { payIntoFor } from '../../firm/store/firm-bank';
import { readSetting } from '../../firm/store/settings';
import { inList } from '../../platform/db/in-list';
import type { Reader } from '../../platform/db/open';
import {
	customer,
	itemState,
	manualReceipt,
	receipt,
	receiptState,
	wordingVersion
} from '../../platform/db/schema';
import { returnedPayments } from '../../returns/store/returned-payments';
import { overtakenLetters } from './overtaken-letters';

export interface LetterAccount {
	readonly customerId: number;
	readonly currency: string;
	/** The returned payment that the letter is about. */
	readonly returnedId?: number | null;
}

/**
 * For each account, in order, a mark of all that its letter shows: versions of open items and of money on account, cheques with a
 * later date, the customer's and the firm's own lines, a letter that it corrects. Where two marks are alike, so are the letters.
 * A handful of queries for any number of accounts.
 */
export async function letterVersions(
	db: Reader,
	kind: LetterKind,
	accounts: readonly LetterAccount[]
): Promise<string[]> {
	const { items, credits, dated, owners, overtaken, firm, payInto } = await readShown(db, kind, accounts);
	const account = (one: { customerId: number | null; currency: string }) =>
		`${one.customerId} ${one.currency}`;
	const itemsOf = groupBy(items, account);
	const creditsOf = groupBy(credits, account);
	const datedOf = groupBy(dated, account);
	const overtakenOf = new Map(overtaken.map((one) => [account(one), one.letterId]));
	const ownerOf = new Map(owners.map((one) => [one.id, one]));
	const marks: string[] = [];
	for (const one of accounts) {
		const key = account(one);
		marks.push(
			digestOf({
				items: (itemsOf.get(key) ?? []).map(({ id, version }) => [id, version]),
				credits: (creditsOf.get(key) ?? []).map(({ id, version }) => [id, version]),
				dated: datedOf.get(key) ?? [],
				owner: ownerOf.get(one.customerId) ?? null,
				overtaken: overtakenOf.get(key) ?? null,
				returned: one.returnedId ? await returnedPayments(db, { id: one.returnedId }) : null,
				payInto: payInto.get(one.currency) ?? null,
				firm
			})
		);
	}
	return marks;
}

/** Everything that letters to these accounts show, read once for all of them. */
async function readShown(db: Reader, kind: LetterKind, accounts: readonly LetterAccount[]) {
	const ids = [...new Set(accounts.map((one) => one.customerId))];
	const items = await db
		.select({
			customerId: itemState.customerId,
			currency: itemState.currency,
			id: itemState.itemId,
			version: itemState.version
		})
		.from(itemState)
		.where(and(inList(itemState.customerId, ids), gt(itemState.open, ZERO)))
		.orderBy(asc(itemState.itemId));
	const credits = await db
		.select({
			customerId: receiptState.customerId,
			currency: receipt.currency,
			id: receiptState.receiptId,
			version: receiptState.version
		})
		.from(receiptState)
		.innerJoin(receipt, eq(receipt.id, receiptState.receiptId))
		.where(and(inList(receiptState.customerId, ids), gt(receiptState.onAccount, ZERO)))
		.orderBy(asc(receiptState.receiptId));
	const dated = await db
		.select()
		.from(manualReceipt)
		.where(inList(manualReceipt.customerId, ids))
		.orderBy(asc(manualReceipt.id));
	const owners = await db.select().from(customer).where(inList(customer.id, ids));
	const overtaken = kind === 'statement' ? await overtakenLetters(db, ids.length === 1 ? ids[0]! : null) : [];
	const firm = {
		...(await readSetting(db, 'firm')),
		letters: await readSetting(db, 'letters'),
		wordings:
			(
				await db
					.select({ id: max(wordingVersion.id) })
					.from(wordingVersion)
					.all()
			)[0]?.id ?? null
	};
	const payInto = new Map<string, unknown>();
	for (const { currency } of accounts)
		if (!payInto.has(currency)) payInto.set(currency, await payIntoFor(db, currency));
	return { items, credits, dated, owners, overtaken, firm, payInto };
}
