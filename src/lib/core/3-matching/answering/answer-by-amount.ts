import type { OpenItem, ReceiptFacts } from '../../model/records';
import { sumOf } from '../../money/add';
import { minor } from '../../money/minor';
import type { Reason } from '../answer';
import { answerAccount } from './answer-account';
import { compareItems } from '../sets/compare-items';
import type { Draft } from './draft';
import type { Payer } from '../payer/find-payer';
import { signedOpen } from './lines-for';
import { setsUpTo } from '../sets/sets-up-to';
import type { CreditOnAccount } from '../match-books';
import type { MatchIndex } from '../match-index';

/** Accounts of a shared name that are looked through. */
const MOST_ACCOUNTS = 6;
/** Items of a group that are looked through together. */
const MOST_OF_GROUP = 500;
/** Earlier payments that are tried with what came. */
const MOST_CREDITS = 5;

/**
 * Answers a receipt whose words name no item: by what is open of the payer, and where nothing of that fits, with earlier money
 * of theirs, or by what is open of the accounts that they may pay for.
 */
export function answerByAmount(receipt: ReceiptFacts, payer: Payer, index: MatchIndex): Draft {
	if (payer.customerIds.length === 1 && payer.by !== 'nothing')
		return answerPayer(receipt, payer, payer.customerIds[0]!, index);
	const nobody: Draft = {
		band: 'none',
		customerId: null,
		lines: [],
		reasons: payer.reasons,
		others: [],
		otherAnswers: 0
	};
	if (payer.customerIds.length === 0 || payer.customerIds.length > MOST_ACCOUNTS) return nobody;
	// A shared name: where only one of the accounts has anything that fits, it is that one, for a look.
	const drafts = payer.customerIds.map((id) => answerPayer(receipt, payer, id, index));
	const fitting = drafts.filter((draft) => draft.lines.length > 0);
	const [only] = fitting;
	if (!only || fitting.length > 1) {
		const customers = payer.customerIds
			.filter((_, i) => drafts[i]!.lines.length > 0)
			.map((id) => index.customers.get(id)!.name);
		const { amount, currency } = receipt;
		return { ...nobody, reasons: [...payer.reasons, { code: 'shared-fits', customers, amount, currency }] };
	}
	return { ...only, band: only.band === 'choose' ? 'choose' : 'likely' };
}

function answerPayer(receipt: ReceiptFacts, payer: Payer, customerId: number, index: MatchIndex): Draft {
	const own = openOf([customerId], receipt.currency, index);
	const draft = answerAccount(receipt, payer, customerId, own, index);
	const branches = (index.children.get(customerId) ?? []).filter(
		(id) => openOf([id], receipt.currency, index).length > 0
	);
	if (draft.lines.length > 0) {
		const twin =
			draft.band === 'certain' &&
			openOf(branches, receipt.currency, index).some((item) => signedOpen(item) === receipt.amount);
		return twin ? { ...draft, band: 'likely' } : draft;
	}
	if (draft.reasons.some(({ code }) => code === 'says-on-account')) return draft;
	return (
		withUnappliedCash(receipt, payer, customerId, own, index) ??
		ofGroup(receipt, payer, customerId, branches, index) ??
		draft
	);
}

/** What is open of accounts in a currency; the same list for the same question. */
function openOf(customerIds: readonly number[], currency: string, index: MatchIndex): readonly OpenItem[] {
	const key = `${customerIds.join()} ${currency}`;
	const known = index.openFound.get(key);
	if (known) return known;
	const items = customerIds
		.flatMap((id) => index.itemsOf.get(id) ?? [])
		.filter((item) => item.currency === currency);
	const list = customerIds.length > 1 ? items.sort(compareItems) : items;
	index.openFound.set(key, list);
	return list;
}

/** What came and what is left of one earlier payment, or all that lies on account, together; null where that fits nothing, or several ways. */
function withUnappliedCash(
	receipt: ReceiptFacts,
	payer: Payer,
	customerId: number,
	own: readonly OpenItem[],
	index: MatchIndex
): Draft | null {
	const credits = (index.creditsOf.get(customerId) ?? []).filter((one) => one.currency === receipt.currency);
	if (credits.length === 0 || own.length === 0) return null;
	const ways: (readonly CreditOnAccount[])[] = credits.slice(0, MOST_CREDITS).map((one) => [one]);
	if (credits.length > 1) ways.push(credits);
	const found = ways.flatMap((used) => {
		const earlier = sumOf(used, (one) => one.amount);
		if (!fitsPlainly(own, receipt.amount + earlier)) return [];
		const draft = answerAccount(
			{ ...receipt, amount: minor(receipt.amount + earlier) },
			payer,
			customerId,
			own,
			index
		);
		return draft.lines.length > 0 && draft.band !== 'choose' ? [{ draft, used, earlier }] : [];
	});
	const [way] = found;
	if (!way || found.length > 1) return null;
	const reason: Reason = {
		...{ code: 'earlier-money', amount: way.earlier, currency: receipt.currency },
		...{ booked: way.used[0]!.booked, receipts: way.used.length }
	};
	return {
		...way.draft,
		band: 'likely',
		credits: way.used.map((one) => ({ receiptId: one.receiptId, use: one.amount })),
		reasons: [...way.draft.reasons, reason]
	};
}

/** Whether one item, all, or all up to a day come to a sum: with money of two payments any set would be one of too many. */
function fitsPlainly(items: readonly OpenItem[], sum: number): boolean {
	return (
		items.some((item) => signedOpen(item) === sum) ||
		items.reduce((all, item) => all + signedOpen(item), 0) === sum ||
		setsUpTo(items, sum).length > 0
	);
}

/** What is open of an account and of those that it may pay for, together; never surer than likely. */
function ofGroup(
	receipt: ReceiptFacts,
	payer: Payer,
	customerId: number,
	branches: readonly number[],
	index: MatchIndex
): Draft | null {
	if (branches.length === 0) return null;
	const items = openOf([customerId, ...branches], receipt.currency, index);
	if (items.length > MOST_OF_GROUP) return null;
	const draft = answerAccount(receipt, payer, customerId, items, index);
	if (draft.lines.length === 0) return null;
	const taken = new Set(draft.lines.map((line) => line.itemId));
	const owners = new Set(items.filter((item) => taken.has(item.id)).map((item) => item.customerId));
	const name = (id: number) => index.customers.get(id)!.name;
	const reasons = branches
		.filter((id) => owners.has(id))
		.map((id): Reason => ({ code: 'parent-pays', parent: name(customerId), customer: name(id) }));
	return {
		...draft,
		band: draft.band === 'certain' ? 'likely' : draft.band,
		reasons: [...draft.reasons, ...reasons]
	};
}
