import { z } from 'zod';
import { defineAct } from '../../act/define-act';
import { DomainError } from '../../act/domain-error';
import { emailField } from '../../act/fields';
import { readSetting, writeSetting, type Setting } from '../store/settings';

export const firmInput = z.object({
	name: z.string().trim().min(1, 'Type the name of the firm.').max(200),
	address: z
		.array(z.string().trim().max(200, 'Each line may be 200 letters long.'))
		.max(8, 'An address has eight lines at most.')
		.transform((lines) => lines.filter(Boolean)),
	email: emailField,
	phone: z.string().trim().max(40, 'That is longer than 40 letters.'),
	/** As it stands at the foot of letters: where the firm is registered, and its VAT number. */
	registration: z.string().trim().max(400, 'That is longer than 400 letters.')
});

/** Changes what letters and documents say of the firm. The currency of its books stays what it is. */
export const setFirm = defineAct({
	kind: 'set-firm',
	role: 'supervisor',
	input: firmInput,
	run: async (ctx, input): Promise<{ actId: number | null }> => {
		const before = await readSetting(ctx.tx, 'firm');
		if (!before) throw new DomainError({ code: 'not-found', what: 'firm' });
		const { baseCurrency, logo } = before;
		const after = { ...input, baseCurrency, ...(logo ? { logo } : {}) };
		if (JSON.stringify({ ...before, ...after }) === JSON.stringify(before))
			return ctx.unchanged({ actId: null });
		await writeSetting(ctx.tx, 'firm', after);
		return {
			actId: await ctx.record({
				summary: { firm: input.name },
				facts: { before: withoutPicture(before), after: withoutPicture(after) }
			})
		};
	}
});

/** The firm without the bytes of its picture, which no record needs. */
const withoutPicture = ({ logo: _logo, ...firm }: Setting<'firm'>) => firm;
