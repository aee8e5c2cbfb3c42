import { takesTwo } from '../../approvals/store/takes-two';
import { defineAct } from '../../act/define-act';
import { NO_MAIL } from '../store/mail-shape';
import { readSetting, writeSetting } from '../store/settings';
import { accountFields, keepsSecret, NEEDS_TLS } from './mail-fields';

/** Sets through which server mail goes. Codes to set a password go that way, too: who runs it can read them, so it takes two people. */
export const setMailServer = takesTwo(
	defineAct({
		kind: 'set-mail-server',
		role: 'supervisor',
		input: accountFields.refine(keepsSecret, NEEDS_TLS),
		run: async (ctx, input): Promise<{ actId: number }> => {
			const mail = (await readSetting(ctx.tx, 'mail')) ?? NO_MAIL;
			await writeSetting(ctx.tx, 'mail', { ...mail, server: input.host === '' ? null : input });
			const { host, port, security, user } = input;
			return { actId: await ctx.record({ summary: { host, user }, facts: { host, port, security, user } }) };
		}
	}),
	(_, { host, user }) => ({ code: 'set-mail-server', host, user })
);
