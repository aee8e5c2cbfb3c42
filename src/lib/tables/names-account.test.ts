import { expect, it } from 'vitest';
import { namesAccount } from './names-account';
import { openOwnTable } from './read-own-table';

const BODY = 'Date,Amount,Name,Their account\n2026-10-28,5.00,A,GB00ZZAM20406012345678\n';
it.each([
	['above its headings, as IBAN', `Account: GB00 ZZAM 2040 6012 3456 78\n${BODY}`, true],
	['by sort code and number', `20-40-60 12345678,October\n${BODY}`, true],
	['by the two with words between', `Sort code,20-40-60,Account,12345678\n${BODY}`, true],
	['in a column of its own', 'Own account,Date,Amount\nGB00ZZAM20406012345678,2026-10-28,5.00\n', true],
	[
		'not in a column that names another',
		'Own account,Date,Amount\nGB00ZZAM20406099999999,2026-10-28,5.00\n',
		false
	],
	['not within an entry', BODY, false],
	['not by another account above it', `Account: GB00 ZZAM 2040 6099 9999 99\n${BODY}`, false]
])('a table names an account %s', (_, text, want) => {
	const opened = openOwnTable('bank-table', { text, file: null }, []);
	expect(opened.ok && namesAccount(opened.value, 'GB00ZZAM20406012345678')).toBe(want);
});
