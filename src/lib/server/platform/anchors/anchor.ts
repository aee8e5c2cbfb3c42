import { createPublicKey, sign, verify, type KeyObject } from 'node:crypto';
import { z } from 'zod';

/** The head of the chain of seals at a moment, signed, to lie outside the books: what comes before it cannot be made anew unseen. */
export const anchorShape = z.object({
	format: z.literal('odd-penny-anchor-1'),
	/** Which books: the hash of their first seal. */
	books: z.string().max(100),
	/** How many seals the chain has, and the hash of the last. */
	seals: z.number().int().positive(),
	head: z.string().max(100),
	/** How many acts are in the record. */
	acts: z.number().int().nonnegative(),
	/** The day of the books, `YYYY-MM-DD`. */
	day: z.string().max(10),
	/** When it was signed, ISO 8601 in UTC. */
	at: z.string().max(40),
	/** Why: the day was over, a period was locked, or just the last head that was seen. */
	reason: z.enum(['day', 'lock', 'head']),
	/** The key that signed it: Ed25519, SubjectPublicKeyInfo (RFC 8410), base64url. */
	publicKey: z.string().max(200),
	/** Over the fields before, as JSON of their values in this order (RFC 8032), base64url. */
	signature: z.string().max(200)
});
export type Anchor = z.infer<typeof anchorShape>;
export type Unsigned = Omit<Anchor, 'format' | 'publicKey' | 'signature'>;

/** Signs the head of a chain. */
export function signAnchor(given: Unsigned, key: KeyObject): Anchor {
	const publicKey = publicText(key);
	const anchor = { format: 'odd-penny-anchor-1' as const, ...given, publicKey };
	return { ...anchor, signature: sign(null, signedText(anchor), key).toString('base64url') };
}

/** Whether an anchor is signed by the key that it names. */
export function isSigned(anchor: Anchor): boolean {
	try {
		const key = createPublicKey({
			key: Buffer.from(anchor.publicKey, 'base64url'),
			format: 'der',
			type: 'spki'
		});
		if (key.asymmetricKeyType !== 'ed25519') return false;
		return verify(null, signedText(anchor), key, Buffer.from(anchor.signature, 'base64url'));
	} catch {
		return false;
	}
}

/** A public key, or that of a private one, as anchors name it. */
export function publicText(key: KeyObject): string {
	const open = key.type === 'private' ? createPublicKey(key) : key;
	return open.export({ format: 'der', type: 'spki' }).toString('base64url');
}

function signedText(anchor: Omit<Anchor, 'signature'>): Buffer {
	const { format, books, seals, head, acts, day, at, reason, publicKey } = anchor;
	return Buffer.from(JSON.stringify([format, books, seals, head, acts, day, at, reason, publicKey]));
}
