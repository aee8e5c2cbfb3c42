import { groupBy } from '../../../core/group-by';
import type { Reader } from '../../platform/db/open';
import { inList } from '../../platform/db/in-list';
import { payerAccount } from '../../platform/db/schema';

/** The customers who pay from accounts, by the account. */
export async function ownersOfAccounts(
	db: Reader,
	accounts: readonly string[]
): Promise<Map<string, readonly number[]>> {
	const rows = await db
		.select()
		.from(payerAccount)
		.where(inList(payerAccount.account, [...new Set(accounts)]));
	return new Map(
		[...groupBy(rows, (row) => row.account)].map(([account, own]) => [
			account,
			own.map((row) => row.customerId)
		])
	);
}
