import { randomUUID } from 'node:crypto';

/**
 * A report that a message was not delivered, as a mail server sends one back (RFC 3462, RFC 3464): words for people, fields for
 * machines, and the header of the message.
 * @param original the message as it was handed over
 */
export function composeReport(
	{
		from,
		to,
		host,
		at
	}: { readonly from: string; readonly to: string; readonly host: string; readonly at: Date },
	{ status, said }: { readonly status: string; readonly said: string },
	original: Buffer
): Buffer {
	const boundary = `report-${randomUUID()}`;
	const header = original.toString('latin1').split(/\r?\n\r?\n/, 1)[0]!;
	const lines = [
		'Return-Path: <>',
		`Date: ${at.toUTCString().replace('GMT', '+0000')}`,
		`From: Mail Delivery Subsystem <mailer-daemon@${host}>`,
		`To: ${from}`,
		`Message-ID: <${randomUUID()}@${host}>`,
		'Subject: Undelivered mail returned to sender',
		'Auto-Submitted: auto-replied',
		'MIME-Version: 1.0',
		`Content-Type: multipart/report; report-type=delivery-status; boundary="${boundary}"`,
		'',
		`--${boundary}`,
		'Content-Type: text/plain; charset=utf-8',
		'',
		`Your message to ${to} could not be delivered: ${said}`,
		'',
		`--${boundary}`,
		'Content-Type: message/delivery-status',
		'',
		`Reporting-MTA: dns; ${host}`,
		'',
		`Final-Recipient: rfc822; ${to}`,
		'Action: failed',
		`Status: ${status}`,
		`Diagnostic-Code: smtp; ${said}`,
		'',
		`--${boundary}`,
		'Content-Type: text/rfc822-headers',
		'',
		header,
		'',
		`--${boundary}--`,
		''
	];
	return Buffer.from(lines.join('\r\n'), 'latin1');
}
