import { expect, test } from 'vitest';
import { day } from './day';
import { parseTypedDay } from './parse-typed-day';

test.each([
	['', '2026-10-30'],
	['2026-10-28', '2026-10-28'],
	['28/10', '2026-10-28'],
	['28.10.26', '2026-10-28'],
	['2/1', '2027-01-02'],
	['14 Dec', '2026-12-14'],
	['14 december 2025', '2025-12-14'],
	['31/2', null],
	['soon', null],
	['10', null]
])('a typed day “%s” is %s', (text, want) => expect(parseTypedDay(text, day('2026-10-30'))).toBe(want));
