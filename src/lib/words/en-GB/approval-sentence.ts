import type { LimitedKind, LimitScope } from '../../core/4-allocation/over-limits';
import type { ApprovalAbout, LimitChange, Sum } from '../../core/model/act-facts';
import { count, list, money, shortDay } from './format';
import { inBrackets, named, sums, whom } from './phrases';
import { CREDIT_NOTE_NAMES, reductionName, SCOPE_NAMES } from './reduction-names';

/**
 * What a supervisor is asked for, in words that follow "asks to".
 * @param most things that are named one by one
 */
export function approvalSentence(about: ApprovalAbout, most?: number): string {
	switch (about.code) {
		case 'text':
			return about.text;
		case 'write-off-claims':
			return `write off ${list(about.sums.map((one) => `${money(one.amount, one.currency)} of ${one.number}`))}${inBrackets(about.note)}`;
		case 'write-off':
			return `write off ${sums(about.sums)} of ${about.number ?? count(about.documents, 'document')}${inBrackets(about.note)}`;
		case 'decide-claims': {
			const of = (part: readonly (Sum & { readonly number: string })[]) =>
				list(
					part.map((one) => `${money(one.amount, one.currency)} of ${one.number}`),
					most
				);
			const parts = [
				about.allowed.length ? `allow ${of(about.allowed)}` : '',
				about.billedBack?.length ? `bill back ${of(about.billedBack)}` : '',
				about.writtenOff.length ? `write off ${of(about.writtenOff)}` : ''
			];
			return `${list(parts.filter(Boolean))}${inBrackets(about.note)}`;
		}
		case 'credit':
			return `credit ${about.customer} with ${money(about.sum.amount, about.sum.currency)} by ${about.number} (${CREDIT_NOTE_NAMES[about.of]})`;
		case 'bring-in-credits':
			return `bring in ${count(about.count, 'credit note')} of ${sums(about.sums)}`;
		case 'set-aside':
			return `book ${money(about.sum.amount, about.sum.currency)} from ${named(about.payer)} on ${about.account}, as no customer’s money`;
		case 'refund-file':
			return `pay back from ${about.from}: ${list(
				about.refunds.map(
					(one) => `${money(one.amount, one.currency)} to ${one.payee}, account ${one.account}`
				),
				most
			)}`;
		case 'add-bank-account':
			return `add the firm’s account ${about.name}, ${about.number} at ${about.bank} (${about.currency})`;
		case 'set-limits':
			return about.changes.length
				? `change limits: ${list(
						about.changes.map((one) => limitChange(one, about.baseCurrency)),
						most
					)}`
				: 'keep the limits as they are';
		case 'add-person':
			return `let ${about.name} (${about.email}) in as a ${about.role}`;
		case 'change-role':
			return about.role === 'none'
				? `shut ${about.name} out`
				: about.before === 'none'
					? `let ${about.name} in again as a ${about.role}`
					: `make ${about.name}, a ${about.before} so far, a ${about.role}`;
		case 'make-sign-in-code':
			return `make a code by which ${about.name} (${about.email}) sets a new password`;
		case 'take-off-second-factors':
			return `take the second step off the sign-in of ${about.name} (${about.email})`;
		case 'demand-second-factor':
			return `have signing in take a second step for ${whom(about.roles)}`;
		case 'unlock-period':
			return `open the books again from ${shortDay(about.from)}${inBrackets(about.reason)}`;
		case 'set-bank-files':
			return {
				anybody: 'have bank files brought in by anybody',
				confirmed: 'have bank files confirmed by a second person',
				folder: 'have bank files taken from the watched folder alone'
			}[about.from];
		case 'set-auditor':
			return about.email
				? `send anchors of the books to ${about.email}`
				: 'send anchors of the books to nobody';
		case 'set-letters':
			return about.payLink
				? `have letters paid at ${about.payLink}`
				: 'have letters name no page where they can be paid';
		case 'set-mail-server':
			return about.host
				? `have all mail go through ${about.host}${about.user ? ` as ${about.user}` : ''}, codes to set a password among it`
				: 'have mail go through no server of the settings';
		case 'allocate-credits':
			return `settle items of ${about.customer} without money (${about.currency})`;
		case 'allocate':
			return `post ${money(about.sum.amount, about.sum.currency)} from ${named(about.payer)} to ${about.customer}`;
	}
}

function limitChange({ whose, scope, kind, before, after }: LimitChange, currency: string): string {
	const sum = (limit: number | null) => (limit === null ? 'none' : money(limit, currency));
	const what = reductionName(kind as LimitedKind | 'all');
	if (whose === null) return `the most of a ${what} from ${sum(before)} to ${sum(after)}`;
	const within = SCOPE_NAMES[scope as LimitScope].toLowerCase();
	return `${whose}, ${what} ${within}, from ${sum(before)} to ${sum(after)}`;
}
