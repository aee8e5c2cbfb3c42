import type { Day } from '../day/day';
import { sumOf } from '../money/add';
import { minor, type Minor } from '../money/minor';
import { proportion } from '../money/proportion';
import { apportion } from '../money/apportion';
import type { TermsFrom, TermsPart } from '../model/customer-details';
import { dueDay } from './due-day';
import type { DocumentLine } from './document-row';

export interface DrawnUp {
	readonly lines: readonly DocumentLine[];
	readonly net: Minor;
	readonly tax: Minor;
	readonly total: Minor;
	readonly instalments: readonly { readonly due: Day; readonly amount: Minor }[];
}

/**
 * Works a document out from its net amounts: the tax of each line by the firm's one rounding (half away from zero), the total,
 * and the instalments by their shares, which add up to it (largest remainder). Shares that do not come to the whole are the
 * caller's to refuse: they are weighed against each other here.
 */
export function drawUp(
	lines: readonly { readonly text: string; readonly net: Minor; readonly taxBasisPoints: number }[],
	issued: Day,
	shares: readonly TermsPart[],
	from: TermsFrom = 'issue'
): DrawnUp {
	const taxed = lines.map((line) => ({ ...line, tax: proportion(line.net, line.taxBasisPoints, 10_000) }));
	const net = sumOf(taxed, (line) => line.net);
	const tax = sumOf(taxed, (line) => line.tax);
	const total = minor(net + tax);
	const amounts = apportion(
		total,
		shares.map((one) => one.basisPoints)
	);
	return {
		...{ lines: taxed, net, tax, total },
		instalments: shares.map((one, i) => ({ due: dueDay(issued, one.days, from), amount: amounts[i]! }))
	};
}
