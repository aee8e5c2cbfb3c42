import type { ReceiptFacts } from '../../model/records';
import type { Reason } from '../answer';
import { fullName, spelledName } from './full-name';
import { namesBeginning } from './names-beginning';
import { namesInWords } from './names-in-words';
import { nameKey } from '../../text/name-key';
import { partsOfName } from './parts-of-name';
import { TIMES_TO_LEARN } from './payer-lessons';
import { wordsKey } from '../../text/words-key';
import type { MatchIndex } from '../match-index';

export interface Payer {
	/** Accounts that this payer stands for, by evidence; several where a name or number is shared. */
	readonly customerIds: readonly number[];
	/**
	 * `part`: the name as the bank cut it off, which only one customer's begins with, one that is written nearly as only one
	 * customer's, or one without the legal form that tells it from another. `once`: a single payment like it was allocated to the customer
	 * before, and may have been allocated wrongly. `words`: nobody knows who pays, but the words name a customer, or several of one
	 * name, or are what payments of one customer said before.
	 */
	readonly by: 'account' | 'name' | 'part' | 'once' | 'words' | 'nothing';
	readonly reasons: readonly Reason[];
}

/**
 * Who pays: by the account number, else by name exactly (as names are compared; a legal form tells two of one name apart), else
 * by what payments like it have taught, else by a name that was cut off or is nearly one of ours, else by a customer whose name
 * stands in the words, or whose payments said the same. A shared one is no proof; an account number that payments have taught is
 * none where the name is another customer's.
 */
export function findPayer(receipt: ReceiptFacts, index: MatchIndex): Payer {
	const name = (id: number) => index.customers.get(id)!.name;
	const given = receipt.knownCustomerId ? index.customers.get(receipt.knownCustomerId) : undefined;
	if (given) return known(given.id, 'account', { code: 'payer-given', customer: given.name });
	const byAccount = receipt.payerAccount ? (index.byAccount.get(receipt.payerAccount) ?? []) : [];
	if (byAccount.length === 1)
		return known(byAccount[0]!, 'account', {
			code: 'account-known',
			account: receipt.payerAccount!,
			customer: name(byAccount[0]!)
		});
	const names = receipt.payerName ? partsOfName(receipt.payerName) : [];
	const { ids, alone } = byNames(names, index);
	const byName = among(ids, byAccount);
	const taught = byAccount.length > 0 ? null : taughtPayer(receipt, index);
	// What one payment taught is less than a name that is known, in whole or in part, and comes after it.
	const sure =
		taught?.by !== 'once' && (byName.length === 0 || byName.includes(taught?.customerIds[0] ?? -1));
	if (taught && sure) return taught;
	if (byName.length === 1)
		return known(byName[0]!, alone || byAccount.length > 0 ? 'name' : 'part', {
			code: 'name-known',
			name: receipt.payerName!,
			customer: name(byName[0]!)
		});
	const shared = (ids: readonly number[]): Payer => ({
		customerIds: ids,
		by: 'nothing',
		reasons: [
			{ code: 'name-shared', name: receipt.payerName ?? receipt.payerAccount!, customers: ids.length }
		]
	});
	const candidates = byName.length ? byName : byAccount;
	if (candidates.length > 1) return shared(candidates);
	const begun = beginning(receipt.payerName, index);
	if (begun.length === 1)
		return known(begun[0]!, 'part', {
			code: 'name-cut',
			name: receipt.payerName!,
			customer: name(begun[0]!)
		});
	if (begun.length > 1) return shared(begun);
	const near = nearly(names, index);
	if (near.length === 1)
		return known(near[0]!, 'part', {
			code: 'name-near',
			name: receipt.payerName!,
			customer: name(near[0]!)
		});
	if (near.length > 1) return shared(near);
	if (taught && byName.length === 0) return taught;
	const unknown: Reason = { code: 'payer-unknown', name: receipt.payerName };
	const said = namesInWords(receipt.text, index);
	const [first, ...more] = said;
	if (first && more.length === 0)
		return {
			customerIds: [first.customerId],
			by: 'words',
			reasons: [unknown, { code: 'name-in-words', words: first.words, customer: name(first.customerId) }]
		};
	const saidBefore = taughtByWords(receipt, index);
	if (saidBefore)
		return { customerIds: [saidBefore.customerId], by: 'words', reasons: [unknown, saidBefore.reason] };
	if (first)
		return {
			customerIds: said.map((one) => one.customerId),
			by: 'words',
			reasons: [unknown, { code: 'name-shared', name: first.words, customers: said.length }]
		};
	return { customerIds: [], by: 'nothing', reasons: [unknown] };
}

