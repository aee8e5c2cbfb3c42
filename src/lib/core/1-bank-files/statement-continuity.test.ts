import { describe, expect, it } from 'vitest';
import { day } from '../day/day';
import { minor } from '../money/minor';
import { byDays, continuityFaults, type StatementSpan } from './statement-continuity';

/** `opening>closing from-to +fresh`: days of October. */
function span(id: number, text: string): StatementSpan {
	const [, opening, closing, from, to, fresh] = /^(-?\d+)>(-?\d+) (\d\d)-(\d\d)(?: \+(-?\d+))?$/.exec(text)!;
	const come = fresh === undefined ? Number(closing) - Number(opening) : Number(fresh);
	return {
		...{ id, reference: `S${id}`, fresh: come, freshCount: come === 0 ? 0 : 1 },
		...{ opening: minor(Number(opening)), closing: minor(Number(closing)) },
		...{ openingOn: day(`2026-10-${from}`), closingOn: day(`2026-10-${to}`) }
	};
}
const faults = (agreed: number | null, ...texts: string[]) =>
	continuityFaults(
		texts.map((text, at) => span(at + 1, text)).sort(byDays),
		agreed === null ? null : minor(agreed)
	).map(({ code, statementId, want, found }) => `${statementId} ${code} ${want} ${found}`);

describe('statements go on from each other', () => {
	it.each([
		['one alone', null, ['5>9 01-02'], []],
		['one after the other', null, ['0>9 01-02', '9>4 02-03', '4>4 03-04'], []],
		['several of one day', null, ['0>9 02-02', '9>4 02-02'], []],
		['with the balance that was agreed', 5, ['5>9 01-02'], []],
		['not with another', 6, ['5>9 01-02'], ['1 first-opening 6 5']],
		['a day that is missing', null, ['0>9 01-02', '12>14 03-04', '14>15 04-05'], ['2 gap 9 12']],
		['it came later', null, ['0>9 01-02', '12>14 03-04', '9>12 02-03'], []],
		[
			'five pounds where the books stand at millions',
			null,
			['0>1800000 01-28', '500>700 29-30'],
			['2 gap 1800000 500']
		],
		['the same days again', null, ['0>9 01-02', '9>20 02-05', '9>20 02-05 +0'], []],
		['a month over its days', null, ['0>9 01-02', '9>20 02-05 +0', '0>20 01-05 +11'], []],
		['the same day again, with what came since', null, ['0>9 02-03', '4>15 02-03 +6'], []],
		['the morning of a day that is there whole', null, ['0>9 02-03', '0>4 02-03 +0'], []],
		['an overlap that goes on', null, ['0>9 01-02', '9>20 02-05', '9>27 02-06 +7'], []],
		[
			'an overlap that brings other entries',
			null,
			['0>9 01-02', '9>20 02-05', '9>27 02-06 +18'],
			['3 overlap-differs 38 27']
		],
		[
			'an overlap with more within days that are covered',
			null,
			['0>9 01-02', '9>20 02-06', '9>12 02-05 +3'],
			['3 overlap-differs 23 20']
		]
	] as const)('%s', (_, agreed, texts, want) => expect(faults(agreed, ...texts)).toEqual(want));
	it('one without balances tells nothing', () => {
		const silent = { ...span(2, '7>8 03-04'), opening: null, closing: null };
		expect(continuityFaults([span(1, '0>9 01-02'), silent, span(3, '9>10 05-06')], null)).toEqual([]);
	});
});
