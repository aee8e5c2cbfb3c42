import { append } from '../../append';
import type { OpenItem, ReceiptFacts } from '../../model/records';
import { sumOf } from '../../money/add';
import { minor } from '../../money/minor';
import { swappedDigits } from '../../money/swapped-digits';
import type { Band, Reason } from '../answer';
import { restOfList } from '../named/complete-list';
import type { Draft } from './draft';
import { unappliedCash } from './unapplied-cash';
import type { Named } from '../named/find-named';
import type { Payer } from '../payer/find-payer';
import { linesFor, signedOpen } from './lines-for';
import { ownersOf, type Owners } from '../payer/named-owners';
import { findSets } from '../sets/find-sets';
import { weigh } from './weigh';
import { remittancePhrases } from '../../text/remittance-phrases';
import type { MatchIndex } from '../match-index';

/** Sums that somebody chooses, in minor units: what is paid of an invoice in part. */
const CHOSEN = 1_000;

/** Answers a receipt whose words name open items; null where they name none. */
export function answerNamed(
	receipt: ReceiptFacts,
	named: Named,
	payer: Payer,
	index: MatchIndex
): Draft | null {
	if (named.items.length === 0) return null;
	const owners = ownersOf(named.items, receipt, payer, index);
	if (!owners) return answerSeveralOwners(receipt, named, payer, index);
	const plain = pickInstalments(named.items, receipt.amount);
	const credits = creditsThatJoin(plain, receipt.amount, owners.accounts, index);
	const left = receipt.amount - sumOf(plain, signedOpen);
	const more = left > 0 ? restOfList(receipt, plain, owners.accounts, left, index) : null;
	const items = [...plain, ...credits, ...(more?.items ?? [])];
	const open = sumOf(items, signedOpen);
	const gap = minor(receipt.amount - open);
	const earlier = gap < 0 ? unappliedCash(minor(-gap), owners.customerId, receipt, index) : null;
	const reasons = [
		...payer.reasons,
		namedReason(named, [...plain, ...credits], nameOf(owners.accounts, index))
	];
	append(reasons, relationReasons(receipt, payer, owners, index));
	const { currency } = receipt;
	if (credits.length > 0)
		reasons.push({
			...{ code: 'credit-joins', numbers: credits.map((item) => item.number) },
			...{ amount: sumOf(credits, (item) => item.open), currency }
		});
	if (earlier) reasons.push(earlier.reason);
	if (more)
		reasons.push({
			...{ code: 'list-cut', numbers: more.items.map((item) => item.number), sets: more.sets },
			...{ amount: minor(left), currency }
		});
	if (gap === 0 || earlier)
		reasons.push({ code: 'adds-up', amount: earlier ? open : receipt.amount, currency, items: items.length });
	else if (gap < 0) reasons.push({ code: 'short', by: minor(-gap), of: open, currency });
	else reasons.push({ code: 'long', by: gap, of: open, currency });
	if (gap !== 0 && !earlier && items.length === 1 && swappedDigits(receipt.amount, open))
		reasons.push({
			...{ code: 'digits-swapped', open, came: receipt.amount, currency, number: items[0]!.number }
		});
	const part = gap < 0 && !earlier ? partSaid(receipt, items) : null;
	if (part !== null) reasons.push({ code: 'says-part', words: part });
	const { lines } = linesFor(items, minor(receipt.amount + (earlier?.amount ?? 0)));
	const band = weigh({
		...{ payer: owners.by, owner: owners.relation, others: more ? more.sets - 1 : 0 },
		// Only one way to complete a list that was cut off is nearly as good as having read it; a person looks.
		amount: more
			? 'completed'
			: gap === 0
				? 'exact'
				: part !== null
					? 'said'
					: earlier
						? 'completed'
						: gap < 0
							? 'short'
							: 'long'
	});
	return {
		...{
			band: unlessCreditsDoubted(receipt, band, credits, owners.accounts, index),
			customerId: owners.customerId
		},
		...{ lines, reasons, others: [], otherAnswers: more ? more.sets - 1 : 0 },
		...(earlier ? { credits: earlier.credits } : {})
	};
}

function nameOf(accounts: readonly number[], index: MatchIndex): string {
	const names = accounts.map((id) => index.customers.get(id)!.name);
	return names.length === 1 ? names[0]! : `${names.slice(0, -1).join(', ')} and ${names.at(-1)!}`;
}

