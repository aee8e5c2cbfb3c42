import { expect, test } from 'vitest';
import { delimiterOf } from './delimiter-of';

test.each<[string, string, number, string]>([
	['commas', 'a,b\n1,2', 1, ','],
	['semicolons, decimals with a comma', 'a;b;c\n1,0;2,0;3,0', 1, ';'],
	['tabs', 'a\tb\n1\t2', 1, '\t'],
	['a title above', 'Open items\n\na;b', 20, ';'],
	['a title above, of which only the first line is looked at', 'Open items\n\na;b', 1, ','],
	['signs within quotes', '"a;b;c",d', 1, ','],
	['lines that end in carriage returns', 'title\ra;b', 20, ';'],
	['nothing', '', 1, ',']
])('%s', (_, text, lines, want) => expect(delimiterOf(text, lines)).toBe(want));
