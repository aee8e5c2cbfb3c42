import { compareText } from '../../../core/compare-text';
import { interestSheet, type InterestSheet } from '../../../core/9-interest/interest-sheet';
import type { Day } from '../../../core/day/day';
import { sumOf } from '../../../core/money/add';
import type { Minor } from '../../../core/money/minor';
import { defineLook } from '../../act/define-look';
import { readSetting } from '../../firm/store/settings';
import { inList } from '../../platform/db/in-list';
import type { Reader } from '../../platform/db/open';
import { customer } from '../../platform/db/schema';
import { interestAccounts, type InterestAccount } from '../store/interest-accounts';

/** The sheet of one account, with the numbers of its items. */
export interface InterestOfAccount extends InterestSheet {
	readonly customerId: number;
	readonly code: string;
	readonly name: string;
	readonly currency: string;
	/** Numbers of the items that it names, by their ids. */
	readonly numbers: Readonly<Record<number, string>>;
}

/** What one account comes to. Amounts in minor units of its currency. */
export interface InterestSummed {
	readonly customerId: number;
	readonly code: string;
	readonly name: string;
	readonly currency: string;
	readonly items: number;
	readonly interest: Minor;
	readonly compensation: Minor;
	/** Both. */
	readonly charge: Minor;
	readonly credit: Minor;
	readonly isSmall: boolean;
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

/** The sheet of every account up to a day, the greatest charge first. */
export const lookAtInterestSheets = defineLook('reader', (db, asked: InterestAsked) => sheets(db, asked));

/** What interest would be charged up to a day, account by account, and the sheet of one of them. */
export const lookAtInterest = defineLook(
	'reader',
	async (db, { open, ...asked }: InterestAsked & { readonly open: string | null }) => {
		const all = await sheets(db, asked);
		return {
			setting: await readSetting(db, 'interest'),
			rows: all.map(summed),
			/** The account that is shown in full, by its code and currency. */
			open: all.find((one) => `${one.code} ${one.currency}` === open) ?? all[0] ?? null
		};
	}
);

function summed({ rows, corrections, ...one }: InterestOfAccount): InterestSummed {
	const { customerId, code, name, currency, charge, credit, isSmall } = one;
	const ids = new Set([...rows, ...corrections].map((row) => row.itemId));
	return {
		...{ customerId, code, name, currency, charge, credit, isSmall, items: ids.size },
		interest: sumOf(rows, (row) => row.amount),
		compensation: sumOf(rows, (row) => row.compensation)
	};
}

async function sheets(db: Reader, { through, only }: InterestAsked): Promise<InterestOfAccount[]> {
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
	return accounts
		.flatMap((account): InterestOfAccount[] => {
			const sheet = sheetOf(account, through);
			if (sheet.charge === 0 && sheet.credit === 0) return [];
			const { customerId, currency } = account;
			const { code, name } = owners.get(customerId)!;
			const named = new Set([...sheet.rows, ...sheet.corrections].map((row) => row.itemId));
			const numbers = Object.fromEntries(
				account.items.flatMap((item) => (named.has(item.id) ? [[item.id, item.number]] : []))
			);
			return [{ ...sheet, customerId, currency, code, name, numbers }];
		})
		.sort((a, b) => b.charge - a.charge || b.credit - a.credit || compareText(a.code, b.code));
}
