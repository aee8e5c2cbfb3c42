import type { delivery } from '../platform/db/schema';

/**
 * A letter as it travels when it is sent again after it had been taken: the same message with who sends it again, when, to whom and
 * under which id in front (RFC 5322, section 3.6.6), so that a report tells which time it is about. What was never sent again is as it was written.
 */
export function resentMessage(
	eml: Buffer,
	{ resentTo, resentAt, resentId }: Pick<typeof delivery.$inferSelect, 'resentTo' | 'resentAt' | 'resentId'>,
	from: string
): Buffer {
	if (resentTo === null || resentAt === null || resentId === null) return eml;
	const lines = [
		`Resent-Date: ${new Date(resentAt).toUTCString().replace('GMT', '+0000')}`,
		`Resent-From: <${from}>`,
		`Resent-To: <${resentTo}>`,
		`Resent-Message-ID: ${resentId}`
	];
	return Buffer.concat([Buffer.from(lines.map((line) => `${line}\r\n`).join(''), 'utf8'), eml]);
}
