import { analyse } from 'scslre';
import { expect, it } from 'vitest';
import { RANGE } from './named/ranges-in-words';
import { PHRASE_PATTERNS } from '../text/remittance-phrases';

// Lint sees to the patterns that stand in the code as they are; these are put together when it runs.
it.each([...PHRASE_PATTERNS, RANGE].map((pattern) => [pattern.source.slice(0, 60), pattern] as const))(
	'%s takes no longer than the text is long',
	(_, pattern) => expect(analyse(pattern).reports.map(({ type, character }) => [type, character])).toEqual([])
);

it('what takes longer is noticed', () => {
	expect(analyse(/(?:a+)+b/).reports.length).toBeGreaterThan(0);
	expect(analyse(/^\s*(?:x\s*)*$/).reports.length).toBe(0);
	expect(analyse(/x\s+\s+y/).reports.length).toBeGreaterThan(0);
});
