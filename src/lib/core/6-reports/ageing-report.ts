import type { AgeBucket } from '../model/aged';
import type { Report, ReportColumn, ReportRow } from '../model/report';
import type { Minor } from '../money/minor';
import { column } from './report-column';
import { sumRows } from './sum-rows';

/** What one account, group or tag had open at the end of a day, in one currency, minor units. */
export interface AgedGroup {
	/** Tells the groups apart. */
	readonly key: string;
	/** The account's code; null for a tag. */
	readonly account: string | null;
	readonly customerId: number | null;
	readonly name: string;
	readonly currency: string;
	/** Credits that stand apart: nothing, or negative. */
	readonly credit: number;
	/** By bucket. */
	readonly sums: readonly number[];
}

export interface AgeingAsked {
	readonly by: 'customer' | 'parent' | 'tag';
	readonly since: 'due' | 'issued';
	readonly credit: 'apart' | 'within';
	readonly buckets: readonly AgeBucket[];
}

/**
 * The ageing summed up: a row for each group and currency, its buckets and what they come to.
 * @param inBase turns amounts into base currency at the rate of that day, and what that is; null where each stays in its own. Every figure of a
 * row is turned for itself and the balance is their sum, so that rows add up across and down.
 */
export function ageingReport(
	groups: readonly AgedGroup[],
	{ by, since, credit, buckets }: AgeingAsked,
	inBase: {
		readonly currency: string;
		readonly convert: (amount: number, currency: string) => Minor;
	} | null = null
): Pick<Report, 'columns' | 'rows' | 'sums'> {
	const columns: ReportColumn[] = [
		...(by === 'tag' ? [column('tag')] : [column('account'), column('customer')]),
		column('currency'),
		...buckets.map((bucket, n): ReportColumn => ({
			...{ key: `bucket-${n}`, kind: 'money' },
			heading: { code: 'bucket', bucket, since }
		})),
		...(credit === 'apart' ? [column('credit', 'money')] : []),
		column('balance', 'money')
	];
	const rows = new Map<string, { group: AgedGroup; currency: string; figures: number[] }>();
	for (const group of groups) {
		const currency = inBase?.currency ?? group.currency;
		const figures = [...group.sums, ...(credit === 'apart' ? [group.credit] : [])].map((sum) =>
			inBase ? inBase.convert(sum, group.currency) : sum
		);
		const id = `${group.key} ${currency}`;
		const before = rows.get(id);
		if (before) for (const [n, figure] of figures.entries()) before.figures[n]! += figure;
		else rows.set(id, { group, currency, figures });
	}
	const all = [...rows].map(([id, { group, currency, figures }]): ReportRow => ({
		...{ id, currency, ...whose(group) },
		cells: [
			...(by === 'tag' ? [group.name] : [group.account, group.name]),
			currency,
			...figures,
			figures.reduce((sum, figure) => sum + figure, 0)
		]
	}));
	return { columns, rows: all, sums: sumRows(columns, all) };
}

/** The account that a row is about; none for a tag. */
function whose({ account, customerId }: AgedGroup): Pick<ReportRow, 'account' | 'customerId'> {
	return account === null || customerId === null ? {} : { account, customerId };
}
