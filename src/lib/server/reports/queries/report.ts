import { currencyOrder } from '../../../core/6-reports/currency-order';
import { sortRows, type RowOrder } from '../../../core/6-reports/sort-rows';
import { REPORT_IDS, type Report, type ReportField, type ReportId } from '../../../core/model/report';
import type { Problem } from '../../../core/problems';
import { defineLook } from '../../act/define-look';
import { ageEnds } from '../../firm/store/age-ends';
import { baseCurrencyOr } from '../../firm/store/settings';
import { AskedFields, type ReportParams } from '../store/asked-fields';
import { makeAgeing } from './ageing';
import { makeBalances } from './balances';
import { makeReceipts } from './receipts';
import { makeUnallocated } from './unallocated';
import type { ReportMaker } from './define-report';

/** Rows on a page of a screen. */
export const REPORT_PAGE = 200;

const MAKERS: Readonly<Record<ReportId, ReportMaker>> = {
	ageing: makeAgeing,
	balances: makeBalances,
	receipts: makeReceipts,
	unallocated: makeUnallocated
};

export interface ReportAsked {
	readonly id: ReportId;
	readonly params: ReportParams;
	/** By which column it is sorted; null for the report's own order. */
	readonly order: RowOrder | null;
	/** Null for all rows. */
	readonly page: number | null;
}

/** A report, or what keeps it from being made; with what was asked, as far as it could be read. */
export type ReportAnswer =
	| { readonly ok: true; readonly report: Report; readonly order: RowOrder }
	| { readonly ok: false; readonly problems: readonly Problem[]; readonly fields: readonly ReportField[] };

/** Makes a report: it reads the books and changes nothing. */
export const lookAtReport = defineLook(
	'reader',
	async (db, { id, params, order, page }: ReportAsked, { today }): Promise<ReportAnswer> => {
		const asked = new AskedFields(params, today);
		const base = await baseCurrencyOr(db, 'GBP');
		const made = await MAKERS[id](asked, { db, today, base, ends: await ageEnds(db) });
		if (!made.ok) return { ok: false, problems: made.problems, fields: asked.fields };
		const { columns, rows } = made.value;
		const currencies = currencyOrder(base);
		const sums = made.value.sums.toSorted((a, b) => currencies(a.currency, b.currency));
		const sorted = columns.some((column) => column.key === order?.by) ? order! : made.value.order;
		const all = sortRows(columns, rows, sorted, base);
		const from = (page ?? 0) * REPORT_PAGE;
		const report: Report = {
			...{ id, fields: asked.fields, columns, sums, count: all.length },
			rows: page === null ? all : all.slice(from, from + REPORT_PAGE)
		};
		return { ok: true, report, order: sorted };
	}
);

/** A report by its name; null where there is none. */
export const reportCalled = (name: string): ReportId | null => REPORT_IDS.find((one) => one === name) ?? null;
