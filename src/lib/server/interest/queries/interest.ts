import { desc, eq, inArray, sql } from 'drizzle-orm';
import { interestSheet, type InterestSheet } from '../../../core/9-interest/interest-sheet';
import type { Day } from '../../../core/day/day';
import { compareText } from '../../../core/compare-text';
import { defineLook } from '../../act/define-look';
import { readSetting } from '../../firm/store/settings';
import { inList } from '../../platform/db/in-list';
import { act, customer, document, interestCharge } from '../../platform/db/schema';
import { interestAccounts, type InterestAccount } from '../store/interest-accounts';

/** The sheet of one account, with the numbers of its items. */
export interface InterestOfAccount extends InterestSheet {
	readonly customerId: number;
	readonly code: string;
	readonly name: string;
	readonly currency: string;
	readonly numbers: Readonly<Record<number, string>>;
}

export interface InterestAsked {
	readonly through: Day;
	/** These customers alone. */
	readonly only?: readonly number[];
}

/** The interest of an account, as its sheet says it. */
export function sheetOf(account: InterestAccount, through: Day): InterestSheet {
	return interestSheet(account.items, account.terms, through);
}

/** What interest would be charged up to a day, account by account, the greatest first; and runs of before. */
export const lookAtInterest = defineLook('reader', async (db, { through, only }: InterestAsked) => {
	const accounts = await interestAccounts(db, through, only);
	const owners = new Map(
		(
			await db
				.select({ id: customer.id, code: customer.code, name: customer.name })
				.from(customer)
				.where(
					inList(
						customer.id,
						accounts.map((one) => one.customerId)
					)
				)
				.all()
		).map((row) => [row.id, row])
	);
	const rows = accounts.flatMap((account): InterestOfAccount[] => {
		const sheet = sheetOf(account, through);
		if (sheet.charge === 0 && sheet.credit === 0) return [];
		const { code, name } = owners.get(account.customerId)!;
		return [
			{
				...sheet,
				...{ customerId: account.customerId, currency: account.currency, code, name },
				numbers: Object.fromEntries(account.items.map((item) => [item.id, item.number]))
			}
		];
	});
	return {
		setting: await readSetting(db, 'interest'),
		rows: rows.sort((a, b) => b.charge - a.charge || compareText(a.code, b.code))
	};
});

/** Interest that was charged, newest first, with what became of each charge. */
export const lookAtInterestCharges = defineLook('reader', async (db, _: null) => {
	const rows = await db
		.select({
			documentId: interestCharge.documentId,
			actId: interestCharge.actId,
			number: document.number,
			issued: document.issued,
			total: document.total,
			currency: document.currency,
			...{ code: customer.code, name: customer.name, by: act.userName },
			undoneBy: sql<number | null>`(select min(u.id) from act u where u.undoes_id = ${interestCharge.actId})`
		})
		.from(interestCharge)
		.innerJoin(document, eq(document.id, interestCharge.documentId))
		.innerJoin(customer, eq(customer.id, document.customerId))
		.innerJoin(act, eq(act.id, interestCharge.actId))
		.groupBy(interestCharge.documentId)
		.orderBy(desc(interestCharge.documentId))
		.limit(200)
		.all();
	return rows;
});

/** What one charge of interest is made of, row by row. */
export const lookAtInterestCharge = defineLook('reader', async (db, documentIds: readonly number[]) =>
	db
		.select()
		.from(interestCharge)
		.where(inArray(interestCharge.documentId, [...documentIds]))
		.orderBy(interestCharge.id)
		.all()
);
