import { z } from 'zod';
import { DomainError } from '../../act/domain-error';
import { defineAct } from '../../act/define-act';
import { NO_MAIL } from '../store/mail-shape';
import { readSetting, writeSetting } from '../store/settings';

const LABEL = '[A-Za-z0-9](?:[A-Za-z0-9-]{0,61}[A-Za-z0-9])?';
const DOMAIN = new RegExp(`^${LABEL}(?:\\.${LABEL})+$`);

/** For what a key is made: the domain of the firm's address, and a name by which the key is found there. */
export const signingFor = z.object({
	domain: z
		.string()
		.trim()
		.toLowerCase()
		.max(200)
		.regex(DOMAIN, 'Give the domain of your e-mail address, such as firm.example.'),
	selector: z
		.string()
		.trim()
		.toLowerCase()
		.max(60)
		.regex(new RegExp(`^${LABEL}$`), 'A word of letters, digits and hyphens, such as oddpenny1.')
});

/** Keeps a new key to sign messages with. Nothing is signed with it before its public half is found published. */
export const makeSigningKey = defineAct({
	kind: 'make-signing-key',
	role: 'supervisor',
	input: signingFor.extend({ publicKey: z.string().max(2_000), sealedKey: z.string().max(8_000) }),
	run: async (ctx, input): Promise<{ actId: number }> => {
		const mail = (await readSetting(ctx.tx, 'mail')) ?? NO_MAIL;
		await writeSetting(ctx.tx, 'mail', { ...mail, signing: { ...input, isUsed: false } });
		const { domain, selector, publicKey } = input;
		return { actId: await ctx.record({ summary: { domain, selector }, facts: { publicKey } }) };
	}
});

/** Signs messages from now on, or no longer. */
export const useSigningKey = defineAct({
	kind: 'use-signing-key',
	role: 'supervisor',
	input: z.object({ on: z.boolean() }),
	run: async (ctx, { on }): Promise<{ actId: number }> => {
		const mail = (await readSetting(ctx.tx, 'mail')) ?? NO_MAIL;
		if (!mail.signing) throw new DomainError({ code: 'not-found', what: 'key to sign with' });
		await writeSetting(ctx.tx, 'mail', { ...mail, signing: { ...mail.signing, isUsed: on } });
		return { actId: await ctx.record({ summary: { domain: mail.signing.domain, on } }) };
	}
});
