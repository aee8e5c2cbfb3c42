import { and, eq, isNotNull, isNull, sql } from 'drizzle-orm';
import type { SQLiteTable } from 'drizzle-orm/sqlite-core';
import type { SQL } from 'drizzle-orm';
import type { Opening } from '../../../core/1-open-items/document-row';
import { settingUp, type StepState } from '../../../core/6-reports/setting-up';
import { defineLook } from '../../act/define-look';
import { openingSums } from '../../documents/queries/opening-balances';
import type { OpeningSums } from '../../documents/queries/opening-balances';
import { histories } from '../../matching/queries/histories';
import type { Db } from '../../platform/db/open';
import {
	act,
	allocation,
	bankAccount,
	bankFile,
	customer,
	document,
	receiptState,
	user
} from '../../platform/db/schema';
import { readSetting } from '../store/settings';

/** How far new books are set up. */
export interface SettingUpSeen {
	readonly steps: readonly StepState[];
	readonly firm: string;
	readonly bankAccounts: number;
	readonly people: number;
	readonly customers: number;
	readonly withoutEmail: number;
	readonly documents: number;
	readonly pastPayments: number;
	/** The newest opening items, beside the control account that they were compared with. */
	readonly opening: OpeningSums | null;
	readonly bankFiles: number;
	/** Receipts that are not allocated. */
	readonly waiting: number;
	readonly allocated: number;
}

/** How far new books are set up; null for books that are. */
export const lookAtSettingUp = defineLook('reader', async (db, _: null): Promise<SettingUpSeen | null> => {
	const kept = await readSetting(db, 'settingUp');
	if (!kept?.open) return null;
	const firm = await readSetting(db, 'firm');
	const counts = {
		bankAccounts: await countOf(db, bankAccount),
		people: await countOf(db, user, eq(user.active, true)),
		customers: await countOf(db, customer),
		documents: await countOf(db, document),
		pastPayments: await pastPayments(db),
		bankFiles: await countOf(db, bankFile),
		allocated: await countOf(db, allocation)
	};
	return {
		steps: settingUp({
			...counts,
			...{ hasAddress: (firm?.address.length ?? 0) > 0, proved: kept.proved },
			...{ mailTested: kept.mailTested, leftOut: kept.leftOut }
		}),
		...{ firm: firm?.name ?? '', ...counts },
		withoutEmail: await countOf(
			db,
			customer,
			and(isNull(customer.statementEmail), isNull(customer.closedOn))
		),
		opening: await newestOpening(db),
		waiting: await countOf(db, receiptState, eq(receiptState.state, 'waiting'))
	};
});

async function countOf(db: Db, table: SQLiteTable, where?: SQL): Promise<number> {
	const found = await db
		.select({ n: sql<number>`count(*)` })
		.from(table)
		.where(where)
		.all();
	return found[0]!.n;
}

/** Payments of the books of before that matching learns from. */
async function pastPayments(db: Db): Promise<number> {
	return (await histories(db)).reduce((sum, one) => sum + one.payments, 0);
}

/** What opening items come to, with the control account as it was said when the last of them came in. */
async function newestOpening(db: Db): Promise<OpeningSums | null> {
	const acts = await db
		.select({ facts: act.facts })
		.from(act)
		.where(and(eq(act.kind, 'bring-in-documents'), isNotNull(sql`json_extract(${act.facts}, '$.opening')`)))
		.orderBy(sql`${act.id} desc`)
		.limit(1)
		.all();
	if (!acts[0]) return null;
	const { opening } = JSON.parse(acts[0].facts) as { opening: Opening };
	const sums = await openingSums(db, opening, []);
	return sums.ok ? sums.value : null;
}
