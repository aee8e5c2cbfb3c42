import { and, eq } from 'drizzle-orm';
import { normaliseName } from '../../core/3-matching/normalise-name';
import type { Reader, Tx } from '../db/open';
import { customerName, payerAccount } from '../db/schema';

interface Payer {
	readonly payerName: string | null;
	readonly payerAccount: string | null;
}

/** Whether a payer is known to pay for a customer: by account number, or by name where the bank gives no account. */
export async function isKnownPayer(db: Reader, customerId: number, payer: Payer): Promise<boolean> {
	if (payer.payerAccount) {
		const row = await db
			.select({ id: payerAccount.customerId })
			.from(payerAccount)
			.where(and(eq(payerAccount.customerId, customerId), eq(payerAccount.account, payer.payerAccount)))
			.get();
		return row !== undefined;
	}
	if (!payer.payerName) return true;
	const row = await db
		.select({ id: customerName.customerId })
		.from(customerName)
		.where(and(eq(customerName.customerId, customerId), eq(customerName.key, normaliseName(payer.payerName))))
		.get();
	return row !== undefined;
}

/** Remembers a payer for a customer: the account number where the bank gives one, else the name. */
export async function rememberPayer(tx: Tx, customerId: number, payer: Payer): Promise<void> {
	if (await isKnownPayer(tx, customerId, payer)) return;
	if (payer.payerAccount) await tx.insert(payerAccount).values({ customerId, account: payer.payerAccount });
	else if (payer.payerName)
		await tx
			.insert(customerName)
			.values({ customerId, name: payer.payerName, key: normaliseName(payer.payerName) });
}
