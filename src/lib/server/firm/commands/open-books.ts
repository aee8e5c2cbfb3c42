import type { z } from 'zod';
import { usualLimits } from '../../../core/4-allocation/usual-limits';
import { DomainError } from '../../act/domain-error';
import { addPersonWithPassword, nobodyYet } from '../../people/commands/people';
import type { NewPerson } from '../../people/store/insert-person';
import { defineAct, madeHere } from '../../act/define-act';
import { BEGUN } from '../store/setting-up';
import { writeSetting, type CONVENTIONS_SHAPE } from '../store/settings';
import { setConventions } from './set-conventions';
import { setUpFirm, type FirmSetUp } from './set-up-firm';

/** The first start: the first supervisor and the firm, both or neither. Refused once there is anybody. */
export const openNewBooks = defineAct({
	kind: 'open-books',
	role: 'supervisor',
	input: madeHere<{
		readonly person: Omit<NewPerson, 'role'> & { readonly passwordHash: string };
		readonly firm: FirmSetUp;
		readonly conventions: z.input<typeof CONVENTIONS_SHAPE>;
	}>(),
	run: async (ctx, { person, firm, conventions }): Promise<{ actId: number }> => {
		if (!(await nobodyYet(ctx.tx)))
			throw new DomainError({ code: 'not-allowed', role: 'nobody', needs: 'supervisor' });
		const actId = await ctx.record({ summary: { firm: firm.firm.name } });
		await ctx.run(addPersonWithPassword, { ...person, role: 'supervisor' });
		await ctx.run(setUpFirm, { limits: usualLimits(firm.firm.baseCurrency), ...firm });
		await ctx.run(setConventions, conventions);
		await writeSetting(ctx.tx, 'settingUp', BEGUN);
		return { actId };
	}
});
