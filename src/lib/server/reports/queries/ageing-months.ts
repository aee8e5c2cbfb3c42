import { append } from '../../../core/append';
import { addMonths, lastOfMonth } from '../../../core/day/arithmetic';
import type { Day } from '../../../core/day/day';
import type { AgeBucket } from '../../../core/model/aged';
import type { Problem } from '../../../core/problems';
import { defineLook } from '../../act/define-look';
import { ageEnds } from '../../firm/store/age-ends';
import { baseCurrencyOr } from '../../firm/store/settings';
import { agedOn } from '../store/aged-on';
import { AskedFields, type ReportParams } from '../store/asked-fields';
import { baseOn } from '../store/base-on';
import { reportAccounts } from '../store/report-accounts';
import { readAgeing } from './ageing';

const MONTHS = 12;

/** How old what was owed was, month by month, in base currency at the rates of each month's last day. */
export interface AgeingMonths {
	readonly base: string;
	readonly buckets: readonly AgeBucket[];
	/** The oldest first; the last is the day that was asked for. Minor units, by bucket; what stands apart as credit is not in them. */
	readonly months: readonly { readonly day: Day; readonly sums: readonly number[] }[];
	/** What keeps a month from being shown: a currency that has no rate by then. */
	readonly problems: readonly Problem[];
}

/** Twelve months of an ageing, each as of its last day; null where what is asked cannot be read. */
export const lookAtAgeingMonths = defineLook(
	'reader',
	async (db, { params }: { readonly params: ReportParams }, { today }): Promise<AgeingMonths | null> => {
		const asked = new AskedFields(params, today);
		const base = await baseCurrencyOr(db, 'GBP');
		const given = await readAgeing(asked, { db, today, base, ends: await ageEnds(db) });
		if (asked.problems.length > 0) return null;
		const { customer, parent, tag, buckets, asOf } = given;
		const only = { customer: customer?.id ?? null, parent: parent?.id ?? null, tag };
		const accounts = await reportAccounts(db, only);
		const days = Array.from({ length: MONTHS }, (_, n) => lastOfMonth(addMonths(asOf, n - MONTHS + 1)));
		const months: { day: Day; sums: number[] }[] = [];
		const problems: Problem[] = [];
		for (const day of [...days.slice(0, -1), asOf]) {
			const aged = (await agedOn(db, { ...given, asOf: day, customerId: only.customer })).filter((row) =>
				accounts.has(row.customerId)
			);
			const currencies = aged.map((row) => row.currency);
			const inBase = await baseOn(db, base, currencies, day);
			if (!inBase.ok) append(problems, inBase.problems);
			else
				months.push({
					day,
					// Each currency as a whole is turned at the rate of the day.
					sums: buckets.map((_, n) =>
						[...new Set(currencies)].reduce((all, currency) => {
							const own = aged.filter((row) => row.currency === currency);
							return (
								all +
								inBase.convert(
									own.reduce((sum, row) => sum + row.sums[n]!, 0),
									currency
								)
							);
						}, 0)
					)
				});
		}
		return { base, buckets, months, problems };
	}
);
