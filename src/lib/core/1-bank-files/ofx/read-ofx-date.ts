import { parseDay, type Day } from '../../day/day';

/**
 * The calendar day of `YYYYMMDD`, with or without a time and a zone (`20261028235959.000[-5:EST]`, OFX 1.6, 3.2.8.2): the day as it is written,
 * for banks book by their own day. Null for what is not a day.
 */
export function readOfxDate(text: string): Day | null {
	const [, year, month, date] =
		/^(\d{4})(\d\d)(\d\d)(?:\d{2}|\d{4}|\d{6})?(?:\.\d{1,6})?(?:\s?\[[^\]]{0,20}\])?$/.exec(text.trim()) ??
		[];
	return year ? parseDay(`${year}-${month}-${date}`) : null;
}
