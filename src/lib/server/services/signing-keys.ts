import { generateKeyPair } from 'node:crypto';
import { resolveTxt } from 'node:dns/promises';
import { promisify } from 'node:util';

/** Both halves of a key of 2048 bits (RFC 8301, section 3.2): the private one as PEM, the public one as it is published. */
export async function newSigningKey(): Promise<{ readonly publicKey: string; readonly privateKey: string }> {
	const made = await promisify(generateKeyPair)('rsa', {
		modulusLength: 2048,
		publicKeyEncoding: { type: 'spki', format: 'der' },
		privateKeyEncoding: { type: 'pkcs8', format: 'pem' }
	});
	return { publicKey: made.publicKey.toString('base64'), privateKey: made.privateKey };
}

/** Where the public half stands in the domain's names (RFC 6376, section 3.6.2.1), and what stands there. */
export function signingRecord({
	domain,
	selector,
	publicKey
}: {
	readonly domain: string;
	readonly selector: string;
	readonly publicKey: string;
}): { readonly name: string; readonly text: string } {
	return { name: `${selector}._domainkey.${domain}`, text: `v=DKIM1; k=rsa; p=${publicKey}` };
}

/**
 * What stands against signing with a key: null where its public half is published as it is.
 * @param resolve looks up the texts of a name (RFC 1035, TXT), each in pieces
 */
export async function notPublished(
	key: { readonly domain: string; readonly selector: string; readonly publicKey: string },
	resolve: (name: string) => Promise<string[][]> = resolveTxt
): Promise<string | null> {
	const { name } = signingRecord(key);
	let found: string[];
	try {
		found = (await resolve(name)).map((pieces) => pieces.join(''));
	} catch (error) {
		const { code } = error as { readonly code?: string };
		return code === 'ENOTFOUND' || code === 'ENODATA'
			? `Nothing is published at ${name} yet. It may take some hours until it is seen everywhere.`
			: `${name} could not be looked up (${code ?? 'no answer'}). Try again later; nothing was changed.`;
	}
	const tags = found.map((text) => /(?:^|;)\s*p\s*=\s*([^;]*)/.exec(text)?.[1]?.replace(/\s/g, ''));
	return tags.includes(key.publicKey)
		? null
		: `What is published at ${name} is another key. Publish the one shown here, or make a new one.`;
}
