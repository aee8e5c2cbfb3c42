import { desc, eq } from 'drizzle-orm';
import { z } from 'zod';
import { nameKey } from '../../../core/text/name-key';
import { nextCode } from '../../../core/text/next-code';
import { customer, customerName, payerAccount } from '../../platform/db/schema';
import { NO_DETAILS } from '../../../core/model/customer-details';
import { parentAt } from '../store/parent-at';
import { termsField } from '../../firm/store/terms-shape';
import { detailsField, nameField } from './customer-fields';
import { accountNumberField, currencyField, emailField } from '../../act/fields';
import { DomainError } from '../../act/domain-error';
import { defineAct } from '../../act/define-act';
import { addCustomers } from './add-customers';

export const accountInput = z.object({
	name: nameField,
	/** Left empty, it is the next one. */
	code: z.string().trim().max(60).default(''),
	currency: currencyField,
	termsDays: termsField,
	email: z.literal('').or(emailField).default(''),
	/** All else that is kept of them, where it is known already; the name and the terms above count. */
	details: detailsField.nullable().default(null),
	/** The name on their payment, and the account that it came from, where a receipt is the reason; both are known from then on. */
	payerName: z.string().trim().max(200).default(''),
	payerAccount: z.literal('').or(accountNumberField('That is not the number of a bank account.')).default('')
});

/** Opens an account for a new customer, by hand. */
export const openAccount = defineAct({
	kind: 'open-account',
	role: 'clerk',
	input: accountInput,
	run: async (ctx, input): Promise<{ actId: number; customerId: number; code: string }> => {
		const { tx } = ctx;
		const { name, payerName } = input;
		const same = await tx
			.select({ code: customer.code })
			.from(customerName)
			.innerJoin(customer, eq(customer.id, customerName.customerId))
			.where(eq(customerName.key, nameKey(name)))
			.limit(1)
			.all();
		if (same[0])
			throw new DomainError({
				...{ code: 'field', field: 'name' },
				message: `There is an account of that name already: ${same[0].code}.`
			});
		const newest = await tx
			.select({ code: customer.code, name: customer.name })
			.from(customer)
			.orderBy(desc(customer.id))
			.limit(1)
			.all();
		const taken = async (code: string) =>
			(await tx.select({ id: customer.id }).from(customer).where(eq(customer.code, code)).all()).length > 0;
		let code = input.code || nextCode(newest[0] ?? null, name);
		if (input.code && (await taken(code))) throw new DomainError({ code: 'number-taken', number: code });
		while (await taken(code)) code = nextCode({ code, name }, name);
		const known = input.payerAccount
			? await tx
					.select({ id: payerAccount.id })
					.from(payerAccount)
					.where(eq(payerAccount.account, input.payerAccount))
					.all()
			: [];
		const actId = await ctx.record({ summary: { customer: name, code }, facts: { ...input, code } });
		const details = input.details ?? {
			...NO_DETAILS,
			...{ statementEmail: input.email || null },
			otherNames: payerName && nameKey(payerName) !== nameKey(name) ? [payerName] : [],
			// One that somebody else pays from is no sign of this customer.
			payerAccounts: input.payerAccount && known.length === 0 ? [input.payerAccount] : []
		};
		if (details.parentCode !== null) await parentAt(tx, details.parentCode);
		const { currency } = input;
		const termsDays = details.termsParts.at(-1)?.days ?? input.termsDays;
		const ids = await ctx.run(addCustomers, [{ ...details, name, termsDays, code, currency }]);
		const customerId = ids[code]!;
		return { actId, customerId, code };
	}
});
