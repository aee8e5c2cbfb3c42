import type { Viewer } from '../../act/define-look';
import { lookAtSmallBalances } from '../../allocation/queries/small-balances';
import { lookAtInterest, lookAtInterestSheets } from '../../interest/queries/interest';
import { lookAtBalances } from '../../ledger/queries/journal';
import { lookAtByHand } from '../../letters/queries/by-hand';
import { lookAtCalls } from '../../letters/queries/calls';
import { countRuns, lookAtChosen, lookAtRun } from '../../letters/queries/letters';
import { lookAtSettingUp } from '../../firm/queries/setting-up';
import { lookAtAgeingMonths } from '../../reports/queries/ageing-months';
import { lookAtReport } from '../../reports/queries/report';
import { lookAtReportFile } from '../report-file';
import { lookAtToday } from '../../reports/queries/today';
import { lookAtRecord } from '../../ledger/queries/record';
import type { Problem } from '../../../core/problems';
import {
	countRefused,
	keyOfRefused,
	refusedFiles,
	siftRows,
	type RefusedFile,
	type Sifted
} from './sift-rows';
import type { Db } from '../../platform/db/open';
import type { TablesRead } from '../../platform/http/read-table-form';
import type { PreviewRow } from '../../act/preview-rows';
import { CUSTOMER_TABLES, DOCUMENT_TABLES, HISTORY_TABLES, type OwnTables } from './own-tables';
import type { TableSeen } from '../../../tables/table-seen';
import { previewBankTable, type BankTableAsked } from './bank-tables';
import { openingSums, type OpeningSums } from '../../documents/queries/opening-balances';
import type { DocumentTablesAsked, TablesAsked } from './with-known-readings';
import { bankFilesWithin, type FileGiven } from '../../receipts/store/bank-files-within';
import { waitingReceipts } from '../../receipts/store/waiting-receipts';
import { customersTable, openItemsTable } from './tables';

const SHOWN = 300;
const MOST_FAULTS = 50;

/** What would become of the rows of tables: how many of each fate, and the first of them. */
export interface PreviewSummed {
	/** The first rows that can be taken. */
	readonly rows: readonly PreviewRow[];
	/** What is wrong with what is no row of a table. */
	readonly problems: readonly Problem[];
	readonly added: number;
	/** Customers that are there, of whom the table says something otherwise. */
	readonly changes: number;
	readonly same: number;
	/** Rows that cannot be taken; the others can be without them. */
	readonly refused: number;
	/** What stands for just those rows; empty where there are none. */
	readonly refusedKey: string;
	/** The first of what is wrong with them. */
	readonly faults: readonly Problem[];
	readonly refusedFiles: readonly RefusedFile[];
	/** What opening balances would come to. */
	readonly opening?: OpeningSums;
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
	'setting-up': lookAtSettingUp,
	'bank-files-within': (_: Db, given: FileGiven) => bankFilesWithin(given),
	'letters-run': lookAtRun,
	'letters-count': countRuns,
	'letters-chosen': lookAtChosen,
	'letters-calls': lookAtCalls,
	'letters-by-hand': lookAtByHand,
	interest: lookAtInterest,
	'interest-sheets': lookAtInterestSheets,
	'small-balances': lookAtSmallBalances,
	report: lookAtReport,
	'ageing-months': lookAtAgeingMonths,
	'report-file': lookAtReportFile,
	'open-items-table': openItemsTable,
	'customers-table': customersTable,
	'preview-bank-table': (db: Db, asked: BankTableAsked) => previewBankTable(db, asked),
	'preview-documents': async (db: Db, asked: DocumentTablesAsked): Promise<PreviewSummed> => {
		const { opening } = asked;
		const { shown, sifted } = await summed(db, DOCUMENT_TABLES, asked);
		if (!opening || shown.problems.length > 0) return shown;
		const fresh = sifted.rows.filter((_, i) => sifted.shown[i]!.fate === 'new');
		const sums = await openingSums(db, opening, fresh);
		return sums.ok ? { ...shown, opening: sums.value } : { ...shown, problems: sums.problems };
	},
	'preview-history': async (db: Db, asked: TablesAsked) => (await summed(db, HISTORY_TABLES, asked)).shown,
	'preview-customers': async (db: Db, asked: TablesAsked) => (await summed(db, CUSTOMER_TABLES, asked)).shown
} as const satisfies Record<string, (db: Db, input: never, viewer: Viewer) => Promise<unknown>>;

export type HeavyLook = keyof typeof HEAVY_LOOKS;
export type HeavyInput<N extends HeavyLook> = Parameters<(typeof HEAVY_LOOKS)[N]>[1];
export type HeavyOutput<N extends HeavyLook> = Awaited<ReturnType<(typeof HEAVY_LOOKS)[N]>>;

async function summed<A extends TablesAsked, T>(
	db: Db,
	tables: OwnTables<A, T>,
	asked: A
): Promise<{ readonly shown: PreviewSummed; readonly sifted: Sifted<T> }> {
	const read: TablesRead<T> = await tables.read(db, asked);
	const sifted = await siftRows(read, (rows) => tables.look(db, rows));
	const of = (fate: PreviewRow['fate']) => sifted.shown.filter((row) => row.fate === fate);
	const [added, changes, same] = [of('new'), of('changes'), of('same')];
	const shown: PreviewSummed = {
		...{ added: added.length, changes: changes.length, same: same.length },
		...{ refused: countRefused(sifted.refused), refusedKey: keyOfRefused(read, sifted.refused) },
		faults: sifted.refused.slice(0, MOST_FAULTS).map(({ problem }) => problem),
		refusedFiles: refusedFiles(read, sifted.refused),
		rows: [...changes, ...added, ...same].slice(0, SHOWN),
		tables: read.tables,
		problems: [...read.problems, ...sifted.problems].slice(0, MOST_FAULTS)
	};
	return { shown, sifted };
}
