import type { Customer, OpenItem, ReceiptFacts } from '../model/records';
import { sumOf } from '../money/add';
import { minor } from '../money/minor';
import type { Reason } from './answer';
import type { Draft } from './draft';
import type { Named } from './find-named';
import type { Payer } from './find-payer';
import { linesFor, signedOpen } from './lines-for';
import { findSets } from './sets/find-sets';
import { weigh } from './weigh';
import type { World } from './world';

/** Answers a receipt whose words name open items; null where they name none. */
export function answerNamed(receipt: ReceiptFacts, named: Named, payer: Payer, world: World): Draft | null {
	if (named.items.length === 0) return null;
	const owners = [...new Set(named.items.map((item) => item.customerId))];
	const customerOf = (id: number) => world.customers.get(id)!;
	if (owners.length > 1) return answerSeveralOwners(receipt, named, payer, world, owners);
	const owner = customerOf(owners[0]!);
	const plain = pickInstalments(named.items, receipt.amount);
	const credits = creditsThatJoin(plain, receipt.amount, owner.id, world);
	const items = [...plain, ...credits];
	const open = sumOf(items, signedOpen);
	const gap = minor(receipt.amount - open);
	const { relation, by } = relationOf(receipt, payer, owner, world);
	const reasons: Reason[] = [...payer.reasons, namedReason(named, items, owner.name)];
	if (relation === 'payer' && by === 'name' && payer.by !== 'name')
		reasons.push({ code: 'name-and-number', name: receipt.payerName ?? '', customer: owner.name });
	if (credits.length > 0)
		reasons.push({
			...{ code: 'credit-joins', numbers: credits.map((item) => item.number) },
			...{ amount: sumOf(credits, (item) => item.open), currency: receipt.currency }
		});
	if (relation === 'child')
		reasons.push({
			code: 'parent-pays',
			parent: customerOf(payer.customerIds[0]!).name,
			customer: owner.name
		});
	if (relation === 'other')
		reasons.push({
			code: 'payer-differs',
			payer: customerOf(payer.customerIds[0]!).name,
			customer: owner.name
		});
	const { currency } = receipt;
	if (gap === 0) reasons.push({ code: 'adds-up', amount: receipt.amount, currency, items: items.length });
	else if (gap < 0) reasons.push({ code: 'short', by: minor(-gap), of: open, currency });
	else reasons.push({ code: 'long', by: gap, of: open, currency });
	const { lines } = linesFor(items, receipt.amount);
	const band = weigh({
		payer: by,
		owner: relation,
		amount: gap === 0 ? 'exact' : gap < 0 ? 'short' : 'long',
		others: 0
	});
	// Which of equal credit notes is meant, no figure tells.
	const equal = (world.itemsOf.get(owner.id) ?? []).some(
		(item) =>
			!credits.includes(item) && credits.some((one) => one.kind === item.kind && one.open === item.open)
	);
	const sure = equal && band === 'certain' ? 'likely' : band;
	return { band: sure, customerId: owner.id, lines, reasons, others: [], otherAnswers: 0 };
}

type Relation = 'payer' | 'child' | 'other' | 'unknown-payer';

/**
 * How the payer stands to the owner of what is named. A name that fits several accounts, the owner's among them, is proof
 * together with the number.
 */
function relationOf(
	receipt: ReceiptFacts,
	payer: Payer,
	owner: Customer,
	world: World
): { relation: Relation; by: Payer['by'] } {
	const { by } = payer;
	if (payer.customerIds.includes(owner.id)) {
		if (by === 'nothing') return { relation: 'payer', by: 'name' };
		return by === 'words' ? { relation: 'unknown-payer', by } : { relation: 'payer', by };
	}
	if (payer.customerIds.length === 0 || by === 'words') return { relation: 'unknown-payer', by };
	if (by !== 'nothing' && world.children.get(payer.customerIds[0]!)?.includes(owner.id))
		return { relation: 'child', by };
	return { relation: by === 'nothing' ? 'unknown-payer' : 'other', by };
}

/** The credit note, or the two or all of them, that makes named items come to the amount; none where several ways do. */
function creditsThatJoin(
	items: readonly OpenItem[],
	amount: number,
	ownerId: number,
	world: World
): OpenItem[] {
	const over = sumOf(items, signedOpen) - amount;
	if (over <= 0 || items.some((item) => item.kind === 'credit_note')) return [];
	const credits = (world.itemsOf.get(ownerId) ?? []).filter(
		(item) => item.kind === 'credit_note' && item.currency === items[0]!.currency
	);
	const { sets, count } = findSets(
		credits.map((item) => item.open),
		over,
		{ keep: 1, steps: 20_000 }
	);
	return count === 1 ? sets[0]!.map((place) => credits[place]!) : [];
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

/** Numbers of several accounts in one text: the account whose items come to the amount, else the payer's own, for a look. */
function answerSeveralOwners(
	receipt: ReceiptFacts,
	named: Named,
	payer: Payer,
	world: World,
	owners: readonly number[]
): Draft {
	const itemsOf = (id: number) => named.items.filter((item) => item.customerId === id);
	const exact = owners.filter((id) => sumOf(itemsOf(id), signedOpen) === receipt.amount);
	const chosen = exact[0] ?? owners.find((id) => payer.customerIds.includes(id)) ?? owners[0]!;
	const { lines } = linesFor(itemsOf(chosen), receipt.amount);
	const others = owners
		.filter((id) => id !== chosen)
		.map((customerId) => ({ customerId, lines: linesFor(itemsOf(customerId), receipt.amount).lines }));
	const customers = owners.map((id) => world.customers.get(id)!.name);
	return {
		band: 'choose',
		customerId: chosen,
		lines,
		reasons: [...payer.reasons, { code: 'numbers-of-several', customers }],
		others,
		otherAnswers: others.length
	};
}
