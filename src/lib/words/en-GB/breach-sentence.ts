import type { Breach, RecordFault } from '../../core/5-journal/proof/facts';
import { amount } from './format';

const FAULTS: Readonly<Record<RecordFault, string>> = {
	changed: 'is not as it was written',
	missing: 'was written and is gone',
	added: 'was not written by Odd Penny',
	foreign: 'was changed by something else than Odd Penny',
	unsealed: 'was changed by something else than Odd Penny, and nothing was written since',
	unguarded: 'is not guarded against changes any more',
	signature: 'is not signed with the key of these books',
	'cut-off': 'says of more than is here: what came last was cut off',
	'made-anew': 'says of other records than are here: they were replaced'
};

/** What of the books does not hold, as a sentence. */
export function breachSentence(breach: Breach): string {
	if ('fault' in breach) return `${breach.about} ${FAULTS[breach.fault]}`;
	const { about, found, want, currency } = breach;
	if (currency === '') return `${about}: ${found} instead of ${want}`;
	return `${about}: ${amount(found, currency)} instead of ${amount(want, currency)} ${currency}`;
}
