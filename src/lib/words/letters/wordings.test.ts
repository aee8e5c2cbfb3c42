import { describe, expect, it } from 'vitest';
import { LETTER_LANGUAGES } from '../../core/7-letters/letter';
import { checkWording } from '../../core/7-letters/wording/check-wording';
import { BUILT_IN_WORDINGS, type BuiltInWording } from '../../core/7-letters/wording/wording';
import { letterWordsOf } from './letter-words-of';

const KEYS = Object.keys(BUILT_IN_WORDINGS) as BuiltInWording[];

describe('wordings that come with the application', () => {
	it.each(LETTER_LANGUAGES.flatMap((language) => KEYS.map((key) => [language, key] as const)))(
		'can be filled in: %s %s',
		(language, key) => {
			const words = letterWordsOf(language).wordings[key];
			expect(checkWording(words, BUILT_IN_WORDINGS[key])).toEqual([]);
			expect(words.body.length).toBeGreaterThan(1);
		}
	);
});
