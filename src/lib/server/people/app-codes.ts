import { createHmac, timingSafeEqual } from 'node:crypto';
import { createOTP } from '@better-auth/utils/otp';

/** A code lasts so many seconds (RFC 6238, 5.2), and the one before and after are taken, too: clocks differ. */
const PERIOD = 30;
const AROUND = 1;
/** Bytes of a key: as many as the hash that it is used with has (RFC 4226, 4, R6). */
const KEY_BYTES = 20;
/** RFC 4648, 6. */
const BASE_32 = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ234567';

/**
 * The key that an app on a person's phone makes codes from. It is worked out from the application's secret (HMAC-SHA256, RFC 2104) and a
 * mark, and kept nowhere: who reads the books' file makes no codes.
 */
export function appKey(secret: string, userId: string, mark: string): Buffer {
	return createHmac('sha256', secret)
		.update(`codes of an app ${mark} ${userId}`)
		.digest()
		.subarray(0, KEY_BYTES);
}

/** A key as one types it into an app: base 32 (RFC 4648), in groups of four. */
export function keyText(key: Buffer): string {
	let bits = '';
	for (const byte of key) bits += byte.toString(2).padStart(8, '0');
	const letters = bits.match(/.{5}/g)!.map((five) => BASE_32[parseInt(five, 2)]);
	return letters.join('').replace(/.{4}(?=.)/g, '$& ');
}

/** What the app reads as a picture: the key, whose it is, and where it is for. */
export function keyAddress(key: Buffer, account: string): string {
	return createOTP(new Uint8Array(key)).url('Odd Penny', account);
}

/**
 * The step (of thirty seconds, RFC 6238) of which a code is; null where it is none of now, or of a step that was shown already: nobody
 * comes in by a code that was looked over somebody's shoulder (5.2).
 * @param after the last step that was shown
 * @param now milliseconds
 */
export async function stepOfCode(
	key: Buffer,
	typed: string,
	{ after, now }: { readonly after: number; readonly now: number }
): Promise<number | null> {
	const digits = typed.replace(/\s/g, '');
	if (!/^\d{6}$/.test(digits)) return null;
	const codes = createOTP(new Uint8Array(key));
	const current = Math.floor(now / 1000 / PERIOD);
	for (let step = current - AROUND; step <= current + AROUND; step++) {
		const code = await codes.hotp(step);
		if (step > after && timingSafeEqual(Buffer.from(code), Buffer.from(digits))) return step;
	}
	return null;
}
