import { eq, inArray } from 'drizzle-orm';
import type { ClaimFacts } from '../lib/core/model/claim';
import type { DifferenceKind } from '../lib/core/model/records';
import { allocateReceipt } from '../lib/server/allocation/commands/allocate-receipt';
import type { CallContext } from '../lib/server/act/define-act';
import { performIn } from '../lib/server/act/perform';
import { openItemsOf } from '../lib/server/documents/store/open-items';
import type { Tx } from '../lib/server/platform/db/open';
import { bankEntry, receipt } from '../lib/server/platform/db/schema';
import { setAside } from '../lib/server/receipts/commands/set-aside';

/** What a customer's payment was for. */
export interface Truth {
	readonly customerId: number;
	readonly lines: readonly {
		number: string;
		part: number;
		cash: number;
		differences: { kind: DifferenceKind; amount: number }[];
		claim?: ClaimFacts;
	}[];
	/** The order that money on account was paid for. */
	readonly depositFor?: string;
	/** What of it is to be paid back. */
	readonly refund?: number;
	/** Whether a supervisor posts it. */
	readonly agreed?: boolean;
}

/** What an entry of the bank was for: a customer's items, or a ledger account. */
export type Purpose = Truth | { readonly account: string };

/** Puts every receipt of the books where it belongs. */
export async function placeReceipts(
	tx: Tx,
	truths: ReadonlyMap<string, Purpose>,
	at: (agreed?: boolean) => CallContext
): Promise<void> {
	const references = [...truths.keys()];
	if (references.length === 0) return;
	const rows = await tx
		.select({ id: receipt.id, reference: bankEntry.bankReference })
		.from(receipt)
		.innerJoin(bankEntry, eq(bankEntry.id, receipt.bankEntryId))
		.where(inArray(bankEntry.bankReference, references))
		.orderBy(receipt.id);
	const customers = [...truths.values()].flatMap((truth) => ('account' in truth ? [] : truth.customerId));
	const items = await openItemsOf(tx, [...new Set(customers)]);
	const open = new Map(items.map(({ id, number, part, version }) => [`${number} ${part}`, { id, version }]));
	for (const row of rows) {
		const truth = truths.get(row.reference!)!;
		const head = { receiptId: row.id, receiptVersion: 1 };
		if ('account' in truth) {
			await performIn(tx, setAside, { ...head, account: truth.account }, at());
			continue;
		}
		const lines = truth.lines.map(({ number, part, cash, differences, claim }) => {
			const item = open.get(`${number} ${part}`);
			if (!item) throw new Error(`${number} is not open`);
			return { itemId: item.id, version: item.version++, cash, differences, claim };
		});
		const { customerId, depositFor = null, refund } = truth;
		const surplus = refund ? [{ kind: 'refund' as const, amount: refund }] : [];
		const order = { ...head, customerId, lines, depositFor, surplus };
		await performIn(tx, allocateReceipt, order, at(truth.agreed));
	}
}
