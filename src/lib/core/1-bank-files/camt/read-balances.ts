import type { StatementBalances } from '../../model/bank';
import { minor, type Minor } from '../../money/minor';
import type { Day } from '../../day/day';
import type { Problem } from '../../problems';
import { at, textAt, type Node } from './node';
import { readAmount, readSign, type Place } from './read-amount';
import { readDay } from './read-day';

/**
 * Picks opening and closing booked balance from a statement's `Bal` parts: `OPBD`, else `PRCD` (previous closing), else the
 * first `ITBD` opens; `CLBD`, else the last `ITBD` closes (the pages of a long statement carry interim balances). The
 * balance date stands as written.
 */
export function readBalances(nodes: readonly Node[], place: Place, problems: Problem[]): StatementBalances {
	const found: { type: string; value: Minor; on: Day | null }[] = [];
	for (const node of nodes) {
		const type = textAt(node, 'Tp/CdOrPrtry/Cd', 'Tp/Cd');
		if (!type || !['OPBD', 'PRCD', 'CLBD', 'ITBD'].includes(type)) continue;
		const amount = readAmount(at(node, 'Amt'), `Bal ${type}`, place, problems);
		const sign = readSign(node, `Bal ${type}`, place, problems);
		const on = readDay(node, 'Dt', false, place, problems);
		if (amount && sign) found.push({ type, value: minor(sign * amount.value), on });
	}
	const interim = found.filter((balance) => balance.type === 'ITBD');
	const named = (type: string) => found.find((balance) => balance.type === type);
	const opening = named('OPBD') ?? named('PRCD') ?? interim[0];
	const closing =
		named('CLBD') ?? (interim.length > 1 || named('OPBD') || named('PRCD') ? interim.at(-1) : undefined);
	return {
		opening: opening?.value ?? null,
		openingOn: opening?.on ?? null,
		closing: closing?.value ?? null,
		closingOn: closing?.on ?? null
	};
}
