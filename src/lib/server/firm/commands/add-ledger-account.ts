import { eq } from 'drizzle-orm';
import { z } from 'zod';
import { defineAct } from '../../act/define-act';
import { DomainError } from '../../act/domain-error';
import { ledgerAccount } from '../../platform/db/schema';
import { readSetting, writeSetting } from '../store/settings';

export const ledgerAccountInput = z.object({
	code: z
		.string()
		.trim()
		.regex(/^[A-Za-z0-9]{2,12}$/, 'Give the code of the account: 2 to 12 letters and digits.'),
	name: z.string().trim().min(1, 'Give the account a name.').max(80),
	/** The rate of VAT that is in what is posted there, basis points of the net amount; null where there is none. */
	vatBasisPoints: z
		.number({ message: 'Give the rate as in 20 or 5.5.' })
		.int('Give the rate as in 20 or 5.5.')
		.min(1, 'Leave the rate empty where there is no VAT.')
		.max(10_000, 'That is more than 100%.')
		.nullable()
		.default(null)
});

/** Adds a ledger account of the firm's own, to which money that is not a customer's may be posted. */
export const addLedgerAccount = defineAct({
	kind: 'add-ledger-account',
	role: 'supervisor',
	input: ledgerAccountInput,
	run: async (ctx, { code, name, vatBasisPoints }): Promise<{ actId: number }> => {
		const { tx } = ctx;
		const same = await tx.select().from(ledgerAccount).where(eq(ledgerAccount.code, code)).all();
		if (same[0]) throw new DomainError({ code: 'number-taken', number: `${code} (${same[0].name})` });
		await tx.insert(ledgerAccount).values({ code, name, forSettingAside: true });
		if (vatBasisPoints !== null)
			await writeSetting(tx, 'vatOfAccounts', {
				...(await readSetting(tx, 'vatOfAccounts')),
				[code]: vatBasisPoints
			});
		const actId = await ctx.record({ summary: { code, name }, facts: { code, name, vatBasisPoints } });
		return { actId };
	}
});
