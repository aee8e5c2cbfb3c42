import { and, eq } from 'drizzle-orm';
import { z } from 'zod';
import { DomainError } from '../../act/domain-error';
import { idField } from '../../act/fields';
import { bankAccount } from '../../platform/db/schema';
import type { Tx } from '../../platform/db/open';

/** Where money that is recorded by hand goes: a bank account of the firm, petty cash, or null where that is not said. */
export type PaidInto = number | 'petty cash' | null;

export const paidIntoField = z
	.union([idField, z.literal('petty cash')])
	.nullable()
	.default(null);

/** The columns that keep it. */
export interface PaidIntoColumns {
	readonly paidIntoId: number | null;
	readonly isPettyCash: boolean;
}

/** As it is kept. Refuses an account that is none of the firm's current ones, or not kept in the currency. */
export async function columnsOfPaidInto(
	tx: Tx,
	paidInto: PaidInto,
	currency: string
): Promise<PaidIntoColumns> {
	if (paidInto === null || paidInto === 'petty cash')
		return { paidIntoId: null, isPettyCash: paidInto !== null };
	const [bank] = await tx
		.select({ currency: bankAccount.currency })
		.from(bankAccount)
		.where(and(eq(bankAccount.id, paidInto), eq(bankAccount.kind, 'current')));
	if (!bank) throw new DomainError({ code: 'not-found', what: 'bank account' });
	if (bank.currency !== currency)
		throw new DomainError({
			code: 'other-currency',
			item: 'The bank account that it is paid into',
			found: bank.currency,
			want: currency
		});
	return { paidIntoId: paidInto, isPettyCash: false };
}

/** As it was given. */
export function paidIntoOf({ paidIntoId, isPettyCash }: PaidIntoColumns): PaidInto {
	return isPettyCash ? 'petty cash' : paidIntoId;
}
