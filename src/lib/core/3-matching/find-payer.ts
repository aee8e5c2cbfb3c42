import type { ReceiptFacts } from '../model/records';
import type { Reason } from './answer';
import { normaliseName } from './normalise-name';
import type { World } from './world';

export interface Payer {
	/** Accounts that this payer stands for, by evidence; several where a name or number is shared. */
	readonly customerIds: readonly number[];
	/** `part`: the name as the bank cut it off, which only one customer's begins with. */
	readonly by: 'account' | 'name' | 'part' | 'nothing';
	readonly reasons: readonly Reason[];
}

/** Who pays: by account number seen before, else by name exactly (as names are compared). A shared one is no proof. */
export function findPayer(receipt: ReceiptFacts, world: World): Payer {
	const given = receipt.knownCustomerId ? world.customers.get(receipt.knownCustomerId) : undefined;
	if (given)
		return {
			customerIds: [given.id],
			by: 'account',
			reasons: [{ code: 'payer-given', customer: given.name }]
		};
	const byAccount = receipt.payerAccount ? (world.byAccount.get(receipt.payerAccount) ?? []) : [];
	const byName = receipt.payerName ? (world.byName.get(normaliseName(receipt.payerName)) ?? []) : [];
	const name = (id: number) => world.customers.get(id)!.name;
	if (byAccount.length === 1) {
		const id = byAccount[0]!;
		return {
			customerIds: [id],
			by: 'account',
			reasons: [{ code: 'account-known', account: receipt.payerAccount!, customer: name(id) }]
		};
	}
	const both = byAccount.filter((id) => byName.includes(id));
	const candidates = both.length ? both : byAccount.length ? byAccount : byName;
	if (candidates.length === 1) {
		const id = candidates[0]!;
		return {
			customerIds: [id],
			by: 'name',
			reasons: [{ code: 'name-known', name: receipt.payerName!, customer: name(id) }]
		};
	}
	if (candidates.length > 1)
		return {
			customerIds: candidates,
			by: 'nothing',
			reasons: [
				{
					code: 'name-shared',
					name: receipt.payerName ?? receipt.payerAccount!,
					customers: candidates.length
				}
			]
		};
	const begun = beginning(receipt.payerName, world);
	if (begun !== null)
		return {
			customerIds: [begun],
			by: 'part',
			reasons: [{ code: 'name-cut', name: receipt.payerName!, customer: name(begun) }]
		};
	return { customerIds: [], by: 'nothing', reasons: [{ code: 'payer-unknown', name: receipt.payerName }] };
}

/** Banks print 18 characters of a name at least; shorter ones were not cut off by them, give or take a space. */
const CUT = 16;
/** A beginning shorter than this, as names are compared, fits too many. */
const SHORTEST = 10;

/** The one customer who has a name that begins with a name that was cut off; null where there is none, or another one. */
function beginning(payerName: string | null, world: World): number | null {
	if (!payerName || payerName.trim().length < CUT) return null;
	const part = normaliseName(payerName);
	if (part.length < SHORTEST) return null;
	const ids = new Set(namesBeginning(world.names, part).flatMap((key) => world.byName.get(key) ?? []));
	return ids.size === 1 ? [...ids][0]! : null;
}

/** The names of a sorted list that begin with a text. */
function namesBeginning(names: readonly string[], text: string): string[] {
	let [low, high] = [0, names.length];
	while (low < high) {
		const middle = (low + high) >> 1;
		if (names[middle]! < text) low = middle + 1;
		else high = middle;
	}
	const found: string[] = [];
	for (let i = low; i < names.length && names[i]!.startsWith(text) && found.length < 20; i++)
		found.push(names[i]!);
	return found;
}
