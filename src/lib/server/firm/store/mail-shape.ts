import { z } from 'zod';
import { MAIL_SECURITIES } from '../../platform/mail/mail-server';

/** A server and who signs in there; the password as it is kept, sealed. */
const ACCOUNT = z.object({
	host: z.string(),
	port: z.number().int(),
	security: z.enum(MAIL_SECURITIES),
	user: z.string(),
	sealed: z.string()
});

/** How the firm's mail goes, and where what was not delivered comes back. */
export const MAIL_SHAPE = z.object({
	server: ACCOUNT.nullable(),
	/** The mailbox that is read for reports; `address` is where servers send them, the firm's own where it is empty. */
	mailbox: ACCOUNT.extend({ folder: z.string(), address: z.string() }).nullable(),
	/** The key by which messages are signed for the domain; `isUsed` from when its other half was found published. */
	signing: z
		.object({
			domain: z.string(),
			selector: z.string(),
			publicKey: z.string(),
			sealedKey: z.string(),
			isUsed: z.boolean()
		})
		.nullable()
});

export type MailSetting = z.infer<typeof MAIL_SHAPE>;

/** Before anything was set. */
export const NO_MAIL: MailSetting = { server: null, mailbox: null, signing: null };
