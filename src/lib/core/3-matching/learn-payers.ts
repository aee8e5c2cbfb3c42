import type { PastPayment } from '../model/past-payment';
import type { Customer } from '../model/records';
import { nameKey } from './name-key';

/** One payment may have been placed wrongly; so many for one customer, and none for another, are a lesson. */
const LESSON = 2;

/**
 * The customers with what earlier payments teach: accounts and names that paid for just one of them, twice or more. A payer of
 * several customers, as a processor is, teaches nothing; nor does a single payment, which may have been a mistake.
 */
export function learnPayers(customers: readonly Customer[], past: readonly PastPayment[]): Customer[] {
	const accounts = paidFor(past, (one) => one.payerAccount);
	const names = paidFor(past, (one) => one.payerName && nameKey(one.payerName));
	const spelled = new Map(
		past.flatMap((one) => (one.payerName ? [[nameKey(one.payerName), one.payerName]] : []))
	);
	return customers.map((customer) => {
		const known = new Set([customer.name, ...customer.otherNames].map(nameKey));
		const moreNames = (names.get(customer.code) ?? []).filter((key) => !known.has(key));
		const moreAccounts = (accounts.get(customer.code) ?? []).filter(
			(account) => !customer.payerAccounts.includes(account)
		);
		if (moreNames.length === 0 && moreAccounts.length === 0) return customer;
		return {
			...customer,
			otherNames: [...customer.otherNames, ...moreNames.map((key) => spelled.get(key)!)],
			payerAccounts: [...customer.payerAccounts, ...moreAccounts]
		};
	});
}

/** By customer code, what paid for it alone, twice or more. */
function paidFor(
	past: readonly PastPayment[],
	keyOf: (one: PastPayment) => string | null
): ReadonlyMap<string, readonly string[]> {
	const seen = new Map<string, { code: string | null; times: number }>();
	for (const one of past) {
		const key = keyOf(one);
		if (!key) continue;
		const before = seen.get(key);
		if (!before) seen.set(key, { code: one.customerCode, times: 1 });
		else if (before.code !== one.customerCode) seen.set(key, { code: null, times: 0 });
		else before.times++;
	}
	const found = new Map<string, string[]>();
	for (const [key, { code, times }] of seen)
		if (code !== null && times >= LESSON) found.set(code, [...(found.get(code) ?? []), key]);
	return found;
}
