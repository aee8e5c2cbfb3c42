import { expect, it } from 'vitest';
import { appKey, keyAddress, keyText, stepOfCode } from './app-codes';

/** RFC 6238, appendix B, SHA-1: the last six of its eight digits. */
const KEY = Buffer.from('12345678901234567890');
const VECTORS = [
	[59, '287082'],
	[1_111_111_109, '081804'],
	[1_111_111_111, '050471'],
	[1_234_567_890, '005924'],
	[2_000_000_000, '279037'],
	[20_000_000_000, '353130']
] as const;

it.each(VECTORS)('at %d seconds the code is that of the standard', async (seconds, code) => {
	const step = Math.floor(seconds / 30);
	const at = (after: number, shift: number) =>
		stepOfCode(KEY, code, { after, now: (seconds + shift) * 1000 });
	expect(await at(0, 0)).toBe(step);
	// A clock that goes half a minute wrong is borne, more is not; nothing is taken twice.
	expect([await at(0, 30), await at(0, -30)]).toEqual([step, step]);
	expect([await at(0, 90), await at(0, -90), await at(step, 0)]).toEqual([null, null, null]);
});

it.each(['', '28708', '2870820', 'abcdef', '２８７０８２', '-28708', '1e4000'])(
	'“%s” is no code',
	async (typed) => expect(await stepOfCode(KEY, typed, { after: 0, now: 59_000 })).toBe(null)
);

it('blanks in it make no difference', async () =>
	expect(await stepOfCode(KEY, ' 287 082 ', { after: 0, now: 59_000 })).toBe(1));

it('a key is each person’s and each mark’s own, and typed in base 32', () => {
	const key = (secret: string, user: string, mark: string) => appKey(secret, user, mark).toString('hex');
	const all = [key('s', 'u', 'm'), key('t', 'u', 'm'), key('s', 'v', 'm'), key('s', 'u', 'n')];
	expect(new Set(all).size).toBe(4);
	expect(keyText(KEY)).toBe('GEZD GNBV GY3T QOJQ GEZD GNBV GY3T QOJQ');
	const address = new URL(keyAddress(KEY, 'wren@ashlock-kiln.example'));
	expect([address.protocol, address.host, address.searchParams.get('secret')]).toEqual([
		...['otpauth:', 'totp', 'GEZDGNBVGY3TQOJQGEZDGNBVGY3TQOJQ']
	]);
});
