import { NO_INFORMATION, type Information } from './information';
import { endingOf } from '../../text/ending-of';
import { given } from '../given';

const SLASH_OR_BLANK = /[\s/]/;
const CODES =
	'ACCW|ADDR|BENM|BIC|CDTRREF|CDTRREFTP|CHGS|CNTP|CSID|EREF|EXCH|IBAN|ID|IREF|ISDT|KREF|MARF|MREF|NAME|NRTX|OCMT|ORDP|PREF|PURP|REMI|RTRN|SVCL|TRCD|TRTP|ULTB|ULTC|ULTD';
const CODE = new RegExp(`/(${CODES})(?=/)`, 'g');

/**
 * Information in code words between slashes (`/EREF/…/ORDP//NAME/…/REMI/USTD//…`, SWIFT Standards MT, field 86). Null where it is written
 * in another way.
 */
export function readSlashed(text: string): Information | null {
	const found = [...text.matchAll(CODE)];
	const first = found[0];
	// A single one within words may be anything.
	if (!first || (first.index > 0 && found.length < 2)) return null;
	const values = new Map<string, string>();
	for (const [at, match] of found.entries()) {
		const value = withoutSlashes(text.slice(match.index + match[0].length, found[at + 1]?.index));
		if (value && !values.has(match[1]!)) values.set(match[1]!, value);
	}
	const [account, , name] = values.get('CNTP')?.split('/') ?? [];
	const remittance = values.get('REMI') ?? '';
	const structured = behind(remittance, ['STRD', 'CUR', 'ISO']);
	const purpose = structured === null ? (behind(remittance, ['USTD']) ?? remittance) : '';
	return {
		...NO_INFORMATION,
		name: values.get('NAME') ?? (name || null) ?? values.get('ORDP') ?? values.get('BENM') ?? null,
		account: (values.get('IBAN') ?? values.get('ACCW')?.split(',')[0] ?? account)?.replace(/\s/g, '') || null,
		endToEndId: given(values.get('EREF')),
		structuredReference: values.get('CDTRREF') ?? structured,
		text: [text.slice(0, first.index).trim(), purpose].filter(Boolean).join(' '),
		returnReason: values.get('RTRN')?.split('/')[0] ?? null,
		ordered: values.get('OCMT') ?? null,
		charges: values.get('CHGS') ?? null
	};
}

/** What stands behind the first of some codes, and behind the others where they follow; null where the first is not there. */
function behind(text: string, [first, ...more]: readonly string[]): string | null {
	if (!text.startsWith(`${first}/`)) return null;
	const rest = withoutSlashes(text.slice(first!.length));
	const next = more.find((code) => rest.startsWith(`${code}/`));
	return next ? withoutSlashes(rest.slice(next.length)) : rest;
}

function withoutSlashes(text: string): string {
	let from = 0;
	while (from < text.length && SLASH_OR_BLANK.test(text[from]!)) from++;
	return text.slice(from, text.length - endingOf(text.slice(from), SLASH_OR_BLANK).length);
}
