import { promisify } from 'node:util';
import { inflateRaw } from 'node:zlib';
import { simpleParser, type ParsedMail } from 'mailparser';
import type { Books } from '../platform/db/open';
import { unpackMessage } from '../platform/mail/pack-message';
import { TODAY } from '../testing';
import { writeLetters, type WriteAsked } from './write-letters';

const inflate = promisify(inflateRaw);

/** The one letter that is asked for as its message would travel, read back. */
export async function mailOf(books: Books, asked: WriteAsked): Promise<ParsedMail> {
	const [one] = await writeLetters(books.db, asked, { today: TODAY }, '2026-10-30T10:00:00.000Z');
	if (!one?.ok || !one.value.message) throw new Error(`not written: ${JSON.stringify(one)}`);
	const papers = new Map<string, Buffer>();
	for (const { hash, packed } of [one.value.paper, ...one.value.copiesOf])
		papers.set(hash, await inflate(packed));
	const eml = await unpackMessage(await inflate(one.value.message), async (hash) => papers.get(hash)!);
	return simpleParser(eml);
}
