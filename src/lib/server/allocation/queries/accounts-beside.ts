import { asc, eq, inArray, or } from 'drizzle-orm';
import type { Answer } from '../../../core/3-matching';
import type { Db } from '../../platform/db/open';
import { customer } from '../../platform/db/schema';
import { itemsById } from '../../documents/store/open-items';
import type { Waiting } from '../../receipts/store/waiting-receipts';

/** Items that were laid when it was held, or that its answers take. */
export function itemsLaid(held: Waiting['heldOrder'], answer: Answer | null): number[] {
	const lines = held?.lines ?? [
		...(answer?.lines ?? []),
		...(answer?.others ?? []).flatMap((one) => one.lines)
	];
	return [...new Set(lines.map((line) => line.itemId))];
}

/** Branches that the account may pay for, and accounts that were asked for or laid before. */
export async function accountsBeside(
	db: Db,
	ownerId: number,
	also: readonly number[],
	laidIds: readonly number[]
): Promise<{ id: number; name: string }[]> {
	const laid = laidIds.length > 0 ? await itemsById(db, laidIds) : [];
	const wanted = [...also, ...laid.map((item) => item.customerId)].filter((id) => id !== ownerId);
	return db
		.select({ id: customer.id, name: customer.name })
		.from(customer)
		.where(or(eq(customer.parentId, ownerId), inArray(customer.id, wanted)))
		.orderBy(asc(customer.id));
}
