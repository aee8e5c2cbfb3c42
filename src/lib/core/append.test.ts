import { expect, it } from 'vitest';
import { append } from './append';

it('adds more than a stack holds, in order', () => {
	const list = [0];
	append(
		list,
		Array.from({ length: 400_000 }, (_, at) => at + 1)
	);
	expect([list.length, list.at(-1)]).toEqual([400_001, 400_000]);
});
