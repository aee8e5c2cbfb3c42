import type { StatementFault } from '../../server/receipts/store/statement-faults';
import { money, shortDay } from './format';

/** Says why a statement does not go on from the one before, and what to do. */
export function statementFaultSentence(fault: StatementFault): string {
	const { reference, account, currency } = fault;
	const [want, found] = [money(fault.want, currency), money(fault.found, currency)];
	switch (fault.code) {
		case 'gap': {
			const days = fault.from && fault.to ? ` between ${shortDay(fault.from)} and ${shortDay(fault.to)}` : '';
			return `Statement ${reference} of ${account} begins with ${found}, but the last that fits ended with ${want}: a statement${days} is missing, or this one is not the bank's. What it brought is not certain until they agree.`;
		}
		case 'overlap-differs':
			return `Statement ${reference} of ${account} covers days that are in the books already, with other entries: it ends with ${found} instead of ${want}. What it brought is not certain until they agree.`;
		case 'first-opening':
			return `Statement ${reference} of ${account} begins with ${found}, but ${want} was agreed when the books began. What it brought is not certain until they agree.`;
		case 'no-balances':
			return `Statement ${reference} of ${account} has no balances, though the others have: nothing can be compared. What it brought is not certain.`;
		default:
			return fault.code satisfies never;
	}
}