/** Whose payments from this account, or of this name where the bank gives no account, were allocated before. */
function taughtPayer(receipt: ReceiptFacts, index: MatchIndex): Payer | null {
	const { payerAccount, payerName } = receipt;
	const account = payerAccount ? index.taught('account', payerAccount) : null;
	const name = payerName ? index.taught('name', nameKey(payerName)) : null;
	const one = account ?? name;
	if (!one || !index.customers.has(one.customerId)) return null;
	const customer = index.customers.get(one.customerId)!.name;
	const reason: Reason = account
		? { code: 'account-taught', account: payerAccount!, customer, times: account.times }
		: { code: 'name-taught', name: payerName!, customer, times: one.times };
	const sure = one.times >= TIMES_TO_LEARN && (account !== null || payerAccount === null);
	return known(one.customerId, sure ? (account ? 'account' : 'name') : 'once', reason);
}

/** Whose payments said just this before, twice or more. */
function taughtByWords(
	receipt: ReceiptFacts,
	index: MatchIndex
): { customerId: number; reason: Reason } | null {
	const words = wordsKey(receipt.text);
	const one = words === null ? null : index.taught('words', words);
	if (!one || one.times < TIMES_TO_LEARN || !index.customers.has(one.customerId)) return null;
	const customer = index.customers.get(one.customerId)!.name;
	return {
		customerId: one.customerId,
		reason: { code: 'words-taught', words: words!, customer, times: one.times }
	};
}

function known(id: number, by: Payer['by'], reason: Reason): Payer {
	return { customerIds: [id], by, reasons: [reason] };
}

/**
 * Customers of exactly these names; where several share one, those of its legal form. The one that has none, of a name printed
 * without any, does not stand alone: banks and people leave legal forms out, such as are not known for one, too.
 */
function byNames(names: readonly string[], index: MatchIndex): { ids: number[]; alone: boolean } {
	for (const name of names) {
		const ids = index.byName.get(nameKey(name)) ?? [];
		if (ids.length === 1) return { ids: [...ids], alone: !mayBeMore(name, ids[0]!, index) };
		if (ids.length > 1) {
			const exact = index.byFullName.get(fullName(name)) ?? [];
			const narrowed = ids.filter((id) => exact.includes(id));
			const formed = fullName(name) !== nameKey(name);
			return narrowed.length > 0 ? { ids: narrowed, alone: formed } : { ids: [...ids], alone: false };
		}
	}
	return { ids: [], alone: false };
}

/** Customers with a name that is nearly one of these. */
function nearly(names: readonly string[], index: MatchIndex): number[] {
	for (const name of names) {
		const ids = new Set(
			index
				.near()
				.find(name)
				.flatMap((key) => index.byName.get(key)!)
		);
		if (ids.size > 0) return [...ids].sort((a, b) => a - b);
	}
	return [];
}

/** Those of a list that are in another as well; the list itself where none is. */
function among(ids: readonly number[], others: readonly number[]): number[] {
	const both = ids.filter((id) => others.includes(id));
	return both.length ? both : [...ids];
}

/** Banks print 18 characters of a name at least; shorter ones were not cut off by them, give or take a space. */
const CUT = 16;
/** A beginning shorter than this, as names are compared, fits too many. */
const SHORTEST = 10;

/** A legal form that we do not know is one word, no longer than this. */
const FORM = /^\S{1,4}$/;

/** Lengths at which banks cut names off, and one less where a space was last. */
const CUTS = new Set([17, 18, 26, 27, 34, 35]);

/**
 * Whether a name that is a customer's may be the beginning of another's: it is as long as banks leave it, or nothing is missing
 * but one short word.
 */
function mayBeMore(name: string, id: number, index: MatchIndex): boolean {
	if (withOneWordMore(nameKey(name), index).length > 0) return true;
	if (!CUTS.has(name.trim().length)) return false;
	return namesBeginning(index.fullNames, spelledName(name)).some((key) =>
		(index.byFullName.get(key) ?? []).some((other) => other !== id)
	);
}

/** Names that are a name and one short word more, which may be a legal form that is not known as one. */
function withOneWordMore(key: string, index: MatchIndex): string[] {
	return namesBeginning(index.names, `${key} `).filter((name) => FORM.test(name.slice(key.length + 1)));
}

/**
 * The customers who have a name that begins with a name that was cut off, within its legal form, it may be; a shorter one where
 * nothing but one short word, a legal form or its like, is missing.
 */
function beginning(payerName: string | null, index: MatchIndex): number[] {
	if (!payerName) return [];
	if (payerName.trim().length < CUT) {
		const part = nameKey(payerName);
		if (part.length < SHORTEST || !part.includes(' ')) return [];
		const ids = withOneWordMore(part, index).flatMap((key) => index.byName.get(key) ?? []);
		return [...new Set(ids)].sort((a, b) => a - b);
	}
	const full = [...new Set([fullName(payerName), spelledName(payerName)])];
	if (full[0]!.length < SHORTEST) return [];
	const ids = new Set(
		full
			.flatMap((text) => namesBeginning(index.fullNames, text))
			.flatMap((key) => index.byFullName.get(key) ?? [])
	);
	if (ids.size === 0) {
		const part = nameKey(payerName);
		if (part.length < SHORTEST) return [];
		for (const key of namesBeginning(index.names, part))
			for (const id of index.byName.get(key) ?? []) ids.add(id);
	}
	return [...ids].sort((a, b) => a - b);
}
