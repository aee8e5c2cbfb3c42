import { z } from 'zod';
import { emailField } from '../../act/fields';
import { defineAct } from '../../act/define-act';
import { NO_MAIL } from '../store/mail-shape';
import { readSetting, writeSetting } from '../store/settings';
import { accountFields, keepsSecret, NEEDS_TLS } from './mail-fields';

/** Sets which mailbox is read for letters that were not delivered, and to which address servers report them. */
export const setMailbox = defineAct({
	kind: 'set-mailbox',
	role: 'supervisor',
	input: accountFields
		.extend({
			folder: z.string().trim().max(200, 'That is longer than a folder’s name may be.'),
			address: z.union([z.literal(''), emailField])
		})
		.refine(keepsSecret, NEEDS_TLS),
	run: async (ctx, input): Promise<{ actId: number }> => {
		const mail = (await readSetting(ctx.tx, 'mail')) ?? NO_MAIL;
		await writeSetting(ctx.tx, 'mail', { ...mail, mailbox: input.host === '' ? null : input });
		const { host, port, security, user, folder, address } = input;
		const facts = { host, port, security, user, folder, address };
		return { actId: await ctx.record({ summary: { host, user }, facts }) };
	}
});
