import { bankNumberKey, plainBankNumber } from '../core/text/bank-number';
import type { OpenedTable } from './read-own-table';

/**
 * Whether a bank's table says that it is of an account: above its headings, or in each row of a column of its own. What stands within an
 * entry names whoever paid or was paid, which may be another account of the firm.
 * @param number of the account, as it is kept
 */
export function namesAccount({ above, rows, seen }: OpenedTable, number: string): boolean {
	const key = bankNumberKey(number);
	const own = seen.columns.own_account;
	const values = own === undefined ? [] : rows.flatMap(({ cells }) => cells[own]?.trim() || []);
	if (values.length > 0) return values.every((value) => bankNumberKey(value) === key);
	return above.some(({ cells }) => {
		const plain = plainBankNumber(cells.join(' '));
		// Sort code and number may stand in cells of their own, with words between.
		return plain.includes(plainBankNumber(number)) || plain.includes(key) || plain.replace(/\D/g, '') === key;
	});
}
