import { minor, type Minor } from '../../core/money/minor';
import { taxWithin } from '../../core/money/tax-within';
import { money, percent } from './format';

/**
 * How much of a bank entry is VAT, and whether it is owed or reclaimed: `£20.00 of it is VAT at 20%, owed.`
 * @param entry its amount in minor units, negative where money went out
 * @param basisPoints the rate, of the net sum
 */
export function vatSentence(
	{ amount, currency }: { readonly amount: Minor | number; readonly currency: string },
	basisPoints: number
): string {
	const tax = money(taxWithin(minor(Math.abs(amount)), basisPoints), currency);
	return `${tax} of it is VAT at ${percent(basisPoints)}, ${amount < 0 ? 'to be reclaimed' : 'owed'}.`;
}
