import { expect, it } from 'vitest';
import { minor } from '$lib/core/money/minor';
import { Splitting } from './splitting.svelte';

const REPORT =
	'Date,Customer name,Reference,Gross,Fee\n2026-10-29,R Fairleigh,AK-1,60.00,-0.84\n2026-10-29,J Thorne,AK-2,40.00,0.56\n';

it('takes a report, by headings that say what they are, and adds up', () => {
	const split = new Splitting(minor(9860), 'GBP', {});
	split.take(REPORT);
	expect(split.parts).toEqual([
		{ payerName: 'R Fairleigh', text: 'AK-1', gross: 6000, fee: 84 },
		{ payerName: 'J Thorne', text: 'AK-2', gross: 4000, fee: 56 }
	]);
	expect([split.sums, split.wrong]).toEqual([{ gross: 10_000, fee: 140, net: 9860, left: 0 }, '']);
});
it('says to the penny what is missing, and what is no amount', () => {
	const split = new Splitting(minor(9861), 'GBP', {});
	split.take(REPORT);
	expect(split.wrong).toBe(
		'The parts less their fees come to £98.60, the entry to £98.61: £0.01 is missing.'
	);
	split.rows[0]!.gross = 'sixty';
	expect(split.wrong).toBe('Part 1: that is not an amount.');
});
it('remembers a processor’s columns, and lets another column be chosen', () => {
	const known = { Payloom: { name: 'who', text: 'what', gross: 'taken', fee: 'kept' } };
	const split = new Splitting(minor(990), 'GBP', known);
	split.processor = 'Payloom';
	split.take('who;what;taken;kept;amount\nA;AK-1;10.00;0.10;1.00\n');
	expect(split.columns.gross).toBe('taken');
	expect(split.wrong).toBe('');
	split.columns.gross = 'amount';
	split.lay();
	expect(split.sums.gross).toBe(100);
});
it('is typed by hand, rows added and taken away', () => {
	const split = new Splitting(minor(1000), 'GBP', {});
	split.rows[0]!.gross = '7+3';
	split.add();
	split.rows[1]!.name = 'nobody';
	expect(split.wrong).toBe('Part 2: that is not an amount.');
	split.remove(1);
	expect([split.wrong, split.parts.length]).toEqual(['', 1]);
});
it('keeps what is there when a report cannot be read', () => {
	const split = new Splitting(minor(1000), 'GBP', {});
	split.take('a,b\n1\n');
	expect(split.problems[0]).toMatch(/^Line 2: /);
	expect(split.rows).toHaveLength(1);
});
