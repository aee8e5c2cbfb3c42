import { describe, expect, it } from 'vitest';
import type { UsualLine } from '../../core/3-matching';
import { NO_LIMITS_OF_ONE } from '../../core/4-allocation/over-limits';
import { day } from '../../core/day/day';
import type { Desk } from '../../server/allocation/queries/desk';
import { Allocating } from './allocating.svelte';
import { sampleDesk } from './sample-desk';

const USUAL: UsualLine = { account: '7010', name: 'Rent received', times: 3, setBy: null };
function outcome(amount: number, usual: Partial<UsualLine> = {}, over: Partial<Desk> = {}) {
	const desk = sampleDesk(amount, [], { customer: null, items: [], ...over });
	const answer = { ...desk.answer!, customerId: null, usual: { ...USUAL, ...usual } };
	return new Allocating({ ...desk, answer }, day('2026-10-30'), 'Wren').outcome;
}
const account = (vatBasisPoints: number | null) => ({
	setAside: [{ code: '7010', name: 'Rent received', vatBasisPoints }]
});

describe('an entry that always goes to one ledger account', () => {
	it.each([
		['how often it went there', 12_000, {}, {}, 'Posts £120.00 to Rent received, as the last 3 times.'],
		['that a rule says so', -500, { times: 0 }, {}, 'Posts £5.00 to Rent received, as the rule says.'],
		[
			'no VAT where there is none',
			12_000,
			{},
			account(null),
			'Posts £120.00 to Rent received, as the last 3 times.'
		],
		[
			'the VAT that is owed of it',
			12_000,
			{},
			account(2_000),
			'Posts £120.00 to Rent received, as the last 3 times. £20.00 of it is VAT at 20%, owed.'
		],
		[
			'the VAT that is reclaimed of what went out',
			-12_000,
			{},
			account(2_000),
			'Posts £120.00 to Rent received, as the last 3 times. £20.00 of it is VAT at 20%, to be reclaimed.'
		]
	])('says %s', (_, amount, usual, over, says) => {
		expect(outcome(amount, usual, over)).toEqual({ ok: true, asks: false, text: says });
	});
	it('asks beyond what somebody may set aside, and only for what came in', () => {
		const limits = {
			...{ tolerance: null, before: { customer: {}, day: {} } },
			mine: { ...NO_LIMITS_OF_ONE, act: { set_aside: 1_000 } }
		};
		expect(outcome(1_001, {}, { limits }).asks).toBe(true);
		expect(outcome(1_000, {}, { limits }).asks).toBe(false);
		expect(outcome(-1_001, {}, { limits }).asks).toBe(false);
	});
});
