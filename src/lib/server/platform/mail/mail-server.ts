import { isLocalHost } from './is-local-host';

/** How a connection is kept from being read: from the first byte, by STARTTLS (RFC 3207, RFC 9051) or nothing; `none` on the own network alone. */
export const MAIL_SECURITIES = ['tls', 'starttls', 'none'] as const;
export type MailSecurity = (typeof MAIL_SECURITIES)[number];

/** A server of mail and who signs in there; with no user nobody does. */
export interface MailAccount {
	readonly host: string;
	readonly port: number;
	readonly security: MailSecurity;
	readonly user: string;
	readonly password: string;
}

/** With what messages are signed for their domain (DKIM, RFC 6376). */
export interface MailSigning {
	readonly domain: string;
	/** Which of the domain's keys it is. */
	readonly selector: string;
	/** PEM. */
	readonly privateKey: string;
}

/** Where messages are handed over: an account, or an address as the operator gives one; and with what they are signed. */
export interface MailRoute {
	readonly server: string | MailAccount;
	readonly signing: MailSigning | null;
	/** Where servers report what they did not deliver; to the sender where it is left out. */
	readonly returnTo?: string;
}

/** How the library is told of a server. TLS is demanded but on the own network, where it is used if the server has it. */
export function transportOptions({ server, signing }: MailRoute): object {
	const dkim = signing && {
		dkim: { domainName: signing.domain, keySelector: signing.selector, privateKey: signing.privateKey }
	};
	if (typeof server === 'string')
		return { url: server, requireTLS: !isLocalHost(new URL(server).hostname), ...dkim };
	const { host, port, security, user, password } = server;
	return {
		...{ host, port, secure: security === 'tls', requireTLS: security === 'starttls' },
		ignoreTLS: security === 'none',
		...(user ? { auth: { user, pass: password } } : {}),
		...dkim
	};
}
