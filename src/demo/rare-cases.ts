import { and, asc, eq, gt } from 'drizzle-orm';
import { proportion } from '../lib/core/money/proportion';
import { minor, ZERO } from '../lib/core/money/minor';
import type { Day } from '../lib/core/day/day';
import { decideClaims } from '../lib/server/claims/commands/decide-claims';
import { fileClaim } from '../lib/server/claims/commands/file-claim';
import { noteClaim } from '../lib/server/claims/commands/note-claim';
import { allocateReceipt } from '../lib/server/allocation/commands/allocate-receipt';
import { perform } from '../lib/server/act/perform';
import type { CallContext } from '../lib/server/act/define-act';
import type { Books } from '../lib/server/platform/db/open';
import { item, itemState } from '../lib/server/platform/db/schema';
import { openItemsOf } from '../lib/server/documents/store/open-items';
import { must } from './must';
import type { Payer } from './make-customers';
import type { Owed } from './owed';
import type { Year } from './year';

/** The first invoice of an account of that currency that is owed whole and not meant to be paid now. */
function owing(year: Year, currency: string, today: Day): { payer: Payer; item: Owed } | null {
	for (const payer of year.payers) {
		const { currency: own, parentCode, name } = payer.customer;
		if (
			own !== currency ||
			parentCode !== null ||
			/Council|School|College|Hazel Hill|Pottery Club/.test(name)
		)
			continue;
		const list = year.owed.get(payer.customer.code) ?? [];
		const item = list.find(
			(one) =>
				one.document.kind === 'invoice' &&
				one.document.instalments.length === 1 &&
				one.open === one.document.instalments[0]!.amount &&
				one.payOn > today &&
				one.open > 20_000
		);
		if (item) return { payer, item };
	}
	return null;
}

/** What happens once in a year: a firm abroad keeps tax back, and an administrator pays thirty pence in the pound. */
export function rareCases(year: Year, booked: Day): void {
	const abroad = owing(year, 'EUR', booked);
	if (abroad)
		year.short(abroad.payer, abroad.item, booked, `${abroad.item.number} less tax withheld 5%`, {
			kind: 'withholding_tax',
			amount: proportion(minor(abroad.item.open), 500, 10_000)
		});
	const broke = owing(year, 'GBP', booked);
	if (broke)
		year.short(broke.payer, broke.item, booked, `${broke.item.number} final dividend 30p in the pound`, {
			kind: 'bad_debt',
			amount: broke.item.open - proportion(minor(broke.item.open), 3_000, 10_000)
		});
}

/** A credit note set against an invoice of the same account, without any money. */
export async function creditAgainstInvoice(
	books: Books,
	at: CallContext,
	ids: readonly number[]
): Promise<void> {
	for (const customerId of ids) {
		const items = await openItemsOf(books.db, [customerId]);
		const note = items.find((item) => item.kind === 'credit_note' && item.currency === 'GBP');
		const invoice =
			note &&
			items.find((item) => item.kind === 'invoice' && item.currency === 'GBP' && item.open > note.open);
		if (!note || !invoice) continue;
		const result = await perform(
			books,
			allocateReceipt,
			{
				...{ receiptId: null, receiptVersion: null, customerId },
				lines: [
					{ itemId: invoice.id, version: invoice.version, cash: note.open, differences: [] },
					{ itemId: note.id, version: note.version, cash: -note.open, differences: [] }
				]
			},
			at
		);
		if (!result.ok) throw new Error(`the demo books were refused: ${JSON.stringify(result.problems)}`);
		return;
	}
	throw new Error('the demo books have no credit note left to set against an invoice');
}

/** Of the claims of the year three are decided: one allowed, one owed again, one written off; the newest has a note and a file. */
export async function decidedClaims(books: Books, at: CallContext): Promise<void> {
	const claims = await books.db
		.select({
			itemId: itemState.itemId,
			version: itemState.version,
			open: itemState.open,
			id: item.documentId
		})
		.from(itemState)
		.innerJoin(item, eq(item.id, itemState.itemId))
		.where(and(eq(itemState.kind, 'claim'), gt(itemState.open, ZERO)))
		.orderBy(asc(itemState.itemId));
	const ways = ['allow', 'allow', 'billBack', 'writeOff'] as const;
	for (const [i, way] of ways.entries()) {
		const claim = claims[i];
		if (!claim || i >= claims.length - 2) continue;
		const { itemId, version, open } = claim;
		const decision = { itemId, version, allow: 0, billBack: 0, writeOff: 0, [way]: open };
		await must(perform(books, decideClaims, { claims: [decision], note: 'seen by Despatch' }, at));
	}
	const last = claims.at(-1);
	if (!last) return;
	const text = 'Rang the yard: the driver remembers one box left on the lorry.';
	await must(perform(books, noteClaim, { claimId: last.id, text }, at));
	const note = 'Delivery note 5127\n2 boxes ordered\n1 box delivered\n';
	const content = Buffer.from(note);
	const files = [{ name: 'delivery-note-5127.txt', type: 'text/plain', content }];
	await must(perform(books, fileClaim, { claimId: last.id, files }, at));
}
