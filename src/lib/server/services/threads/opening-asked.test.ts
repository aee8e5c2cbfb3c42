import { expect, it } from 'vitest';
import { codesOf } from '../../testing';
import { readOpening } from './opening-asked';

const form = (opening?: string) => {
	const given = new FormData();
	if (opening !== undefined) given.set('opening', opening);
	return given;
};
const GOOD = { on: '2026-09-30', taxHere: false, control: 12650, apart: 0 };

it('reads what is said of opening items, or that they are none', () => {
	expect(readOpening(form())).toEqual({ ok: true, value: null });
	expect(readOpening(form(''))).toEqual({ ok: true, value: null });
	expect(readOpening(form(JSON.stringify(GOOD)))).toEqual({ ok: true, value: GOOD });
});

it.each([
	['{'],
	['[]'],
	['null'],
	[JSON.stringify({ ...GOOD, on: '2026-02-30' })],
	[JSON.stringify({ ...GOOD, control: 1.5 })],
	[JSON.stringify({ ...GOOD, control: '12' })],
	[JSON.stringify({ ...GOOD, apart: 1e15 })],
	[JSON.stringify({ ...GOOD, taxHere: 'no' })]
])('refuses %s', (text) => expect(codesOf(readOpening(form(text)))).not.toEqual([]));
