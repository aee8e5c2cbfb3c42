import fc from 'fast-check';
import { expect, test } from 'vitest';
import { day } from '../day/day';
import { minor } from '../money/minor';
import { plainDetail } from './plain-detail';
import { pairReports } from './pair-reports';
import type { EntryLooks } from './pair-entries';

type Known = EntryLooks & { readonly id: number };
/** `day amount reference payer text`; a dash for none. */
function look(text: string, id: number): Known {
	const [on, amount, reference, payer, ...words] = text.split(' ') as [string, string, string, string];
	return {
		...{ id, booked: day(`2026-10-${on}`), amount: minor(Number(amount)), text: words.join(' ') },
		...{ entryReference: null, bankReference: reference === '-' ? null : reference },
		details: payer === '-' ? [] : [{ ...plainDetail({ text: '' }), counterpartyName: payer }]
	};
}
const pairs = (entries: readonly string[], reported: readonly string[]) =>
	[
		...pairReports(
			entries.map(look),
			reported.map((one, at) => look(one, at + 10))
		)
	].map(([entry, other]) => `${entry}=${other}`);

test.each<[string, string[], string[], string[]]>([
	['by reference, days apart', ['28 500 REF123 -'], ['26 500 REF123 -'], ['0=10']],
	['not by reference where they are weeks apart', ['28 500 REF123 -'], ['18 500 REF123 -'], []],
	['not by a number within the message, on another day', ['28 500 1 -'], ['27 500 1 -'], []],
	['not of another amount', ['28 500 REF123 -'], ['28 501 REF123 -'], []],
	[
		'the nearest of several with the reference',
		['28 500 REF123 -'],
		['25 500 REF123 -', '27 500 REF123 -'],
		['0=11']
	],
	['by words', ['28 500 - - HAZEL HILL AK1'], ['28 500 - HAZEL AK1 HAZEL HILL'], ['0=10']],
	['the only ones of a day and amount', ['28 500 - - BULK CREDIT'], ['28 500 - HAZEL AK1'], ['0=10']],
	['not two of a day and amount', ['28 500 - - BULK', '28 500 - - SUM'], ['28 500 - HAZEL AK1'], []],
	['not of another payer', ['28 500 - WICKER -'], ['28 500 - HAZEL -'], []],
	['each once', ['28 500 REF123 -', '28 500 REF123 -'], ['28 500 REF123 -'], ['0=10']],
	[
		'reference before words',
		['28 500 REF123 - AK1 AK2', '28 500 - - AK1 AK2'],
		['28 500 REF123 - AK1 AK2'],
		['0=10']
	]
])('reports are paired %s', (_, entries, reported, want) => expect(pairs(entries, reported)).toEqual(want));

const some = fc.array(
	fc.tuple(
		fc.integer({ min: 10, max: 30 }),
		fc.constantFrom(500, 501, -500),
		fc.constantFrom('-', '1', 'REF123', 'REF456'),
		fc.constantFrom('-', 'HAZEL', 'WICKER'),
		fc.constantFrom('', 'AK1 AK2', 'AK2 AK3 AK4')
	),
	{ maxLength: 12 }
);

test('a pair is of one amount, near in time, and nothing is paired twice', () => {
	fc.assert(
		fc.property(some, some, (a, b) => {
			const entries = a.map((one, at) => look(one.join(' '), at));
			const reported = b.map((one, at) => look(one.join(' '), at + 100));
			const found = pairReports(entries, reported);
			expect(new Set(found.values()).size).toBe(found.size);
			for (const [id, other] of found) {
				const [entry, told] = [entries[id]!, reported[other - 100]!];
				expect(told.amount).toBe(entry.amount);
				expect(Math.abs(Number(told.booked.slice(8)) - Number(entry.booked.slice(8)))).toBeLessThanOrEqual(7);
			}
		})
	);
});

test('by references, the nearest day is taken, as one finds it who looks at all of them', () => {
	/** Every entry in turn looks at everything that is left. */
	const plainly = (entries: readonly Known[], reported: readonly Known[]) => {
		const left = [...reported];
		const found = new Map<number, number>();
		for (const entry of entries) {
			const away = ({ booked }: Known) => Math.abs(Number(booked.slice(8)) - Number(entry.booked.slice(8)));
			const fits = left
				.filter((one) => one.amount === entry.amount && away(one) <= 7)
				.filter((one) => (one.bankReference?.length ?? 0) > 5 && one.bankReference === entry.bankReference)
				.sort((a, b) => away(a) - away(b) || a.booked.localeCompare(b.booked) || a.id - b.id);
			if (!fits[0]) continue;
			found.set(entry.id, fits[0].id);
			left.splice(left.indexOf(fits[0]), 1);
		}
		return found;
	};
	fc.assert(
		fc.property(some, some, (a, b) => {
			const entries = a.map((one, at) => look(one.join(' '), at));
			const reported = b.map((one, at) => look(one.join(' '), at + 100));
			const found = pairReports(entries, reported);
			for (const [entry, other] of plainly(entries, reported)) expect(found.get(entry)).toBe(other);
		})
	);
});

test('many alike are paired one to one, in a time that grows with their number', () => {
	const many = (from: number) =>
		Array.from({ length: 20_000 }, (_, n) => look('28 500 REF123 - AK1 AK2', from + n));
	const found = pairReports(many(0), many(100_000));
	expect([found.size, found.get(0), found.get(19_999)]).toEqual([20_000, 100_000, 119_999]);
	const byWords = (from: number) =>
		Array.from({ length: 20_000 }, (_, n) => look('28 500 - - AK1 AK2', from + n));
	expect(pairReports(byWords(0), byWords(100_000)).size).toBe(20_000);
});
