import type { ReportColumn, ReportRow } from '../model/report';

/**
 * What rows come to, one row for each currency: amounts are added up, and all else is empty.
 */
export function sumRows(columns: readonly ReportColumn[], rows: readonly ReportRow[]): ReportRow[] {
	const sums = new Map<string, number[]>();
	const isSummed = columns.map(({ kind }) => kind === 'money');
	for (const { currency, cells } of rows) {
		let sum = sums.get(currency);
		if (!sum) sums.set(currency, (sum = columns.map(() => 0)));
		for (const [n, cell] of cells.entries()) if (isSummed[n] && typeof cell === 'number') sum[n]! += cell;
	}
	return [...sums].map(([currency, sum]) => ({
		...{ id: `sum ${currency}`, currency },
		cells: columns.map(({ key }, n) => (key === 'currency' ? currency : isSummed[n] ? sum[n]! : null))
	}));
}
