import { createHash, createPublicKey, createVerify } from 'node:crypto';

/** A header with its spaces as they are signed (RFC 6376, section 3.4.2). */
function relaxedHeader(field: string): string {
	const [, name, value] = /^([^:]+):([\s\S]*)$/.exec(field)!;
	return `${name!.toLowerCase().trim()}:${value!
		.replace(/\r\n/g, '')
		.replace(/[ \t]+/g, ' ')
		.trim()}`;
}

/** A body with its spaces as they are signed (RFC 6376, section 3.4.4). */
function relaxedBody(body: string): string {
	const lines = body.split('\r\n').map((line) => line.replace(/[ \t]+/g, ' ').replace(/ $/, ''));
	while (lines.at(-1) === '') lines.pop();
	return lines.length === 0 ? '' : `${lines.join('\r\n')}\r\n`;
}

/**
 * Whether the first signature of a message (RFC 6376) is by a key: worked out from the standard, for tests alone.
 * @param publicKey as it is published, SPKI in base64
 */
export function isSignedBy(
	eml: string,
	publicKey: string
): { readonly domain: string; readonly isGood: boolean } {
	const end = eml.indexOf('\r\n\r\n');
	const fields = eml.slice(0, end).split(/\r\n(?![ \t])/);
	const signature = fields.find((one) => /^dkim-signature:/i.test(one));
	if (!signature) return { domain: '', isGood: false };
	const tags = new Map(
		signature
			.slice(signature.indexOf(':') + 1)
			.split(';')
			.map((part) => [part.split('=')[0]!.trim(), part.slice(part.indexOf('=') + 1).replace(/\s/g, '')])
	);
	const body = createHash('sha256')
		.update(relaxedBody(eml.slice(end + 4)), 'latin1')
		.digest('base64');
	// Each name takes the last field of that name that is not taken yet (section 5.4.2).
	const left = fields.filter((one) => one !== signature);
	const signed = tags
		.get('h')!
		.split(':')
		.flatMap((name) => {
			const at = left.findLastIndex((one) => one.toLowerCase().startsWith(`${name.toLowerCase()}:`));
			return at < 0 ? [] : left.splice(at, 1);
		});
	const own = relaxedHeader(signature.replace(/([;\s])b=[^;]*/, '$1b='));
	const text = [...signed.map((one) => `${relaxedHeader(one)}\r\n`), own].join('');
	const key = createPublicKey({ key: Buffer.from(publicKey, 'base64'), format: 'der', type: 'spki' });
	const isTheirs = createVerify('sha256')
		.update(text, 'latin1')
		.verify(key, Buffer.from(tags.get('b')!, 'base64'));
	return { domain: tags.get('d') ?? '', isGood: isTheirs && body === tags.get('bh') };
}
