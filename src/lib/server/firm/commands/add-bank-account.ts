import { bankNumberKey } from '../../../core/text/bank-number';
import { takesTwo } from '../../approvals/store/takes-two';
import { eq } from 'drizzle-orm';
import { z } from 'zod';
import { accountNumberField, amountField, currencyField } from '../../act/fields';
import { bankAccount, ledgerAccount } from '../../platform/db/schema';
import { DomainError } from '../../act/domain-error';
import { defineAct } from '../../act/define-act';

export const bankAccountInput = z.object({
	name: z.string().trim().min(1, 'Give the account a name.').max(80),
	number: accountNumberField('Give the IBAN, or the sort code and account number.'),
	bic: z
		.string()
		.trim()
		.toUpperCase()
		.regex(/^([A-Z0-9]{8}|[A-Z0-9]{11})?$/, 'A BIC has 8 or 11 characters.')
		.default(''),
	bankName: z.string().trim().min(1, 'Name the bank.').max(80),
	currency: currencyField,
	ledger: z
		.string()
		.trim()
		.regex(/^[A-Za-z0-9]{2,12}$/, 'Give the ledger account, such as 1200.'),
	/** The balance agreed when the books begin; null for none. */
	opening: amountField.nullable().default(null)
});

/** Adds a bank account of the firm, with a ledger account of its own. */
export const addBankAccount = takesTwo(
	defineAct({
		kind: 'add-bank-account',
		role: 'supervisor',
		input: bankAccountInput,
		run: async (ctx, input) => {
			const { tx } = ctx;
			const key = bankNumberKey(input.number);
			const same = (await tx.select().from(bankAccount)).some((row) => bankNumberKey(row.number) === key);
			if (same) throw new DomainError({ code: 'number-taken', number: input.number });
			const ledger = await tx.select().from(ledgerAccount).where(eq(ledgerAccount.code, input.ledger)).get();
			if (ledger) throw new DomainError({ code: 'number-taken', number: `${ledger.code} (${ledger.name})` });
			await tx.insert(ledgerAccount).values({ code: input.ledger, name: input.name });
			await tx.insert(bankAccount).values({ ...input, bic: input.bic || null, kind: 'current' });
			await ctx.record({
				summary: { name: input.name, number: input.number },
				facts: input
			});
		}
	}),
	(_, { name, number, bankName, currency }) => ({
		...{ code: 'add-bank-account', name, number, bank: bankName, currency }
	})
);
