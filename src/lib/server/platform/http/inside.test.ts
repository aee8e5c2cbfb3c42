import { expect, it } from 'vitest';
import { inside } from './inside';

it.each([
	['/customers?q=ha', '/customers?q=ha'],
	['/', '/'],
	[null, '/'],
	['', '/'],
	['customers', '/'],
	['https://elsewhere.example/', '/'],
	['//elsewhere.example/', '/'],
	['/\\elsewhere.example/', '/'],
	['/\t/elsewhere.example/', '/'],
	['/\n//elsewhere.example/', '/'],
	['javascript:alert(1)', '/'],
	['/me#x', '/me']
])('%j leads to %s', (to, want) => expect(inside(to)).toBe(want));
