import { createCipheriv, createDecipheriv, hkdfSync, randomBytes } from 'node:crypto';

/** AES-256 in Galois/Counter Mode (NIST SP 800-38D): what was changed is not opened. */
const CIPHER = 'aes-256-gcm';
const [IV_BYTES, TAG_BYTES] = [12, 16];
/** In front of what is sealed in this way. */
const FORM = 'sealed-1:';

/** Worked out from the application's secret, for this use alone (HKDF, RFC 5869). */
function keyOf(secret: string): Buffer {
	return Buffer.from(hkdfSync('sha256', secret, '', 'secrets that are kept in the books', 32));
}

/**
 * A password as it may be kept: who has the books' file without the application's secret cannot read it.
 * @param secret that of the application
 */
export function sealSecret(secret: string, text: string): string {
	const iv = randomBytes(IV_BYTES);
	const cipher = createCipheriv(CIPHER, keyOf(secret), iv);
	const sealed = Buffer.concat([cipher.update(text, 'utf8'), cipher.final()]);
	return FORM + Buffer.concat([iv, cipher.getAuthTag(), sealed]).toString('base64url');
}

/** What was sealed; null where it was with another secret, or was changed since. */
export function openSecret(secret: string, sealed: string): string | null {
	if (!sealed.startsWith(FORM)) return null;
	const bytes = Buffer.from(sealed.slice(FORM.length), 'base64url');
	if (bytes.length < IV_BYTES + TAG_BYTES) return null;
	const decipher = createDecipheriv(CIPHER, keyOf(secret), bytes.subarray(0, IV_BYTES));
	decipher.setAuthTag(bytes.subarray(IV_BYTES, IV_BYTES + TAG_BYTES));
	try {
		return Buffer.concat([decipher.update(bytes.subarray(IV_BYTES + TAG_BYTES)), decipher.final()]).toString(
			'utf8'
		);
	} catch {
		return null;
	}
}
