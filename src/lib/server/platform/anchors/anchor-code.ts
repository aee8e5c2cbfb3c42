import { createHash } from 'node:crypto';

/** Letters and digits that are not mistaken for each other on paper (RFC 4648 base 32 without I, L, O, U as Crockford's). */
const SIGNS = '0123456789ABCDEFGHJKMNPQRSTVWXYZ';
const GROUPS = 4;

/** The head of a chain as a short code for paper: 80 bits of its hash, in four groups of four. */
export function anchorCode({ seals, head }: { readonly seals: number; readonly head: string }): string {
	const bytes = createHash('sha256').update(`${seals} ${head}`).digest();
	let bits = 0n;
	for (const byte of bytes.subarray(0, 10)) bits = (bits << 8n) | BigInt(byte);
	const signs = Array.from(
		{ length: GROUPS * 4 },
		(_, at) => SIGNS[Number((bits >> BigInt(75 - 5 * at)) & 31n)]
	);
	return Array.from({ length: GROUPS }, (_, group) => signs.slice(group * 4, group * 4 + 4).join('')).join(
		'-'
	);
}
