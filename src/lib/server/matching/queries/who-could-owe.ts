import { sql } from 'drizzle-orm';
import { type AccountItem, setsByAccount } from '../../../core/3-matching';
import { minor } from '../../../core/money/minor';
import type { Db } from '../../platform/db/open';
import { customersById } from '../store/customers-by-id';
import { itemsById } from '../../documents/store/open-items';
import { defineLook } from '../../act/define-look';

/** Items that come to a sum together, and whose they are. */
export interface FittingSet {
	readonly accounts: readonly { readonly id: number; readonly name: string; readonly code: string }[];
	readonly items: readonly { readonly id: number; readonly number: string; readonly open: number }[];
	/** How many sets of this account fit, or of all pairs of accounts; "more than" where not all were counted. */
	readonly count: number;
	readonly all: boolean;
}

export interface FittingSets {
	readonly looked: { readonly items: number; readonly accounts: number };
	readonly within: readonly FittingSet[];
	readonly across: readonly FittingSet[];
}

const SETS_SHOWN = 12;

/** Sets of open items that come to an amount (minor units), in each account and of two accounts, over all customers. */
export const whoCouldOwe = defineLook(
	'reader',
	async (db, { amount, currency }: { amount: number; currency: string }): Promise<FittingSets> => {
		const items = await openAmounts(db, currency);
		const found = setsByAccount(items, amount, SETS_SHOWN);
		const ids = [...found.within.flatMap((one) => one.itemIds), ...found.across.flat().map(({ id }) => id)];
		const known = new Map((await itemsById(db, [...new Set(ids)])).map((item) => [item.id, item]));
		const owners = [...new Set([...known.values()].map((item) => item.customerId))];
		const customers = new Map((await customersById(db, owners)).map((one) => [one.id, one]));
		const setOf = (itemIds: readonly number[], count: number, all: boolean): FittingSet => {
			const taken = itemIds.map((id) => known.get(id)!);
			return {
				accounts: [...new Set(taken.map((item) => item.customerId))].map((id) => {
					const { name, code } = customers.get(id)!;
					return { id, name, code };
				}),
				items: taken.map(({ id, number, kind, open }) => ({
					id,
					number,
					open: kind === 'credit_note' ? minor(-open) : open
				})),
				count,
				all
			};
		};
		return {
			looked: { items: items.length, accounts: new Set(items.map((item) => item.customerId)).size },
			within: found.within.map((one) => setOf(one.itemIds, one.count, one.all)),
			across: found.across.map((pair) =>
				setOf(
					pair.map((item) => item.id),
					found.pairs,
					true
				)
			)
		};
	}
);

/** All that is open in a currency, oldest first. In one value: a hundred thousand rows of their own would take a second. */
async function openAmounts(db: Db, currency: string): Promise<AccountItem[]> {
	const row = await db.get<{ list: string }>(sql`
		select json_group_array(json_array(item_id, customer_id, case when kind = 'credit_note' then -open else open end)) as list
		from (select item_id, customer_id, kind, open from item_state
			where open > 0 and currency = ${currency} and kind <> 'claim' order by due, item_id)`);
	const list = JSON.parse(row?.list ?? '[]') as [number, number, number][];
	return list.map(([id, customerId, amount]) => ({ id, customerId, amount }));
}
