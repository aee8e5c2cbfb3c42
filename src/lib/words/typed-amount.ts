import type { Minor } from '../core/money/minor';
import type { DecimalFault } from '../core/money/parse-decimal';
import { parseTyped } from '../core/money/parse-typed';
import { decimalSign } from './conventions';

/** An amount that a person typed, as the firm writes amounts, or as it is unmistakable. */
export function typedAmount(text: string, currency: string, signed = false): Minor | DecimalFault {
	return parseTyped(text, currency, signed, decimalSign());
}
