import type { PastPayment } from '../../model/past-payment';
import { nameKey } from '../../text/name-key';

/** What payments are known by: the account that they came from, the name as printed, or what they say. */
export type PayerTrait = 'account' | 'name' | 'words';

/** How often payments that are known by something were allocated to a customer, and that still stands. */
export interface PayerLesson {
	readonly trait: PayerTrait;
	/** An account number, a name by its `nameKey`, or words by their `wordsKey`. */
	readonly key: string;
	readonly customerId: number;
	readonly times: number;
	/** Whether somebody said that it is theirs from then on. */
	readonly told: boolean;
}

/** Whose something is, as far as payments have taught. */
export interface TaughtPayer {
	readonly customerId: number;
	readonly times: number;
}

/** One payment may have been allocated wrongly: so many alike are a lesson. */
export const TIMES_TO_LEARN = 2;

/**
 * Reads lessons: whose an account, a name or words are. What paid for several customers, as a processor does, teaches nothing,
 * unless somebody said of just one of them that it is theirs.
 */
export function learnPayers(
	lessons: readonly PayerLesson[]
): (trait: PayerTrait, key: string) => TaughtPayer | null {
	const byKey = new Map<string, PayerLesson[]>();
	for (const lesson of lessons) {
		if (lesson.times <= 0) continue;
		const key = `${lesson.trait} ${lesson.key}`;
		const list = byKey.get(key);
		if (list) list.push(lesson);
		else byKey.set(key, [lesson]);
	}
	return (trait, key) => {
		const all = byKey.get(`${trait} ${key}`) ?? [];
		const told = all.filter((one) => one.told);
		const [only, ...others] = told.length > 0 ? told : all;
		return only && others.length === 0 ? { customerId: only.customerId, times: only.times } : null;
	};
}

/** The lessons of a history of payments; `ids` are the customers' by their codes. */
export function lessonsOfHistory(
	past: readonly PastPayment[],
	ids: ReadonlyMap<string, number>
): PayerLesson[] {
	const counts = new Map<string, { trait: PayerTrait; key: string; customerId: number; times: number }>();
	const add = (trait: PayerTrait, key: string | null, customerId: number) => {
		if (!key) return;
		const at = `${trait} ${key} ${customerId}`;
		const known = counts.get(at);
		if (known) known.times++;
		else counts.set(at, { trait, key, customerId, times: 1 });
	};
	for (const { customerCode, payerAccount, payerName } of past) {
		const customerId = ids.get(customerCode);
		if (customerId === undefined) continue;
		add('account', payerAccount, customerId);
		add('name', payerName && nameKey(payerName), customerId);
	}
	return [...counts.values()].map((one) => ({ ...one, told: false }));
}
