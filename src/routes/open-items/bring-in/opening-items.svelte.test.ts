import { describe, expect, test } from 'vitest';
import { day } from '$lib/core/day/day';
import { minor } from '$lib/core/money/minor';
import type { OpeningSums } from '$lib/server/documents/queries/opening-balances';
import { OpeningItems } from './opening-items.svelte';

const sums = (over: Partial<OpeningSums> = {}): OpeningSums => ({
	...{ on: day('2026-09-30'), currency: 'GBP', before: minor(0), added: minor(12700) },
	...{ control: minor(12650), apart: minor(50) },
	...over
});
function opening(controlText = '', on = '30 Sep 2026') {
	const one = new OpeningItems(
		() => 'GBP',
		() => day('2026-10-30')
	);
	Object.assign(one, { is: true, onText: on, controlText });
	return one;
}

describe('what is said of opening items', () => {
	test('documents of these books send nothing and need nothing', () => {
		const one = new OpeningItems(
			() => 'GBP',
			() => day('2026-10-30')
		);
		expect([one.field, one.fault]).toEqual(['', '']);
	});
	test.each([
		['', '2026-09-30', null, ''],
		['126.50', '2026-09-30', 12650, ''],
		['-1,126.50', '2026-09-30', -112650, ''],
		['about 100', '2026-09-30', null, 'The total of the control account is not an amount.'],
		['126.50', '', 12650, 'Say of which day the items are, such as 30 Sep 2026.']
	])('a control account of “%s” on “%s”', (text, on, control, fault) => {
		const one = opening(text, on);
		expect(one.fault).toBe(fault);
		expect(JSON.parse(one.field)).toEqual({ on: on || null, taxHere: false, control, apart: 0 });
	});
	test('a difference is agreed to between just these sums, and no longer once they are others', () => {
		const one = opening('126.50');
		expect(one.settles(sums())).toBe(false);
		one.agree(sums(), true);
		expect([one.settles(sums()), JSON.parse(one.field).apart]).toEqual([true, 50]);
		expect(one.settles(sums({ added: minor(12800), apart: minor(150) }))).toBe(false);
		expect(one.settles(sums({ added: minor(12800), control: minor(12750) }))).toBe(false);
		one.agree(sums(), false);
		expect([one.settles(sums()), JSON.parse(one.field).apart]).toEqual([false, 0]);
	});
	test('what fits needs nobody’s word', () => {
		expect(opening().settles(undefined)).toBe(true);
		expect(opening().settles(sums({ control: minor(12700), apart: minor(0) }))).toBe(true);
	});
});
