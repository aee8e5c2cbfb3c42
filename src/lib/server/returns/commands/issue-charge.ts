import type { Day } from '../../../core/day/day';
import { minor, ZERO } from '../../../core/money/minor';
import { shortDay } from '../../../words';
import { nextNumber } from '../../documents/store/next-number';
import { issue } from '../../documents/commands/issue-documents';
import { type ActContext } from '../../act/define-act';

/** The charge for a returned payment, a document of its own, due at once. Returns the document's id. */
export async function issueCharge(
	ctx: ActContext,
	of: {
		readonly customerId: number;
		readonly currency: string;
		readonly date: Day;
		readonly charge: number;
		readonly paidOn: string;
	}
): Promise<number> {
	const net = minor(of.charge);
	const { documentIds } = await issue(ctx, [
		{
			...{ kind: 'charge', number: await nextNumber(ctx.tx, 'charge'), customerId: of.customerId },
			...{
				issued: of.date,
				currency: of.currency,
				text: `charge for the payment of ${shortDay(of.paidOn)}, returned`
			},
			lines: [
				{
					text: `Charge for your payment of ${shortDay(of.paidOn)}, returned`,
					net,
					taxBasisPoints: 0,
					tax: ZERO
				}
			],
			instalments: [{ due: of.date, amount: net }],
			...{ purchaseOrder: null, orderReference: null, paymentReference: null },
			...{ discountBasisPoints: null, discountUntil: null }
		}
	]);
	return documentIds[0]!;
}
