import { eq } from 'drizzle-orm';
import { z } from 'zod';
import type { PlaceLine } from '../../core/4-allocation/place-order';
import { placeReceipt as place } from '../../core/4-allocation/place-receipt';
import { journalOfPlacing } from '../../core/5-journal/journal-of-placing';
import type { Day } from '../../core/day/day';
import { minor, type Minor } from '../../core/money/minor';
import { toDecimal } from '../../core/money/to-decimal';
import type { Tx } from '../db/open';
import { allocation, bankAccount, bankEntry, customer, difference, receiptState } from '../db/schema';
import { changeItems } from '../repo/change-items';
import { checkVersions } from '../repo/check-versions';
import { firstOpenDay } from '../repo/check-period';
import { itemsById } from '../repo/open-items';
import { postJournal } from '../repo/post-journal';
import { actByKey, recordAct } from '../repo/record-act';
import { readSetting } from '../repo/settings';
import { baseConverter } from '../repo/to-base';
import { defineAct } from './perform';
import { Refusal } from '../refusal';
import { takeReceipt } from './take-receipt';

const amount = z.number().int().refine(Number.isSafeInteger);

/** What the desk sends: which receipt and items were seen in which version, and what is laid on each. */
export const placeInput = z.object({
	receiptId: z.number().int(),
	receiptVersion: z.number().int(),
	customerId: z.number().int().nullable(),
	lines: z
		.array(
			z.object({
				itemId: z.number().int(),
				version: z.number().int(),
				cash: amount,
				differences: z.array(
					z.object({
						kind: z.enum([
							'settlement_discount',
							'processor_fee',
							'bank_charge',
							'withholding_tax',
							'small_difference'
						]),
						amount
					})
				)
			})
		)
		.max(2000),
	/** Why the desk proposed it, kept with the act. */
	reasons: z.array(z.string().max(400)).max(40).default([])
});
export type PlaceInput = z.infer<typeof placeInput>;

/** Posts one receipt: to the customer's account, on the items chosen, differences named, the rest on account. */
export const placeReceipt = defineAct({
	kind: 'place-receipt',
	needs: 'clerk',
	run: async (tx, input: PlaceInput, at): Promise<{ actId: number }> => {
		if (at.key) {
			const done = await actByKey(tx, at.key);
			if (done) return { actId: done.id };
		}
		const { row } = await takeReceipt(tx, input.receiptId, input.receiptVersion);
		if (input.customerId === null) throw new Refusal({ code: 'no-customer' });
		const owner = await tx
			.select({ id: customer.id, name: customer.name })
			.from(customer)
			.where(eq(customer.id, input.customerId))
			.get();
		if (!owner) throw new Refusal({ code: 'not-found', what: 'customer' });
		const entry = await tx
			.select({ id: bankEntry.id, ledger: bankAccount.ledger })
			.from(bankEntry)
			.innerJoin(bankAccount, eq(bankAccount.id, bankEntry.bankAccountId))
			.where(eq(bankEntry.id, row.bankEntryId))
			.get();
		const items = new Map(
			(
				await itemsById(
					tx,
					input.lines.map((line) => line.itemId)
				)
			).map((it) => [it.id, it])
		);
		if (input.lines.some((line) => !items.has(line.itemId)))
			throw new Refusal({ code: 'not-found', what: 'item' });
		await checkVersions(tx, input.lines, items);

		const date = await accountingDate(tx, row.booked as Day);
		const base = await baseOf(tx, row.currency, row.amount, date);
		const money = { amount: minor(row.amount), base, currency: row.currency };
		const lines: PlaceLine[] = input.lines.map((line) => ({
			item: items.get(line.itemId)!,
			cash: minor(line.cash),
			differences: line.differences.map((gap) => ({ kind: gap.kind, amount: minor(gap.amount) }))
		}));
		const placing = place({ receipt: { id: row.id, ...money }, customerId: owner.id, lines });
		if (!placing.ok) throw new Refusal(...placing.problems);
		const { allocations, differences, changes, onAccount, onAccountBase } = placing.value;

		const actId = await recordAct(tx, {
			kind: 'place-receipt',
			date,
			at: at.now(),
			userId: at.who.id,
			userName: at.who.name,
			summary: `Placed ${toDecimal(money.amount, row.currency)} ${row.currency} from ${row.payerName ?? 'an unnamed payer'} on ${owner.name}`,
			facts: { lines: input.lines, onAccount, reasons: input.reasons },
			customerId: owner.id,
			receiptId: row.id,
			key: at.key
		});
		if (allocations.length)
			await tx.insert(allocation).values(
				allocations.map(({ source, ...part }) => ({
					...part,
					actId,
					date,
					receiptId: 'receiptId' in source ? source.receiptId : null,
					creditItemId: 'itemId' in source ? source.itemId : null
				}))
			);
		if (differences.length)
			await tx
				.insert(difference)
				.values(differences.map((gap) => ({ ...gap, actId, date, receiptId: row.id })));
		await changeItems(tx, actId, changes);
		await tx
			.update(receiptState)
			.set({
				state: 'placed',
				customerId: owner.id,
				onAccount,
				onAccountBase,
				heldBecause: null,
				version: input.receiptVersion + 1,
				actId,
				lastActId: actId
			})
			.where(eq(receiptState.receiptId, row.id));
		const posted = { ...money, customerId: owner.id, bankLedger: entry!.ledger, bankEntryId: entry!.id };
		await postJournal(tx, actId, date, journalOfPlacing(posted, placing.value));
		return { actId };
	}
});

/** The day the bank booked it, or the first open day where that one is locked: the bank's day cannot be chosen. */
export async function accountingDate(tx: Tx, booked: Day): Promise<Day> {
	const first = await firstOpenDay(tx);
	return first && booked < first ? first : booked;
}

/** Base value of a receipt at the rate of its accounting day. */
export async function baseOf(tx: Tx, currency: string, value: number, date: Day): Promise<Minor> {
	const base = (await readSetting(tx, 'firm'))?.baseCurrency ?? currency;
	const convert = await baseConverter(tx, currency, base, date);
	if (typeof convert !== 'function') throw new Refusal(convert);
	return convert(minor(value));
}