function relationReasons(receipt: ReceiptFacts, payer: Payer, owners: Owners, index: MatchIndex): Reason[] {
	const name = (id: number) => index.customers.get(id)!.name;
	const [known] = payer.customerIds;
	const { relation, by, accounts } = owners;
	if (relation === 'payer' && by === 'name' && payer.by !== 'name')
		return [{ code: 'name-and-number', name: receipt.payerName ?? '', customer: nameOf(accounts, index) }];
	if (relation === 'child')
		return accounts
			.filter((id) => id !== known)
			.map((id) => ({ code: 'parent-pays', parent: name(known!), customer: name(id) }));
	if (relation === 'other')
		return [{ code: 'payer-differs', payer: name(known!), customer: nameOf(accounts, index) }];
	return [];
}

/** The words that say that a chosen sum, or just the half, is a part of the one document that is named; else null. */
function partSaid(receipt: ReceiptFacts, items: readonly OpenItem[]): string | null {
	const [only] = items;
	if (!only || items.length > 1) return null;
	const chosen = receipt.amount % CHOSEN === 0 || Math.abs(2 * receipt.amount - only.open) <= 1;
	return chosen ? remittancePhrases(receipt.text).part : null;
}

/** The credit note, or the two or all of them, that makes named items come to the amount; none where several ways do. */
function creditsThatJoin(
	items: readonly OpenItem[],
	amount: number,
	accounts: readonly number[],
	index: MatchIndex
): OpenItem[] {
	const over = sumOf(items, signedOpen) - amount;
	if (over <= 0 || items.some((item) => item.kind === 'credit_note')) return [];
	const credits = accounts
		.flatMap((id) => index.itemsOf.get(id) ?? [])
		.filter((item) => item.kind === 'credit_note' && item.currency === items[0]!.currency);
	const { sets, count } = findSets(
		credits.map((item) => item.open),
		over,
		{ keep: 1, steps: 20_000 }
	);
	return count === 1 ? sets[0]!.map((place) => credits[place]!) : [];
}

/** Which of equal credit notes is meant, no figure tells; nor whether one is, where the words say that something was wrong. */
function unlessCreditsDoubted(
	receipt: ReceiptFacts,
	band: Band,
	credits: readonly OpenItem[],
	accounts: readonly number[],
	index: MatchIndex
): Band {
	if (band !== 'certain' || credits.length === 0) return band;
	const equal = accounts
		.flatMap((id) => index.itemsOf.get(id) ?? [])
		.some(
			(item) =>
				!credits.includes(item) && credits.some((one) => one.kind === item.kind && one.open === item.open)
		);
	const { claim } = remittancePhrases(receipt.text);
	return equal || (claim !== null && claim.reason !== 'other') ? 'likely' : band;
}

function namedReason(named: Named, items: readonly OpenItem[], customer: string): Reason {
	const numbers = [...new Set(items.map((item) => item.number))];
	return named.reference && named.words.length === 0
		? { code: 'reference-named', reference: named.reference, numbers, customer }
		: { code: 'number-named', words: named.words.join(' '), numbers, customer };
}

/**
 * A number names the whole document, but a payer with instalments means the next one: where the whole does not come to the
 * amount, the first instalments that do are taken instead.
 */
function pickInstalments(items: readonly OpenItem[], amount: number): readonly OpenItem[] {
	if (sumOf(items, signedOpen) <= amount) return items;
	let sum = 0;
	for (let n = 0; n < items.length; n++) {
		sum += signedOpen(items[n]!);
		if (sum === amount && sameDocument(items)) return items.slice(0, n + 1);
	}
	return items;
}

function sameDocument(items: readonly OpenItem[]): boolean {
	return items.every((item) => item.documentId === items[0]!.documentId);
}

/** Numbers of accounts that have nothing to do with each other: the one whose items come to the amount, else the payer's own, for a look. */
function answerSeveralOwners(receipt: ReceiptFacts, named: Named, payer: Payer, index: MatchIndex): Draft {
	const owners = [...new Set(named.items.map((item) => item.customerId))];
	const itemsOf = (id: number) => named.items.filter((item) => item.customerId === id);
	const exact = owners.filter((id) => sumOf(itemsOf(id), signedOpen) === receipt.amount);
	const chosen = exact[0] ?? owners.find((id) => payer.customerIds.includes(id)) ?? owners[0]!;
	const { lines } = linesFor(itemsOf(chosen), receipt.amount);
	const others = owners
		.filter((id) => id !== chosen)
		.map((customerId) => ({ customerId, lines: linesFor(itemsOf(customerId), receipt.amount).lines }));
	const customers = owners.map((id) => index.customers.get(id)!.name);
	return {
		band: 'choose',
		customerId: chosen,
		lines,
		reasons: [...payer.reasons, { code: 'numbers-of-several', customers }],
		others,
		otherAnswers: others.length
	};
}
