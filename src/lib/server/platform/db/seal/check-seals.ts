import { sql } from 'drizzle-orm';
import type { Reader } from '../types';
import { checkChain, type Chain } from './check-chain';
import { checkTable, type UnsoundRows } from './check-table';
import { missingGuards } from './guards';
import { ROW_FORMS } from './row-form';

/** So many findings are named for each table: more says nothing more. */
const FINDINGS = 20;

export interface SealCheck {
	readonly chain: Chain;
	readonly unsound: readonly UnsoundRows[];
	/** Changes that somebody else wrote, found before by the application, and put down by nobody. */
	readonly foreign: readonly {
		readonly tableName: string;
		readonly rowKey: number | string;
		readonly foundAt: string;
	}[];
	/** Guards of tables that are gone, by the names of their triggers. */
	readonly unguarded: readonly string[];
	/** Changes that were noted and belong to no act. */
	readonly pending: readonly { readonly tableName: string; readonly rowKey: number | string }[];
}

/**
 * Compares all rows of the books with what was sealed of them, and the seals with each other. Whoever can write the file can make
 * all of it anew: only an anchor that lies elsewhere shows that.
 */
export async function checkSeals(db: Reader, each?: (hash: string) => void): Promise<SealCheck> {
	const chain = await checkChain(db, each);
	const unsound: UnsoundRows[] = [];
	const forms = new Map(
		(
			await db.all<{ tableName: string; sinceSeal: number }>(
				sql`select table_name as "tableName", since_seal as "sinceSeal" from sealed_form`
			)
		).map((row) => [row.tableName, row.sinceSeal])
	);
	for (const form of ROW_FORMS.values()) {
		let found = 0;
		for await (const one of checkTable(db, form, forms.get(form.name) ?? 0)) {
			unsound.push(one);
			if (++found === FINDINGS) break;
		}
	}
	const foreign = await db.all<SealCheck['foreign'][number]>(sql`
		select table_name as "tableName", row_key as "rowKey", found_at as "foundAt" from foreign_change
		where not exists (select 1 from acknowledged_finding k where k.kind = 'foreign' and k.ref = foreign_change.id)
		order by id limit ${FINDINGS}`);
	const pending = await db.all<SealCheck['pending'][number]>(sql`
		select table_name as "tableName", row_key as "rowKey" from unsealed_change order by id limit ${FINDINGS}`);
	return { chain, unsound, foreign, pending, unguarded: await missingGuards(db) };
}
