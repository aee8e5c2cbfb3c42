import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { addDays } from '../day/arithmetic';
import { day } from '../day/day';
import { sumOf } from '../money/add';
import { minor } from '../money/minor';
import type { DocumentRow } from './document-row';
import { instalmentsOfRow } from './instalments-of-row';

const ISSUED = day('2026-10-05');
const row = (over: Partial<DocumentRow>) =>
	({ issued: ISSUED, due: null, total: minor(10_000), instalments: [], ...over }) as unknown as DocumentRow;
const terms = { termsDays: 30, termsFrom: 'issue' as const, termsParts: [] };

describe('when a document of a table is due', () => {
	test('its own instalments go before its due day, that before the terms', () => {
		const instalments = [{ due: day('2026-12-01'), amount: minor(10_000) }];
		const due = day('2026-11-11');
		expect(instalmentsOfRow(row({ instalments, due }), terms)).toEqual(instalments);
		expect(instalmentsOfRow(row({ due }), terms)).toEqual([{ due, amount: 10_000 }]);
		expect(instalmentsOfRow(row({}), terms)).toEqual([{ due: '2026-11-04', amount: 10_000 }]);
	});
	test('instalments of terms come to its total, each on its day, and none is off by more than a penny', () => {
		const share = fc.integer({ min: 1, max: 5_000 });
		const amounts = fc.integer({ min: -1e12, max: 1e12 }).filter((amount) => amount !== 0);
		fc.assert(
			fc.property(amounts, fc.array(share, { minLength: 1, maxLength: 12 }), (total, shares) => {
				const before = shares.reduce((sum, one) => sum + one, 0);
				const whole = before < 10_000 ? [...shares, 10_000 - before] : shares;
				const of = whole.reduce((sum, one) => sum + one, 0);
				const termsParts = whole.map((basisPoints, i) => ({ basisPoints, days: i * 7 }));
				const parts = instalmentsOfRow(row({ total: minor(total) }), { ...terms, termsParts });
				expect(sumOf(parts, ({ amount }) => amount)).toBe(total);
				expect(parts.map(({ due }) => due)).toEqual(termsParts.map(({ days }) => addDays(ISSUED, days)));
				for (const [i, { amount }] of parts.entries())
					expect(Math.abs(amount - (total * whole[i]!) / of)).toBeLessThanOrEqual(1);
			})
		);
	});
});
