import { day } from '../day/day';
import { minor } from '../money/minor';
import type { OpenItem } from './records';

/** An open invoice for tests: AK-40001 for id 1, of customer 1, in pounds, due on 1 October 2026; `over` changes any of it. */
export function sampleItem(id: number, open: number, over: Partial<OpenItem> = {}): OpenItem {
	return {
		id,
		documentId: id,
		number: `AK-${40000 + id}`,
		kind: 'invoice',
		customerId: 1,
		currency: 'GBP',
		issued: day('2026-09-01'),
		due: day('2026-10-01'),
		total: minor(open),
		open: minor(open),
		openBase: minor(open),
		part: 1,
		parts: 1,
		purchaseOrder: null,
		orderReference: null,
		paymentReference: null,
		text: '',
		discountBasisPoints: null,
		discountUntil: null,
		version: 1,
		...over
	};
}
