import { eq } from 'drizzle-orm';
import { referenceKey } from '../../core/3-matching/words-of-text';
import { journalOfDocument } from '../../core/5-journal/journal-of-document';
import type { Day } from '../../core/day/day';
import type { DocumentKind } from '../../core/model/records';
import { sumOf } from '../../core/money/add';
import { minor, type Minor } from '../../core/money/minor';
import { split } from '../../core/money/split';
import { customer, document, documentLine, item, itemState } from '../db/schema';
import { lockedPeriod } from '../repo/check-period';
import { postJournal } from '../repo/post-journal';
import { recordAct } from '../repo/record-act';
import { readSetting } from '../repo/settings';
import { baseConverter } from '../repo/to-base';
import { defineAct } from './perform';
import { Refusal } from '../refusal';

export interface NewDocument {
	readonly kind: DocumentKind;
	readonly number: string;
	readonly customerId: number;
	readonly issued: Day;
	readonly currency: string;
	readonly lines: readonly {
		readonly text: string;
		readonly net: Minor;
		readonly taxBasisPoints: number;
		readonly tax: Minor;
	}[];
	/** Amounts add up to the lines' net and tax. */
	readonly instalments: readonly { readonly due: Day; readonly amount: Minor }[];
	readonly purchaseOrder: string | null;
	readonly orderReference: string | null;
	readonly paymentReference: string | null;
	readonly text: string;
	readonly discountBasisPoints: number | null;
	readonly discountUntil: Day | null;
}

/** Puts an invoice, credit note or charge on a customer's account, with its journal. */
export const issueDocument = defineAct({
	kind: 'issue-document',
	needs: 'clerk',
	run: async (tx, input: NewDocument, at) => {
		const { lines, instalments, ...head } = input;
		const net = sumOf(lines, (line) => line.net);
		const tax = sumOf(lines, (line) => line.tax);
		const total = minor(net + tax);
		const locked = await lockedPeriod(tx, head.issued);
		if (locked) throw new Refusal(locked);
		if (
			sumOf(instalments, (part) => part.amount) !== total ||
			total <= 0 ||
			instalments.some((part) => part.amount <= 0)
		)
			throw new Refusal({ code: 'total-mismatch', number: head.number });
		const owner = await tx.select().from(customer).where(eq(customer.id, head.customerId)).get();
		if (!owner) throw new Refusal({ code: 'not-found', what: 'customer' });
		const taken = await tx
			.select({ id: document.id, kind: document.kind })
			.from(document)
			.where(eq(document.number, head.number));
		if (taken.some((row) => row.kind === head.kind))
			throw new Refusal({ code: 'number-taken', number: head.number });
		const base = (await readSetting(tx, 'firm'))?.baseCurrency ?? head.currency;
		const convert = await baseConverter(tx, head.currency, base, head.issued);
		if (typeof convert !== 'function') throw new Refusal(convert);

		const totalBase = convert(total);
		const taxBase = convert(tax);
		const actId = await recordAct(tx, {
			kind: 'issue-document',
			date: head.issued,
			at: at.now(),
			userId: at.who.id,
			userName: at.who.name,
			summary: `Issued ${head.number} to ${owner.name}`,
			facts: { number: head.number, kind: head.kind, total, currency: head.currency },
			customerId: owner.id,
			key: at.key
		});
		const { id } = await tx
			.insert(document)
			.values({
				...head,
				actId,
				numberKey: referenceKey(head.number),
				purchaseOrderKey: head.purchaseOrder && referenceKey(head.purchaseOrder),
				paymentReferenceKey: head.paymentReference && referenceKey(head.paymentReference),
				total,
				totalBase
			})
			.returning({ id: document.id })
			.get();
		await tx.insert(documentLine).values(lines.map((line) => ({ ...line, documentId: id })));
		const bases = split(
			totalBase,
			instalments.map((part) => part.amount)
		); // the parts keep the whole's value
		for (const [index, { due, amount }] of instalments.entries()) {
			const parts = instalments.length;
			const row = {
				documentId: id,
				customerId: owner.id,
				part: index + 1,
				parts,
				due,
				total: amount,
				totalBase: bases[index]!
			};
			const inserted = await tx.insert(item).values(row).returning({ id: item.id }).get();
			const state = {
				customerId: owner.id,
				due,
				open: amount,
				openBase: bases[index]!,
				version: 1,
				lastActId: actId
			};
			await tx.insert(itemState).values({ itemId: inserted.id, ...state });
		}
		const netBase = minor(totalBase - taxBase);
		await postJournal(tx, actId, head.issued, journalOfDocument({ ...head, net, tax, netBase, taxBase }));
		return { documentId: id, actId };
	}
});
