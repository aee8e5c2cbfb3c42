import type { Viewer } from '../../act/define-look';
import { previewCustomers, type Preview } from '../../customers/commands/bring-in-customers';
import { lookAtSmallBalances } from '../../allocation/queries/small-balances';
import { previewDocuments } from '../../documents/commands/bring-in-documents';
import { lookAtBalances } from '../../ledger/queries/journal';
import { countRuns, lookAtRun } from '../../letters/queries/letters';
import { lookAtToday } from '../../reports/queries/today';
import { lookAtRecord } from '../../ledger/queries/record';
import type { Db } from '../../platform/db/open';
import { readCustomerTables, readDocumentTables, type TablesRead } from '../../platform/http/read-table-form';
import type { TableSeen } from '../../../tables/table-seen';
import { withKnownReadings, type TablesAsked } from './with-known-readings';
import { waitingReceipts } from '../../receipts/store/waiting-receipts';
import { customersTable, openItemsTable } from './tables';

const SHOWN = 300;

/** What would become of the rows of tables: how many of each fate, and the first of them. */
export interface PreviewSummed extends Preview {
	readonly added: number;
	readonly same: number;
	readonly differs: number;
	/** How each table was understood, and what it asks. */
	readonly tables: readonly TableSeen[];
}

/**
 * Looks that may take longer than the others should wait for: they run in a thread of their own, with a connection for reading. What
 * they are given and give crosses threads.
 */
export const HEAVY_LOOKS = {
	balances: lookAtBalances,
	record: lookAtRecord,
	'waiting-receipts': (db: Db, _: null) => waitingReceipts(db),
	today: lookAtToday,
	'letters-run': lookAtRun,
	'letters-count': countRuns,
	'small-balances': lookAtSmallBalances,
	'open-items-table': openItemsTable,
	'customers-table': customersTable,
	'preview-documents': async (db: Db, asked: TablesAsked) => {
		const read = await readDocumentTables(await withKnownReadings(db, 'documents', asked));
		return summed(await previewDocuments(db, read.rows), read);
	},
	'preview-customers': async (db: Db, asked: TablesAsked) => {
		const read = await readCustomerTables(await withKnownReadings(db, 'customers', asked));
		return summed(await previewCustomers(db, read.rows), read);
	}
} as const satisfies Record<string, (db: Db, input: never, viewer: Viewer) => Promise<unknown>>;

export type HeavyLook = keyof typeof HEAVY_LOOKS;
export type HeavyInput<N extends HeavyLook> = Parameters<(typeof HEAVY_LOOKS)[N]>[1];
export type HeavyOutput<N extends HeavyLook> = Awaited<ReturnType<(typeof HEAVY_LOOKS)[N]>>;

function summed({ problems, rows }: Preview, read: TablesRead<unknown>): PreviewSummed {
	const of = (fate: string) => rows.filter((row) => row.fate === fate);
	const [added, same, differs] = [of('new'), of('same'), of('differs')];
	return {
		...{ added: added.length, same: same.length, differs: differs.length },
		rows: [...differs, ...added, ...same].slice(0, SHOWN),
		tables: read.tables,
		problems: [...read.problems, ...problems].slice(0, 50)
	};
}
