import { and, eq } from 'drizzle-orm';
import { nameKey } from '../../../core/text/name-key';
import type { Reader } from '../../platform/db/open';
import { customerName, payerAccount } from '../../platform/db/schema';
import { payerLessonsFor } from './payer-lessons';

interface Payer {
	readonly payerName: string | null;
	readonly payerAccount: string | null;
	readonly text: string;
}

/**
 * Whether a payer is known to pay for a customer: by account number, or by name where the bank gives no account; or because
 * somebody said so.
 */
export async function isKnownPayer(db: Reader, customerId: number, payer: Payer): Promise<boolean> {
	const trait = payer.payerAccount ? 'account' : 'name';
	const told = (await payerLessonsFor(db, [payer])).some(
		(one) => one.trait === trait && one.told && one.customerId === customerId
	);
	if (told) return true;
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
		.where(and(eq(customerName.customerId, customerId), eq(customerName.key, nameKey(payer.payerName))))
		.get();
	return row !== undefined;
}
