import { eq } from 'drizzle-orm';
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

/**
 * Says of a place how it is kept, for as many rows as there are: the firm's accounts are read once. Refuses an account that is none of its
 * current ones, or not kept in the currency.
 */
export async function placesOf(tx: Tx): Promise<(paidInto: PaidInto, currency: string) => PaidIntoColumns> {
	const banks = await tx
		.select({ id: bankAccount.id, currency: bankAccount.currency })
		.from(bankAccount)
		.where(eq(bankAccount.kind, 'current'));
	const currencies = new Map(banks.map((bank) => [bank.id, bank.currency]));
	return (paidInto, currency) => {
		if (paidInto === null || paidInto === 'petty cash')
			return { paidIntoId: null, isPettyCash: paidInto !== null };
		const kept = currencies.get(paidInto);
		if (kept === undefined) throw new DomainError({ code: 'not-found', what: 'bank account' });
		if (kept !== currency)
			throw new DomainError({
				code: 'other-currency',
				item: 'The bank account that it is paid into',
				found: kept,
				want: currency
			});
		return { paidIntoId: paidInto, isPettyCash: false };
	};
}

/** As it was given. */
export function paidIntoOf({ paidIntoId, isPettyCash }: PaidIntoColumns): PaidInto {
	return isPettyCash ? 'petty cash' : paidIntoId;
}
