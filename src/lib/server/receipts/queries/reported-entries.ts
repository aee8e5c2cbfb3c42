import { sql } from 'drizzle-orm';
import { addDays } from '../../../core/day/arithmetic';
import type { Day } from '../../../core/day/day';
import type { EntryDetail } from '../../../core/model/bank';
import type { Minor } from '../../../core/money/minor';
import type { ReportFormat } from '../../../core/1-bank-files/read-statement';
import { defineLook } from '../../act/define-look';
import { COVERED_TO, countReported, REPORTED_DAYS, waitsForStatement } from '../store/count-reported';

/** So many are shown, the newest; what a bank reported and never booked is looked into one by one. */
const MOST_SHOWN = 2_000;

interface Row {
	readonly id: number;
	readonly booked: Day;
	readonly amount: Minor;
	readonly currency: string;
	readonly format: ReportFormat;
	readonly account: string;
	readonly text: string;
	readonly details: string;
	readonly file: string;
	readonly at: string;
	/** The last day that statements of its account cover; null where there is none. */
	readonly coveredTo: Day | null;
}

/**
 * What the bank reported and no statement lists yet, the newest first, of the last months or all of it. What statements of its day leave out is marked: the bank may have
 * taken it back.
 */
export const lookAtReported = defineLook(
	'reader',
	async (db, { older }: { readonly older: boolean }, { today }) => {
		const from = older ? null : addDays(today, -REPORTED_DAYS);
		const rows = await db.all<Row>(sql`
		select r.id, r.booked, r.amount, r.currency, r.format, b.name as account, r.text, r.details, f.name as file, a.at,
			${COVERED_TO} as "coveredTo"
		from reported_entry r
		join bank_account b on b.id = r.bank_account_id
		join bank_file f on f.id = r.file_id
		join act a on a.id = f.act_id
		where ${waitsForStatement(from)}
		order by r.booked desc, r.id desc limit ${MOST_SHOWN + 1}`);
		return {
			older,
			days: REPORTED_DAYS,
			/** Whether there are more than are shown. */
			more: rows.length > MOST_SHOWN,
			rows: rows.slice(0, MOST_SHOWN).map(({ details: json, ...row }) => {
				const details = JSON.parse(json) as EntryDetail[];
				const names = [...new Set(details.flatMap((one) => one.counterpartyName ?? []))];
				return {
					...row,
					payments: Math.max(1, details.length),
					payer: names.length === 1 ? names[0]! : null,
					text: [...new Set([...details.map((one) => one.text), row.text])]
						.filter(Boolean)
						.join(' ')
						.slice(0, 300),
					leftOut: row.coveredTo !== null && row.coveredTo > row.booked
				};
			})
		};
	}
);

/** How many there are, for the foot of the pile. */
export const countReportedEntries = defineLook('reader', (db, _: null, { today }) =>
	countReported(db, today)
);
