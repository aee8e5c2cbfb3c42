import { sortCodeAndNumber } from '../../core/text/bank-number';

/** An account as one is told to pay to it: "IBAN GB12 ZZAM …", or "sort code 20-14-53, account number 00012345". */
export function bankNumberText(number: string): string {
	const british = sortCodeAndNumber(number);
	return british
		? `sort code ${british.sortCode}, account number ${british.account}`
		: `${/^[A-Z]{2}\d{2}/.test(number) ? 'IBAN' : 'account number'} ${number.replace(/(.{4})(?=.)/g, '$1 ')}`;
}
