import { describe, expect, it, test } from 'vitest';
import { day } from '../day/day';
import { minor } from '../money/minor';
import type { Answer } from './answer';
import { usualAmong, usualKeys, usualKind, withUsualLine } from './usual-line';

describe('the kind of an entry', () => {
	test.each([
		[1264, 'INTEREST OCTOBER', 'PMNT-INTR', 'in PMNT-INTR INTEREST'],
		[-1850, 'CHARGES OCTOBER', null, 'out  CHARGES'],
		[-1850, 'Gebühren 10/26', null, 'out  GEBUHREN'],
		[-214500, '7741 our order 7741', null, 'out  OUR'],
		[100, '4711', null, 'in  ']
	])('%d, “%s”, %s: %s', (amount, text, code, kind) => expect(usualKind({ amount, text, code })).toBe(kind));
	it('is looked up by the counterparty, whose name is needed', () => {
		const entry = { payerName: 'Mere & Marches Bank plc', amount: 5, text: 'INTEREST', code: null };
		expect(usualKeys(entry)).toEqual(['MERE MARCHES BANK | in  INTEREST', 'MERE MARCHES BANK | ']);
		expect(usualKeys({ ...entry, payerName: null })).toEqual([]);
	});
});

describe('an entry that is usual', () => {
	const none: Answer = {
		...{ receiptId: 1, band: 'none', customerId: null, lines: [], credits: [], onAccount: minor(0) },
		...{ reasons: [], others: [], otherAnswers: 0, recognised: [], booked: day('2026-10-30') }
	};
	const entry = { text: 'CHARGES', amount: -100, returnReason: null, doubt: null };
	const line = (times: number, setBy: string | null = null) => ({
		...{ account: '7100', name: 'Bank charges', times, setBy }
	});
	it.each([
		[0, 'none'],
		[1, 'none'],
		[2, 'likely'],
		[3, 'certain'],
		[9, 'certain']
	])('booked %d times the same way is %s', (times, band) => {
		const answer = withUsualLine(none, entry, line(times));
		expect([answer.band, answer.usual?.account ?? null]).toEqual([band, times < 2 ? null : '7100']);
	});
	it.each<[string, Partial<Answer>, Partial<typeof entry> & { doubt?: never }]>([
		['is a customer’s', { customerId: 3 }, {}],
		['has an answer', { band: 'likely' }, {}],
		['came back', {}, { text: 'RETURNED UNPAID' }],
		['came back by its reason', {}, { returnReason: 'AC04' as never }]
	])('what %s stays as it is', (_, over, of) => {
		const answer = { ...none, ...over };
		expect(withUsualLine(answer, { ...entry, ...of }, line(9))).toBe(answer);
	});
	it('of a rule it says whose it is, until it has been booked so twice; it is never certain by that alone', () => {
		const rule = withUsualLine(none, entry, line(0, 'Ada'));
		expect([rule.band, rule.reasons]).toEqual([
			'likely',
			[{ code: 'usual-rule', account: 'Bank charges', by: 'Ada' }]
		]);
		expect(withUsualLine(none, entry, line(3, 'Ada'))).toMatchObject({
			...{ band: 'certain', reasons: [{ code: 'usual-line', times: 3 }] }
		});
	});
	it('what its kind is counts before what all of its counterparty is, where that is proposed', () => {
		const lines = new Map([
			['A | in', line(1)],
			['A | ', { ...line(0, 'Ada'), account: '4900' }]
		]);
		expect(usualAmong(['A | in', 'A | '], lines)?.account).toBe('4900');
		expect(usualAmong(['A | in', 'A | '], new Map([...lines, ['A | in', line(2)]]))?.account).toBe('7100');
		expect(usualAmong(['A | in'], lines)).toBeUndefined();
		expect(usualAmong(['B | in'], lines)).toBeUndefined();
	});
	it('what nobody has confirmed is never certain', () => {
		const doubt = { code: 'file-unconfirmed', file: 'x', who: 'y' } as never;
		expect(withUsualLine(none, { ...entry, doubt }, line(9)).band).toBe('likely');
		expect(withUsualLine(none, entry, undefined)).toBe(none);
	});
});
