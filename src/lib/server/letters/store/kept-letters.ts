import { promisify } from 'node:util';
import { inflateRaw } from 'node:zlib';
import { unpackMessage } from '../../platform/mail/pack-message';
import type { Books } from '../../platform/db/open';
import type { letter, message } from '../../platform/db/schema';

const inflate = promisify(inflateRaw);

type Kept = Pick<Books, 'papers'>;

/** The PDF of a letter as it went: kept apart, or in the books of an earlier version. */
export async function letterPaper(
	{ papers }: Kept,
	{ pdf, paperHash }: Pick<typeof letter.$inferSelect, 'pdf' | 'paperHash'>
): Promise<Buffer> {
	return paperHash === null ? Buffer.from(pdf) : papers.read(paperHash);
}

/** The message of a letter exactly as it travels (RFC 5322). */
export async function messageText(
	{ papers }: Kept,
	{ eml, packed }: Pick<typeof message.$inferSelect, 'eml' | 'packed'>
): Promise<Buffer> {
	if (packed === null) return Buffer.from(eml);
	return unpackMessage(await inflate(packed), (hash) => papers.read(hash));
}
