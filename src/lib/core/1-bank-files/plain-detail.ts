import type { EntryDetail } from '../model/bank';
import { ZERO } from '../money/minor';
import { cleanLine } from '../text/clean-text';
import { cutText } from '../text/cut-text';

const LONGEST_NAME = 400;
const LONGEST_TEXT = 10_000;

/** The one transaction of an entry, of what a format gives; what it does not give is null. Texts are cleaned, and cut where nobody writes so much. */
export function plainDetail(given: Partial<EntryDetail> & { readonly text: string }): EntryDetail {
	const { counterpartyName: name, text } = given;
	return {
		...{ amount: null, counterpartyAccount: null, endToEndId: null, structuredReference: null },
		...{ charges: ZERO, instructed: null, returnReason: null },
		...given,
		counterpartyName: name ? cutText(cleanLine(name).trim(), LONGEST_NAME) || null : null,
		text: cutText(cleanLine(text).trim(), LONGEST_TEXT)
	};
}
