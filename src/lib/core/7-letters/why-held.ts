import type { LetterWay, StatementWay } from '../model/customer-details';
import type { Minor } from '../money/minor';
import type { LetterKind } from './letter';

/** Why a letter had better not go now, the weightiest first; a person may overrule all but what makes it impossible. */
export const HELD_REASONS = [
	...(['nothing-owed', 'no-address', 'money-waiting', 'paused'] as const),
	...(['promised', 'cheque-covers', 'to-call', 'no-step', 'credit-covers', 'in-credit'] as const),
	...(['disputed', 'too-small', 'step-missed'] as const),
	...(['wants-none', 'sent-today'] as const)
] as const;
export type HeldReason = (typeof HELD_REASONS)[number];

/** Reasons that nobody can overrule. */
export const isImpossible = (reason: HeldReason): boolean =>
	reason === 'nothing-owed' || reason === 'no-address';

/** How an account stands, as far as it decides whether a letter goes. */
export interface LetterStanding {
	/** What its open items come to, credit notes taken off. */
	readonly owed: Minor;
	/** What of it is past due. */
	readonly late: Minor;
	/** What a reminder would ask for before credits are taken off: what is late, or what falls due soon. */
	readonly asked: Minor;
	/** Money on account and in credit notes. */
	readonly credit: Minor;
	/** What of it lies on account. */
	readonly onAccount: Minor;
	/** What of it is in dispute. */
	readonly disputed: Minor;
	/** What stands in the books for its period, where the letter shows one: it may be worth sending though nothing is owed. */
	readonly hasMovements: boolean;
	/** Receipts of theirs wait to be allocated. */
	readonly moneyWaits: boolean;
	readonly paused: boolean;
	readonly way: StatementWay;
	readonly hasEmail: boolean;
	readonly hasAddress: boolean;
	readonly sentToday: boolean;
	/** Whether a letter that is out of date is to be replaced. */
	readonly corrects: boolean;
	/** Where it stands on its ladder; null for letters that are no step of one. */
	readonly chase: ChaseStanding | null;
}

/** Where an account stands on its ladder, as far as it decides whether a reminder goes. */
export interface ChaseStanding {
	/** How its step goes; null where that is as the customer is reached best. */
	readonly way: LetterWay | null;
	/** Whether it reaches a step by letter today. */
	readonly reaches: boolean;
	/** Whether it would but for a promise, or for a cheque that is dated later. */
	readonly isPromised: boolean;
	readonly isCovered: boolean;
	/** Whether its next step is a call, and that is today. */
	readonly isToBeCalled: boolean;
	/** Whether it owes less than the step asks for. */
	readonly isSmall: boolean;
	/** Whether the step should have been taken long ago. */
	readonly isMissed: boolean;
}

/** Why a letter of a kind is held; null where nothing stands against it. @param inCredit what the firm does with customers in credit */
export function whyHeld(
	kind: LetterKind,
	standing: LetterStanding,
	inCredit: 'send' | 'hold'
): HeldReason | null {
	const { owed, late, credit, onAccount, disputed } = standing;
	const balance = owed - onAccount;
	const isReminder = kind === 'reminder';
	const way = standing.chase?.way ?? wayOf(kind, standing);
	const reached =
		(way !== 'paper' && standing.hasEmail) || (way !== 'mail' && standing.hasAddress) ? null : 'no-address';
	if (kind === 'copies' || kind === 'thanks' || kind === 'interest') return reached;
	if (
		isReminder ? late <= 0 && !standing.chase?.reaches : owed === 0 && credit === 0 && !standing.hasMovements
	)
		return 'nothing-owed';
	if (reached) return reached;
	if (standing.moneyWaits) return 'money-waiting';
	if (isReminder && standing.paused) return 'paused';
	const noStep = standing.chase && whyNoStep(standing.chase);
	if (noStep) return noStep;
	if (isReminder && standing.asked - credit <= 0) return 'credit-covers';
	if (!isReminder && balance < 0 && inCredit === 'hold') return 'in-credit';
	if (owed > 0 && disputed >= owed) return 'disputed';
	if (standing.chase?.isSmall) return 'too-small';
	if (standing.chase?.isMissed) return 'step-missed';
	if (kind === 'statement' && standing.way === 'none') return 'wants-none';
	return standing.sentToday && !standing.corrects ? 'sent-today' : null;
}

function whyNoStep(chase: ChaseStanding): HeldReason | null {
	if (chase.reaches) return null;
	if (chase.isPromised) return 'promised';
	if (chase.isCovered) return 'cheque-covers';
	return chase.isToBeCalled ? 'to-call' : 'no-step';
}

/** How a letter goes: statements as the customer wants them; others by mail, or on paper where there is no address for mail. */
export function wayOf(
	kind: LetterKind,
	{ way, hasEmail, hasAddress }: Pick<LetterStanding, 'way' | 'hasEmail' | 'hasAddress'>
): LetterWay {
	if (kind === 'statement' && way !== 'none') return way;
	return !hasEmail && hasAddress ? 'paper' : 'mail';
}
