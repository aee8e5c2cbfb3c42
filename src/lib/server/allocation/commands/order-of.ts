import { and, eq, inArray } from 'drizzle-orm';
import type { AllocateLine, AllocateOrder, CreditUse } from '../../../core/4-allocation/allocate-order';
import { NO_LIMITS } from '../../../core/4-allocation/over-limits';
import { toleranceIn } from '../../../core/4-allocation/tolerance-in';
import type { Day } from '../../../core/day/day';
import { minor, type Minor } from '../../../core/money/minor';
import { DomainError } from '../../act/domain-error';
import { checkVersions } from '../../documents/store/check-versions';
import { itemsById } from '../../documents/store/open-items';
import { readSetting } from '../../firm/store/settings';
import type { Tx } from '../../platform/db/open';
import { receipt, receiptState } from '../../platform/db/schema';
import { converter } from '../../receipts/commands/accounting-day';
import type { TakenReceipt } from '../../receipts/commands/take-receipt';
import type { AllocationOrder } from '../allocation-input';

/** The order as the core knows it, from what the books hold now; refuses what changed since it was seen. */
export async function orderOf(
	tx: Tx,
	input: AllocationOrder,
	row: TakenReceipt | null,
	date: Day,
	base: Minor | null
): Promise<AllocateOrder> {
	const found = await itemsById(
		tx,
		input.lines.map((line) => line.itemId)
	);
	const items = new Map(found.map((one) => [one.id, one]));
	if (input.lines.some((line) => !items.has(line.itemId)))
		throw new DomainError({ code: 'not-found', what: 'item' });
	await checkVersions(tx, input.lines, items);
	const credits = await creditsOf(tx, input.credits);
	const currency = row?.currency ?? credits[0]?.currency ?? found[0]?.currency;
	if (!currency) throw new DomainError({ code: 'nothing-to-place' });
	const toBase = await converter(tx, currency, date);
	const limits = (await readSetting(tx, 'limits')) ?? NO_LIMITS;
	return {
		currency,
		tolerance: toleranceIn(limits.tolerance, toBase),
		receipt: row && {
			id: row.id,
			customerId: input.customerId!,
			amount: row.amount,
			base: base ?? toBase(row.amount),
			fees: input.fees.map((fee) => ({
				kind: fee.kind,
				amount: minor(fee.amount),
				base: toBase(minor(fee.amount))
			})),
			surplus: input.surplus.map((one) => ({ kind: one.kind, amount: one.amount }))
		},
		credits,
		lines: input.lines.map((line): AllocateLine => ({
			item: items.get(line.itemId)!,
			cash: line.cash,
			...(line.settles === undefined ? {} : { settles: line.settles }),
			differences: line.differences.map((gap) => ({ kind: gap.kind, amount: gap.amount }))
		}))
	};
}

/** Earlier money as it lies on account now; refuses what is no longer as it was seen. */
async function creditsOf(tx: Tx, wanted: AllocationOrder['credits']): Promise<CreditUse[]> {
	if (wanted.length === 0) return [];
	const rows = await tx
		.select({ state: receiptState, currency: receipt.currency })
		.from(receiptState)
		.innerJoin(receipt, eq(receipt.id, receiptState.receiptId))
		.where(
			and(
				inArray(
					receiptState.receiptId,
					wanted.map((one) => one.receiptId)
				),
				eq(receiptState.state, 'allocated')
			)
		);
	const byId = new Map(rows.map((row) => [row.state.receiptId, row]));
	return wanted.map(({ receiptId, version, use }) => {
		const row = byId.get(receiptId);
		if (!row || row.state.version !== version) throw new DomainError({ code: 'credit-changed' });
		return {
			receiptId,
			customerId: row.state.customerId!,
			currency: row.currency,
			onAccount: row.state.onAccount,
			onAccountBase: row.state.onAccountBase,
			use: minor(use)
		};
	});
}
