import { expect, test } from 'vitest';
import { readPage } from './read-page';

test.each([
	['', 0],
	['?page=2', 2],
	['?page=0', 0],
	['?page=-3', 0],
	['?page=1.9', 0],
	['?page=1e9', 0],
	['?page=99999999999', 0],
	['?page=two', 0],
	['?page=1e300', 0],
	['?page=', 0]
])('“%s” asks for page %i', (search, want) =>
	expect(readPage(new URL(`http://books.firm.example/open-items${search}`))).toBe(want)
);
