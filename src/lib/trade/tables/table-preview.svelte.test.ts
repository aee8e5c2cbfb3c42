import type { ActionResult } from '@sveltejs/kit';
import { describe, expect, it } from 'vitest';
import type { TableAnswer } from '$lib/tables/table-seen';
import { TablePreview } from './table-preview.svelte';

const answer = (headings: string, at: number): TableAnswer => ({
	...{ headings, columns: { number: at }, dayOrder: null, decimalSign: null, currency: null }
});
function made() {
	let began = 0;
	const preview = new TablePreview<{ rows: number }>('It did not work.', () => began++);
	return { preview, began: () => began };
}
const told = (result: Partial<ActionResult>) => {
	const { preview, began } = made();
	preview.showing()({ result: result as ActionResult });
	return [preview.shown, preview.refused, preview.reading, began()];
};

describe('what a table would bring', () => {
	it.each<readonly [string, Partial<ActionResult>, unknown, readonly string[]]>([
		['is shown', { type: 'success', data: { rows: 2 } }, { rows: 2 }, []],
		['is refused for its reasons', { type: 'failure', data: { problems: ['Line 2.'] } }, null, ['Line 2.']],
		['is refused without any', { type: 'failure' }, null, ['It did not work.']],
		['did not arrive', { type: 'error' }, null, ['It did not work.']]
	])('%s', (_, result, shown, refused) => expect(told(result)).toEqual([shown, refused, false, 1]));
	it('is being read until it is answered, and what was refused before is gone', () => {
		const { preview } = made();
		preview.refused = ['before'];
		preview.showing();
		expect([preview.reading, preview.refused]).toEqual([true, []]);
	});
	it('keeps what is said by headings, the latest first, until another table comes', () => {
		const { preview, began } = made();
		preview.say(answer('a', 1));
		preview.say(answer('b', 1));
		preview.say(answer('a', 2));
		expect(preview.answers).toEqual([answer('a', 2), answer('b', 1)]);
		preview.start();
		expect([preview.answers, preview.shown, began()]).toEqual([[], null, 1]);
	});
});
