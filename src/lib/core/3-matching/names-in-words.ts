import { namesBeginning } from './names-beginning';
import { normaliseName } from './normalise-name';
import { MOST_TEXT } from './words-of-text';
import type { World } from './world';

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
export function namesInWords(text: string, world: World): NameInWords[] {
	const words = normaliseName(text.slice(0, MOST_TEXT)).split(' ');
	let best = 0;
	const found = new Map<number, string>();
	for (let from = 0; from < Math.min(words.length, MOST_STARTS); from++) {
		for (let to = Math.min(words.length, from + 6); to > from; to--) {
			const key = words.slice(from, to).join(' ');
			if (key.length < SHORTEST || (to - from < 2 && key.length < 12)) break;
			// Only what stands at the very end may be a beginning that was cut off.
			const keys =
				to === words.length ? namesBeginning(world.names, key) : world.byName.has(key) ? [key] : [];
			const ids = new Set(keys.flatMap((one) => world.byName.get(one) ?? []));
			if (ids.size === 0) continue;
			if (key.length > best) found.clear();
			if (key.length >= best) {
				best = key.length;
				for (const id of ids) found.set(id, key);
			}
			break;
		}
	}
	return [...found].sort(([a], [b]) => a - b).map(([customerId, said]) => ({ customerId, words: said }));
}
