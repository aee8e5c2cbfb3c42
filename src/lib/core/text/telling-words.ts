import { LANGUAGES } from './languages';
import { withoutAccents } from './without-accents';
import { MOST_TEXT } from './words-of-text';

/** Words of payments that say nothing about whose they are or what for. */
const NEUTRAL = new Set(LANGUAGES.flatMap(({ neutralWords }) => neutralWords));
/** Words of two letters or fewer tell nothing. */
const SHORTEST = 3;

/** The words of a text that may tell something: without numbers, short ones and those that every payment has, as they are compared. */
export function tellingWords(text: string): string[] {
	return withoutAccents(text.slice(0, MOST_TEXT))
		.toUpperCase()
		.split(/[^\p{L}\p{N}]+/u)
		.filter((word) => word.length >= SHORTEST && !/\d/.test(word) && !NEUTRAL.has(word));
}
