import type { StatementEntry } from '../../model/bank';
import { parseDecimal } from '../../money/parse-decimal';
import { ZERO } from '../../money/minor';
import type { Problem } from '../../problems';
import { given } from '../given';
import { plainDetail } from '../plain-detail';
import { readOfxDate } from './read-ofx-date';

/** The values of one aggregate by the names of their elements, those of aggregates within it as `CURRENCY/CURSYM`. */
export type Values = ReadonlyMap<string, string>;

/** An amount with a point or a comma, and a sign (OFX 1.6, 3.2.9.1). */
export function readOfxAmount(text: string, currency: string) {
	return parseDecimal(text.replace(',', '.'), currency, true);
}

/**
 * Reads one `STMTTRN`: null where it has a problem, which is added. `FITID` is the bank's reference, unique within its account (OFX 1.6,
 * 11.4.3).
 */
export function readTransaction(
	values: Values,
	index: number,
	currency: string,
	where: { readonly statement: string; readonly line: number },
	problems: Problem[]
): StatementEntry | null {
	const bankReference = values.get('FITID') || null;
	const place = { ...where, entry: bankReference ?? `number ${index + 1}` };
	const before = problems.length;
	const own = values.get('CURRENCY/CURSYM');
	if (own && own !== currency)
		problems.push({ code: 'entry-currency', found: own, account: currency, ...place });
	if (values.get('CORRECTFITID'))
		problems.push({ code: 'corrects-entry', other: values.get('CORRECTFITID')!, ...place });
	const posted = values.get('DTPOSTED') ?? '';
	const booked = readOfxDate(posted);
	if (!booked) problems.push({ code: 'date-bad', text: posted.slice(0, 40), part: 'DTPOSTED', ...place });
	const text = values.get('TRNAMT') ?? '';
	const amount = readOfxAmount(text, currency);
	if (typeof amount === 'string')
		problems.push({
			code: 'amount-bad',
			text: text.slice(0, 40),
			currency,
			why: amount,
			part: 'TRNAMT',
			...place
		});
	if (problems.length > before || !booked || typeof amount === 'string') return null;
	const available = values.get('DTAVAIL');
	const number = given(values.get('CHECKNUM')) ?? given(values.get('REFNUM'));
	return {
		...{
			index,
			booked,
			valued: available ? readOfxDate(available) : null,
			amount,
			currency,
			reversal: false
		},
		...{ entryReference: number, bankReference, code: values.get('TRNTYPE') || null },
		...{ text: '', charges: ZERO },
		details: [
			plainDetail({
				counterpartyName: values.get('NAME') ?? values.get('PAYEE/NAME') ?? null,
				counterpartyAccount: values.get('BANKACCTTO/ACCTID')?.replace(/\s/g, '') || null,
				text: [values.get('EXTDNAME'), values.get('MEMO')].filter(Boolean).join(' ')
			})
		]
	};
}
