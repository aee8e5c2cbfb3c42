import fc from 'fast-check';
import { expect, test } from 'vitest';
import { openSecret, sealSecret } from './sealed-secret';

test('what was sealed is opened with the same secret alone, and looks different each time', () => {
	fc.assert(
		fc.property(
			fc.string({ minLength: 32 }),
			fc.string({ minLength: 32 }),
			fc.string(),
			(own, other, text) => {
				const clean = Buffer.from(text, 'utf8').toString('utf8');
				const sealed = sealSecret(own, clean);
				expect(openSecret(own, sealed)).toBe(clean);
				expect(sealSecret(own, clean)).not.toBe(sealed);
				if (own !== other) expect(openSecret(other, sealed)).toBeNull();
				if (clean.length > 6) expect(sealed).not.toContain(clean);
			}
		),
		{ numRuns: 50 }
	);
});

test('what was changed is not opened', () => {
	const secret = 'x'.repeat(32);
	const sealed = sealSecret(secret, 'of the mail server');
	for (let at = 'sealed-1:'.length; at < sealed.length; at++) {
		const changed = sealed.slice(0, at) + (sealed[at] === 'A' ? 'B' : 'A') + sealed.slice(at + 1);
		// The last letter of base64 may hold bits that say nothing.
		if (at < sealed.length - 1) expect(openSecret(secret, changed)).toBeNull();
	}
	for (const none of ['', 'of the mail server', 'sealed-1:', 'sealed-1:AAAA', 'sealed-2:AAAA'])
		expect(openSecret(secret, none)).toBeNull();
});
