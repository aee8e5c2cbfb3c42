import type { Minor } from '../../money/minor';
import { parseDecimal, type DecimalFault } from '../../money/parse-decimal';

/** An amount as these messages write it: digits, and a comma that stands even where no decimals follow (SWIFT Standards MT, format `15d`). */
export function readDecimal(text: string, currency: string): Minor | DecimalFault {
	if (!/^\d+(?:[.,]\d*)?$/.test(text)) return 'not-a-number';
	return parseDecimal(text.replace(',', '.').replace(/\.$/, ''), currency);
}
