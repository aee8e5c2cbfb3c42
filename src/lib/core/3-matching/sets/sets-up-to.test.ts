import fc from 'fast-check';
import { expect, it } from 'vitest';
import { addDays } from '../../day/arithmetic';
import { day } from '../../day/day';
import type { OpenItem } from '../../model/records';
import { sampleItem } from '../../model/sample-item';
import { signedOpen } from '../answering/lines-for';
import { setsUpTo } from './sets-up-to';

/** Every day of every order, each time from the beginning: the slow and plain way. */
function plain(items: readonly OpenItem[], target: number): string[] {
	const found = new Set<string>();
	for (const by of ['due', 'issued'] as const)
		for (const credits of [true, false])
			for (const last of new Set(items.map((item) => item[by]))) {
				const places = items.flatMap((item, place) =>
					item[by] <= last && (credits || item.kind !== 'credit_note') ? [place] : []
				);
				const later = items.some((item) => item[by] > last && (credits || item.kind !== 'credit_note'));
				if (places.length < 3 || !later) continue;
				const sum = places.reduce((all, place) => all + signedOpen(items[place]!), 0);
				if (sum === target) found.add(places.join());
				const out = places.filter((place) => sum - signedOpen(items[place]!) === target);
				if (sum > target && places.length > 3 && out.length === 1)
					found.add(places.filter((place) => place !== out[0]).join());
			}
	return [...found].sort();
}

it('finds just what looking at every day finds', () => {
	const item = fc.record({
		due: fc.integer({ min: 0, max: 5 }),
		issued: fc.integer({ min: 0, max: 5 }),
		open: fc.integer({ min: 1, max: 9 }),
		credit: fc.nat(4).map((n) => n === 0)
	});
	fc.assert(
		fc.property(fc.array(item, { maxLength: 9 }), fc.integer({ min: 1, max: 45 }), (rows, target) => {
			const items = rows.map(({ due, issued, open, credit }, i) =>
				sampleItem(i + 1, open, {
					...{ due: addDays(day('2026-09-01'), due), issued: addDays(day('2026-08-01'), issued) },
					kind: credit ? 'credit_note' : 'invoice'
				})
			);
			expect(
				setsUpTo(items, target)
					.map(({ places }) => places.join())
					.sort()
			).toEqual(plain(items, target));
		}),
		{ numRuns: 500 }
	);
});
