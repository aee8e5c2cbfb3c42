import { fullName } from './full-name';
import { namesBeginning } from './names-beginning';
import { isForm, nameKey, nameWords } from '../../text/name-key';
import { MOST_TEXT } from '../../text/words-of-text';
import type { NameIndex } from './name-index';

/** A name of so few characters stands in any text. */
const SHORTEST = 9;
/** Words of a text at which names are looked for. */
const MOST_STARTS = 60;

export interface NameInWords {
	readonly customerId: number;
	readonly words: string;
}

/**
 * The customers whose name stands in a text, whole or cut off at its end; of two names of which one begins the other, the
 * longer. Names are looked up at each word of the text, so that the cost follows the text and not the books.
 */
export function namesInWords(text: string, index: NameIndex): NameInWords[] {
	const words = wordsWithPlaces(text.slice(0, MOST_TEXT));
	let best = 0;
	const found = new Map<number, string>();
	for (let from = 0; from < Math.min(words.length, MOST_STARTS); from++) {
		for (let to = Math.min(words.length, from + 6); to > from; to--) {
			const key = words
				.slice(from, to)
				.map((word) => word.key)
				.join(' ');
			if (key.length < SHORTEST || (to - from < 2 && key.length < 12)) break;
			// Only what stands at the very end may be a beginning that was cut off.
			const keys =
				to === words.length ? namesBeginning(index.names, key) : index.byName.has(key) ? [key] : [];
			const ids = new Set(keys.flatMap((one) => index.byName.get(one) ?? []));
			if (ids.size === 0) continue;
			const told = ids.size > 1 ? ofForm(ids, text, index) : ids;
			if (key.length > best) found.clear();
			if (key.length >= best) {
				best = key.length;
				const said = text.slice(words[from]!.from, words[to - 1]!.to);
				for (const id of told) found.set(id, said);
			}
			break;
		}
	}
	return [...found].sort(([a], [b]) => a - b).map(([customerId, said]) => ({ customerId, words: said }));
}

/** Of customers of one name those whose legal form stands in the text as well; all where that tells none. */
function ofForm(ids: ReadonlySet<number>, text: string, index: NameIndex): ReadonlySet<number> {
	const said = ` ${fullName(text)} `;
	const exact = [...ids].filter((id) => {
		return index.namesOf(id).some((one) => {
			const full = fullName(one);
			return full !== nameKey(one) && said.includes(` ${full} `);
		});
	});
	return exact.length > 0 ? new Set(exact) : ids;
}

/** The words of a text as names are compared, without legal forms, each with its place. */
function wordsWithPlaces(text: string): { key: string; from: number; to: number }[] {
	const words: { key: string; from: number; to: number }[] = [];
	for (const found of text.matchAll(/[\p{L}\p{N}\p{M}.'’]+/gu)) {
		const to = found.index + found[0].length;
		for (const key of nameWords(found[0])) if (!isForm(key)) words.push({ key, from: found.index, to });
	}
	return words;
}
