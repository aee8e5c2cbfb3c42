import { hashOfPaper } from '../files/papers';

/** What a message is made of: its own text with a mark where each paper hangs. */
const MARK = /\0([0-9a-f]{64})\0/g;
const LINE = 76;

/**
 * The text of a message without the papers that hang on it, each replaced by its hash.
 * @param eml as it travels (RFC 5322), papers in base64 with lines of 76 (RFC 2045, section 6.8)
 * @returns the whole message where a paper does not stand in it so
 */
export function packMessage(eml: Buffer, papers: readonly Uint8Array[]): Buffer {
	let text = eml.toString('latin1');
	for (const paper of papers) text = text.replace(inBase64(paper), `\0${hashOfPaper(paper)}\0`);
	return Buffer.from(text, 'latin1');
}

/** The message as it travelled. @param read gives a paper by its hash */
export async function unpackMessage(
	packed: Uint8Array,
	read: (hash: string) => Promise<Uint8Array>
): Promise<Buffer> {
	const text = Buffer.from(packed).toString('latin1');
	const hashes = [...new Set([...text.matchAll(MARK)].map((found) => found[1]!))];
	const papers = new Map(
		await Promise.all(hashes.map(async (hash) => [hash, inBase64(await read(hash))] as const))
	);
	return Buffer.from(
		text.replace(MARK, (_, hash: string) => papers.get(hash)!),
		'latin1'
	);
}

function inBase64(bytes: Uint8Array): string {
	const text = Buffer.from(bytes).toString('base64');
	const lines: string[] = [];
	for (let at = 0; at < text.length; at += LINE) lines.push(text.slice(at, at + LINE));
	return lines.join('\r\n');
}
