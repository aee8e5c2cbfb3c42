import type { Day } from '../../../core/day/day';
import type { RowOrder } from '../../../core/6-reports/sort-rows';
import type { Report } from '../../../core/model/report';
import type { Result } from '../../../core/result';
import type { Db } from '../../platform/db/open';
import type { AskedFields } from '../store/asked-fields';

/** What a report is made with. */
export interface ReportContext {
	readonly db: Db;
	readonly today: Day;
	/** The firm's base currency. */
	readonly base: string;
	/** The days at which the firm's ageing buckets end. */
	readonly ends: readonly number[];
}

/** What a report comes to, before its rows are put in order. */
export type ReportMade = Pick<Report, 'columns' | 'rows' | 'sums'> & { readonly order: RowOrder };

/** Reads what is asked and makes the report of it; problems where it cannot be read, or not be made. */
export type ReportMaker = (asked: AskedFields, context: ReportContext) => Promise<Result<ReportMade>>;
