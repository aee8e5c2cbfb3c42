import nodemailer, { type SendMailOptions } from 'nodemailer';
import { transportOptions, type MailRoute } from './mail-server';

/** How long each part of sending may take, in milliseconds. */
const BOUNDS = { connectionTimeout: 10_000, greetingTimeout: 10_000, socketTimeout: 30_000 };

/** What went wrong with a message. */
export interface MailError {
	readonly code?: string;
	/** The code that the server answered with (RFC 5321, section 4.2.3), where it did. */
	readonly responseCode?: number;
	readonly response?: string;
	readonly message: string;
}

/** A way to the mail server, that can say how far a message came which was not taken. */
export interface Transport {
	/** @throws MailError */
	sendMail(mail: SendMailOptions): Promise<{ readonly response: string }>;
	/** Whether the last message was handed over whole: the server may have taken it, whatever was heard since. */
	readonly wasHandedOver: boolean;
	close(): void;
}

/** A way to the mail server that gives up rather than hang: ten seconds to be greeted, half a minute of silence. */
export function openTransport(route: MailRoute, bounds: Partial<typeof BOUNDS> = {}): Transport {
	let wasHandedOver = false;
	const nothing = () => undefined;
	// The library notes `message` when the last line of one was written to the connection.
	const info = (entry: { readonly tnx?: string }) => {
		if (entry.tnx === 'message') wasHandedOver = true;
	};
	const logger = { trace: nothing, debug: nothing, info, warn: nothing, error: nothing, fatal: nothing };
	const options: object = { ...BOUNDS, ...bounds, ...transportOptions(route), logger };
	const transport = nodemailer.createTransport(options);
	return {
		sendMail: async (mail) => {
			wasHandedOver = false;
			const { response } = (await transport.sendMail(mail)) as { readonly response?: unknown };
			return { response: String(response ?? '') };
		},
		get wasHandedOver() {
			return wasHandedOver;
		},
		close: () => transport.close()
	};
}
