import { addDays } from '../lib/core/day/arithmetic';
import type { Day } from '../lib/core/day/day';
import type { DifferenceKind } from '../lib/core/model/records';
import { proportion } from '../lib/core/money/proportion';
import type { Owed } from './owed';
import type { Truth } from './place-receipts';
import type { Chance } from './random';

type TruthLine = Truth['lines'][number];

/** What of an item is not paid, and why: the discount that was offered, the bank's charge, a few pence. */
export function gapsOf(item: Owed, today: Day, chance: Chance): { kind: DifferenceKind; amount: number }[] {
	const { document } = item;
	if (item.open <= 0) return [];
	if (
		document.discountUntil &&
		today <= addDays(document.discountUntil, 2) &&
		item.open === document.instalments[0]!.amount
	)
		return [
			{ kind: 'settlement_discount', amount: proportion(item.open, document.discountBasisPoints!, 10_000) }
		];
	if (document.currency === 'EUR' && item.open > 5_000 && chance.yes(0.3))
		return [{ kind: 'bank_charge', amount: chance.pick([750, 1200, 1500]) }];
	if (item.open > 3_000 && chance.yes(0.006))
		return [{ kind: 'small_difference', amount: chance.int(1, 40) }];
	return [];
}

/** Now and then goods arrive broken, and the customer pays so much less. */
export function claimed(line: TruthLine, today: Day, odd: Chance): TruthLine {
	if (line.cash < 12_000 || line.differences.length > 0 || !odd.yes(0.006)) return line;
	const amount = odd.int(4, 60) * 100;
	const [reason, note] = odd.pick([
		['damaged', 'two bags wet on arrival'],
		['missing', 'one box short'],
		['price', 'charged at the old price'],
		['damaged', 'shelves cracked']
	] as const);
	const deadline = addDays(today, 14);
	return {
		...line,
		differences: [{ kind: 'claim', amount }],
		claim: { reason, note, deadline, owner: 'Wren Tolliver' }
	};
}
