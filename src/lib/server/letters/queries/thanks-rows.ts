import { compareText } from '../../../core/compare-text';
import { THANKS_STEP } from '../../../core/7-letters/chasing/to-thank';
import type { Day } from '../../../core/day/day';
import { minor, ZERO } from '../../../core/money/minor';
import type { Reader } from '../../platform/db/open';
import { letterOwners } from '../store/letter-standings';
import { reachOf } from '../store/reach-of';
import { thanksDue } from '../store/thanks-due';

/** Every account that is thanked today, the greatest sums first: `owed` is what it paid, and there is nothing to ask for. */
export async function thanksRows(
	db: Reader,
	today: Day,
	{
		only,
		underWay
	}: { readonly only?: readonly number[] | undefined; readonly underWay: ReadonlySet<string> }
) {
	const due = await thanksDue(db, today, only);
	const owners = new Map(
		(await letterOwners(db, [...new Set(due.map((one) => one.customerId))])).map((row) => [row.id, row])
	);
	const rows = due.flatMap(({ customerId, currency, step, items }) => {
		const owner = owners.get(customerId);
		if (!owner) return [];
		const { to: email, copies, way, isReached } = reachOf(owner, 'thanks');
		const name = 'Thank-you letter';
		return [
			{
				...{ customerId, code: owner.code, name: owner.name, currency, way, email, copies },
				...{ amount: ZERO, late: ZERO, credit: ZERO },
				owed: minor(items.reduce((sum, one) => sum + one.total, 0)),
				held: isReached ? null : ('no-address' as const),
				...{ because: null, lastSent: null, corrects: null, nextStep: null },
				isUnderWay: underWay.has(`${customerId} ${currency}`),
				step: {
					...{ name, items: items.length },
					details: {
						...{ wording: step.wording, about: items.map((one) => one.id) },
						step: {
							...{ name, next: null },
							items: items.map(({ id }) => ({ id, step: THANKS_STEP, name, effect: 'nothing' as const }))
						}
					}
				}
			}
		];
	});
	return rows.sort((a, b) => b.owed - a.owed || compareText(a.code, b.code));
}
