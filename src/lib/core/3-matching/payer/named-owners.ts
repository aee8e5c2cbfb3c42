import type { OpenItem, ReceiptFacts } from '../../model/records';
import { sumOf } from '../../money/add';
import { signedOpen } from '../answering/lines-for';
import type { Payer } from './find-payer';
import type { MatchIndex } from '../match-index';

/** How the payer stands to those whose items are named. */
export interface Owners {
	/** Whose money it is. */
	readonly customerId: number;
	/** The accounts whose items are named, the payer's own first. */
	readonly accounts: readonly number[];
	readonly relation: 'payer' | 'child' | 'other' | 'unknown-payer';
	/** How the payer is known, seen with what is named. */
	readonly by: Payer['by'];
}

/**
 * Whose the named items are, where they belong together: to one account; to the payer and accounts that it may pay for; to
 * accounts of one parent; or to several that come to just what came. Null where they do not.
 */
export function ownersOf(
	items: readonly OpenItem[],
	receipt: ReceiptFacts,
	payer: Payer,
	index: MatchIndex
): Owners | null {
	const accounts = [...new Set(items.map((item) => item.customerId))].sort((a, b) => a - b);
	const { by } = payer;
	const [first] = accounts;
	if (accounts.length === 1) return { accounts, ...relationOf(first!, payer, index) };
	// A name or number that several accounts share is proof together with what is named, where these are the accounts.
	if (by === 'nothing' && payer.customerIds.length > 0) {
		const shared = accounts.filter((id) => payer.customerIds.includes(id));
		if (shared.length === accounts.length)
			return { customerId: headOf(accounts, index), accounts, relation: 'payer', by: 'name' };
	}
	const [known] = payer.customerIds;
	if (known !== undefined && by !== 'nothing' && by !== 'words') {
		const group = new Set([known, ...(index.children.get(known) ?? [])]);
		if (accounts.every((id) => group.has(id))) {
			const ownFirst = [known, ...accounts.filter((id) => id !== known)];
			return {
				...{ customerId: known, relation: 'child', by },
				accounts: accounts.includes(known) ? ownFirst : accounts
			};
		}
	}
	const together =
		sameGroup(accounts, index) || (sumOf(items, signedOpen) as number) === (receipt.amount as number);
	if (!together) return null;
	const customerId =
		known !== undefined && accounts.includes(known) && by !== 'nothing' ? known : headOf(accounts, index);
	return { customerId, accounts, relation: known === undefined ? 'unknown-payer' : 'other', by };
}

/**
 * How the payer stands to the one owner of what is named. A name that fits several accounts, the owner's among them, is proof
 * together with the number.
 */
function relationOf(owner: number, payer: Payer, index: MatchIndex): Omit<Owners, 'accounts'> {
	const { by } = payer;
	const [known] = payer.customerIds;
	const customerId = owner;
	if (payer.customerIds.includes(owner)) {
		if (by === 'nothing') return { customerId, relation: 'payer', by: 'name' };
		return by === 'words'
			? { customerId, relation: 'unknown-payer', by }
			: { customerId, relation: 'payer', by };
	}
	if (known === undefined || by === 'words' || by === 'nothing')
		return { customerId, relation: 'unknown-payer', by };
	const child = index.children.get(known)?.includes(owner) ?? false;
	// What one payment taught is no word against what is named: the payer may pay for several.
	if (by === 'once' && !child) return { customerId, relation: 'unknown-payer', by: 'nothing' };
	return { customerId, relation: child ? 'child' : 'other', by };
}

/** Whether accounts belong to one parent, or one of them is the parent of the others. */
function sameGroup(accounts: readonly number[], index: MatchIndex): boolean {
	const head = headOf(accounts, index);
	return accounts.every((id) => id === head || index.customers.get(id)?.parentId === head);
}

/** The parent of most of these accounts, where it is known; else the first of them. */
function headOf(accounts: readonly number[], index: MatchIndex): number {
	const parents = accounts.map((id) => index.customers.get(id)?.parentId ?? id);
	const [head] = parents;
	const one = parents.every((id) => id === head);
	return one && head !== undefined && index.customers.has(head) ? head : accounts[0]!;
}
