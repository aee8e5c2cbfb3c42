import { readSetting } from '../../firm/store/settings';
import { NO_MAIL, type MailSetting } from '../../firm/store/mail-shape';
import type { Reader } from '../../platform/db/open';
import { isLocalHost } from '../../platform/mail/is-local-host';
import type { MailAccount, MailRoute } from '../../platform/mail/mail-server';
import { openSecret } from '../../platform/sealed-secret';
import type { ReturnsFrom } from '../returned-mail/returned-mail';

/** What is known of mail beside the books. */
export interface MailGiven {
	/** The operator's mail server; null for that of the settings. */
	readonly smtpUrl: string | null;
	/** The address of the stand-in, a mail server that sends nothing on. */
	readonly standIn: () => Promise<string>;
	/** The folder in which what that one reports back lies. */
	readonly returned: string;
	/** With what passwords are sealed. */
	readonly secret: string;
}

/** A password that was sealed with another secret than this application's. */
export class SealedOtherwise extends Error {
	override name = 'SealedOtherwise';
	constructor() {
		super(
			'The password in Settings was kept with another secret than this application has. A supervisor types it again in Settings, Mail.'
		);
	}
}

/**
 * Where mail is handed over now: to the operator's server, to that of the settings, else to the stand-in. Of demo books nothing leaves:
 * they have the stand-in, or a server of this network.
 * @throws SealedOtherwise where a password cannot be opened
 */
export async function mailRoute(
	db: Reader,
	{ smtpUrl, standIn, secret }: MailGiven
): Promise<MailRoute & { readonly isStandIn: boolean }> {
	const mail = (await readSetting(db, 'mail')) ?? NO_MAIL;
	const isDemo = (await readSetting(db, 'demo')) === true;
	const staysHere = async () => ({ server: await standIn(), signing: null, isStandIn: true });
	const leaves = (host: string) => isDemo && !isLocalHost(host);
	const own = {
		signing: mail.signing?.isUsed ? signingOf(mail.signing, secret) : null,
		...(mail.mailbox?.address ? { returnTo: mail.mailbox.address } : {}),
		isStandIn: false
	};
	if (smtpUrl !== null) return leaves(new URL(smtpUrl).hostname) ? staysHere() : { server: smtpUrl, ...own };
	if (mail.server === null || leaves(mail.server.host)) return staysHere();
	return { server: openAccount(mail.server, secret), ...own };
}

/** Where undelivered mail comes back now; null where nobody said. */
export async function returnsFrom(db: Reader, given: MailGiven): Promise<ReturnsFrom | null> {
	const { mailbox } = (await readSetting(db, 'mail')) ?? NO_MAIL;
	if (mailbox) return { mailbox: { ...openAccount(mailbox, given.secret), folder: mailbox.folder } };
	return (await mailRoute(db, given)).isStandIn ? { folder: given.returned } : null;
}

function openAccount(
	{ host, port, security, user, sealed }: NonNullable<MailSetting['server']>,
	secret: string
): MailAccount {
	return { host, port, security, user, password: opened(secret, sealed) };
}

function signingOf({ domain, selector, sealedKey }: NonNullable<MailSetting['signing']>, secret: string) {
	return { domain, selector, privateKey: opened(secret, sealedKey) };
}

function opened(secret: string, sealed: string): string {
	if (sealed === '') return '';
	const text = openSecret(secret, sealed);
	if (text === null) throw new SealedOtherwise();
	return text;
}
