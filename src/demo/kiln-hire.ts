import { addDays } from '../lib/core/day/arithmetic';
import type { Day } from '../lib/core/day/day';
import { minor, ZERO } from '../lib/core/money/minor';
import type { NewDocument } from '../lib/server/documents/commands/issue-documents';

/** What the hire of the kiln is for a month, in pence. */
export const HIRE = minor(6_000);

/** The month's invoice to a club that hires the kiln. */
export function kilnHire(number: string, customerId: number, issued: Day): NewDocument {
	return {
		...{ kind: 'invoice', number, customerId, issued, currency: 'GBP', text: 'kiln hire' },
		lines: [{ text: 'kiln hire', net: HIRE, taxBasisPoints: 0, tax: ZERO }],
		instalments: [{ due: addDays(issued, 14), amount: HIRE }],
		...{ purchaseOrder: null, orderReference: null, paymentReference: null },
		...{ discountBasisPoints: null, discountUntil: null }
	};
}
