import { addDays } from '../../../core/day/arithmetic';
import { ratesBetween } from '../store/rates';
import { readSetting } from '../store/settings';
import { defineLook } from '../../act/define-look';

/** As many days back are shown. */
const DAYS = 60;

/** Exchange rates of the last days, a row for each day and a column for each currency. */
export const lookAtRates = defineLook('reader', async (db, _: null, { today }) => {
	const rows = await ratesBetween(db, addDays(today, -DAYS), addDays(today, DAYS));
	const currencies = [...new Set(rows.map((row) => row.currency))].sort();
	const days = new Map<string, Record<string, number>>();
	for (const { day, currency, millionths } of rows)
		days.set(day, { ...days.get(day), [currency]: millionths });
	return {
		base: (await readSetting(db, 'firm'))?.baseCurrency ?? 'GBP',
		currencies,
		days: [...days].map(([day, rates]) => ({ day, rates }))
	};
});
