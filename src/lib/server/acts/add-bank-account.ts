import { eq } from 'drizzle-orm';
import { z } from 'zod';
import { currencyDigits } from '../../core/money/currency';
import { bankAccount, ledgerAccount } from '../db/schema';
import { recordAct } from '../repo/record-act';
import { DomainError } from '../domain-error';
import { defineAct } from './perform';

export const bankAccountInput = z.object({
	name: z.string().trim().min(1, 'Give the account a name.').max(80),
	number: z
		.string()
		.transform((text) => text.replace(/\s/g, '').toUpperCase())
		.pipe(z.string().regex(/^[A-Z0-9]{4,34}$/, 'Give the IBAN or account number, letters and digits only.')),
	bic: z
		.string()
		.trim()
		.toUpperCase()
		.regex(/^([A-Z0-9]{8}|[A-Z0-9]{11})?$/, 'A BIC has 8 or 11 characters.')
		.default(''),
	bankName: z.string().trim().min(1, 'Name the bank.').max(80),
	currency: z
		.string()
		.trim()
		.toUpperCase()
		.refine((code) => currencyDigits(code) !== null, 'That currency is not one of ISO 4217.'),
	ledger: z
		.string()
		.trim()
		.regex(/^[A-Za-z0-9]{2,12}$/, 'Give the ledger account, such as 1200.')
});

/** Adds a bank account of the firm, with a ledger account of its own. */
export const addBankAccount = defineAct({
	kind: 'add-bank-account',
	needs: 'supervisor',
	run: async (tx, input: z.infer<typeof bankAccountInput>, at) => {
		const same = await tx.select().from(bankAccount).where(eq(bankAccount.number, input.number)).get();
		if (same) throw new DomainError({ code: 'number-taken', number: input.number });
		const ledger = await tx.select().from(ledgerAccount).where(eq(ledgerAccount.code, input.ledger)).get();
		if (ledger) throw new DomainError({ code: 'number-taken', number: `${ledger.code} (${ledger.name})` });
		await tx.insert(ledgerAccount).values({ code: input.ledger, name: input.name });
		await tx.insert(bankAccount).values({ ...input, bic: input.bic || null, kind: 'current' });
		await recordAct(tx, {
			kind: 'add-bank-account',
			date: at.today,
			at: at.now(),
			userId: at.who.id,
			userName: at.who.name,
			summary: `Added the bank account ${input.name} (${input.number})`,
			facts: input
		});
	}
});
