import nodemailer from 'nodemailer';

/** A way to the mail server that gives up rather than hang: ten seconds to be greeted, half a minute of silence. */
export function openTransport(smtpUrl: string) {
	const bounds: object = { connectionTimeout: 10_000, greetingTimeout: 10_000, socketTimeout: 30_000 };
	return nodemailer.createTransport(smtpUrl, bounds);
}
