import { addDays } from '../lib/core/day/arithmetic';
import type { Day } from '../lib/core/day/day';
import { issueByHand } from '../lib/server/documents/commands/issue-by-hand';
import { perform } from '../lib/server/act/perform';
import type { CallContext } from '../lib/server/act/define-act';
import type { Books } from '../lib/server/platform/db/open';

/** The order of the demo for which a deposit came. */
export const DEPOSIT_ORDER = 'CK-118';

/** The invoice for the order whose deposit lies on account: applying it is proposed from now on. */
export async function invoiceForDeposit(
	books: Books,
	at: CallContext,
	customerId: number,
	today: Day
): Promise<void> {
	const result = await perform(
		books,
		issueByHand,
		{
			...{ kind: 'invoice', customerId, number: 'AK-60118', issued: addDays(today, -1) },
			lines: [{ text: 'kiln, built to order', net: 240_000, taxBasisPoints: 2000 }],
			shares: [{ basisPoints: 10_000, days: 30 }],
			discount: null,
			...{ purchaseOrder: null, orderReference: DEPOSIT_ORDER, paymentReference: null }
		},
		at
	);
	if (!result.ok) throw new Error(`the demo books were refused: ${JSON.stringify(result.problems)}`);
}
