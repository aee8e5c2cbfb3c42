import { anchorCode } from '../../platform/anchors/anchor-code';
import type { MailRoute } from '../../platform/mail/mail-server';
import { openTransport } from '../../platform/mail/open-transport';
import { anchorMail } from '../../../words';

/** Sends an anchor to the firm's auditor; returns null, or what went wrong. */
export async function mailAnchor(
	route: MailRoute,
	firm: { readonly name: string; readonly email: string },
	auditor: { readonly email: string },
	anchor: { readonly seals: number; readonly head: string; readonly day: string; readonly signed: string }
): Promise<string | null> {
	const transport = openTransport(route);
	try {
		const { subject, text } = anchorMail(firm.name, anchor.day, anchorCode(anchor));
		await transport.sendMail({
			from: { name: firm.name, address: firm.email },
			to: auditor.email,
			subject,
			text,
			attachments: [{ filename: `anchor-${anchor.day}-${anchor.seals}.json`, content: `${anchor.signed}\n` }]
		});
		return null;
	} catch (error) {
		return (error as Error).message.slice(0, 400);
	} finally {
		transport.close();
	}
}
