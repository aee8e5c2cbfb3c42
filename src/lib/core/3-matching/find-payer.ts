import type { ReceiptFacts } from '../model/records';
import type { Reason } from './answer';
import { normaliseName } from './normalise-name';
import type { World } from './world';

export interface Payer {
	/** Accounts that this payer stands for, by evidence; several where a name or number is shared. */
	readonly customerIds: readonly number[];
	readonly by: 'account' | 'name' | 'nothing';
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
	return { customerIds: [], by: 'nothing', reasons: [{ code: 'payer-unknown', name: receipt.payerName }] };
}
