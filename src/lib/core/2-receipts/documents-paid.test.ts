import { expect, test } from 'vitest';
import { documentsPaid } from './documents-paid';

const open = [
	{ id: 1, number: 'AK-1' },
	{ id: 2, number: 'AK-2' },
	{ id: 3, number: 'AK-2' }
];

test.each<[string, number[], string[]]>([
	['oldest', [], []],
	['account', [], []],
	['AK-1', [1], []],
	['ak2, AK-1; AK-2', [2, 3, 1], []],
	['AK-9 AK-1  x', [1], ['AK-9', 'x']],
	['', [], []]
])('“%s” pays %o and misses %o', (pays, ids, missing) => {
	const found = documentsPaid(pays, open);
	expect([found.items.map((one) => one.id), found.missing]).toEqual([ids, missing]);
});
