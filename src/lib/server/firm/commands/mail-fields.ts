import { z } from 'zod';
import { isLocalHost } from '../../platform/mail/is-local-host';
import { MAIL_SECURITIES } from '../../platform/mail/mail-server';

const PORT = 'Give the port as a whole number, such as 587.';

/** A server and its account as a form gives them, the password sealed by then; with no host there is none. */
export const accountFields = z.object({
	host: z
		.string()
		.trim()
		.max(253, 'That is longer than a host’s name may be.')
		.regex(
			/^(?:[A-Za-z0-9.-]*|[0-9A-Fa-f:.]+)$/,
			'Give the name of the server alone, such as mail.firm.example.'
		),
	port: z.number(PORT).int(PORT).min(1, PORT).max(65_535, PORT),
	security: z.enum(MAIL_SECURITIES),
	user: z.string().trim().max(300, 'That is longer than a user’s name may be.'),
	sealed: z.string().max(4_000)
});

/** Mail is not read on its way: without TLS a server is reached on the own network alone. */
export const keepsSecret = ({ host, security }: Pick<z.output<typeof accountFields>, 'host' | 'security'>) =>
	security !== 'none' || host === '' || isLocalHost(host);

export const NEEDS_TLS = {
	message: 'Without TLS everybody on the way reads along: that is for a server of your own network alone.',
	path: ['security']
};
