import { NO_INFORMATION, type Information } from './information';
import { given } from '../given';

const KEYWORD = /(EREF|KREF|MREF|CRED|DEBT|COAM|OAMT|SVWZ|ABWA|ABWE|IBAN|BIC|RREF|PURP)\+/g;

/**
 * A purpose with keywords (`EREF+…KREF+…SVWZ+…ABWA+…`): the payer's reference, the purpose itself, another payer, amount ordered and
 * charges. Text without any is the purpose as it stands.
 */
export function readKeywords(purpose: string): Information {
	const found = [...purpose.matchAll(KEYWORD)];
	const first = found[0];
	if (!first) return { ...NO_INFORMATION, text: purpose };
	const values = new Map<string, string>();
	for (const [at, match] of found.entries()) {
		const value = purpose.slice(match.index + match[0].length, found[at + 1]?.index).trim();
		if (value && !values.has(match[1]!)) values.set(match[1]!, value);
	}
	const before = purpose.slice(0, first.index).trim();
	return {
		...NO_INFORMATION,
		name: values.get('ABWA') ?? null,
		account: values.get('IBAN')?.replace(/\s/g, '') ?? null,
		endToEndId: given(values.get('EREF')),
		text: [before, values.get('SVWZ') ?? ''].filter(Boolean).join(' '),
		ordered: values.get('OAMT') ?? null,
		charges: values.get('COAM') ?? null
	};
}
