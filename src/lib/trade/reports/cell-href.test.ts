import { expect, test } from 'vitest';
import type { ReportColumn, ReportField } from '$lib/core/model/report';
import { cellHref } from './cell-href';

const choice = (name: 'by' | 'money', value: string): ReportField => ({
	kind: 'choice',
	name,
	value,
	options: [value]
});
const money = (key: string): ReportColumn => ({ key, kind: 'money', heading: { code: 'balance' } });
const text = (key: string): ReportColumn => ({ key, kind: 'text', heading: { code: 'account' } });
const row = { id: '1', currency: 'EUR', account: 'A&1', cells: ['A&1', 'Atelier', 'EUR', 5, 5] };

test.each([
	['an account to its page', text('account'), row, [choice('by', 'customer')], '/customers/A%261'],
	['a document to its life', text('document'), { ...row, itemId: 7 }, [], '/customers/A%261?item=7'],
	[
		'a bucket to its items, with what was asked',
		money('bucket-2'),
		row,
		[choice('by', 'customer')],
		'/reports/ageing?as-of=2026-09-30&show=detail&customer=A%261&currency=EUR&bucket=2'
	],
	[
		'a balance in base currency to items of all currencies',
		money('balance'),
		row,
		[choice('by', 'customer'), choice('money', 'base')],
		'/reports/ageing?as-of=2026-09-30&show=detail&customer=A%261'
	],
	[
		'a head office to all of its group',
		money('balance'),
		row,
		[choice('by', 'parent')],
		'/reports/ageing?as-of=2026-09-30&show=detail&parent=A%261&currency=EUR'
	],
	[
		'a tag to who has it',
		money('balance'),
		{ id: '2', currency: 'GBP', cells: ['export', 'GBP', 5, 5] },
		[choice('by', 'tag')],
		'/reports/ageing?as-of=2026-09-30&show=detail&tag=export&currency=GBP'
	],
	[
		'who has no tag to nothing',
		money('balance'),
		{ id: '2', currency: 'GBP', cells: ['', 'GBP', 5, 5] },
		[choice('by', 'tag')],
		null
	],
	['a currency to nothing', text('currency'), row, [], null]
] as const)('leads from %s', (_, column, at, fields, want) =>
	expect(
		cellHref({ id: 'ageing', fields }, new URLSearchParams('as-of=2026-09-30&by=x&page=2'), at, column)
	).toBe(want)
);
