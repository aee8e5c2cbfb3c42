import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { nameKey } from '../../text/name-key';
import { isSlip, NearNames } from './near-names';

describe('a name as it is compared', () => {
	it.each([
		['Müller & Söhne GmbH', 'MUELLER SOEHNE'],
		['Łódź Ceramika Sp. z o.o.', 'LODZ CERAMIKA SP Z OO'],
		['Bjørn Æbelø ApS', 'BJORN ABELO'],
		['Straße 9 AG', 'STRASSE 9'],
		['Łódź Ceramika Sp. z o.o. sp. k.', 'LODZ CERAMIKA'],
		['Skola Mörtnäs HB', 'SKOLA  MORTNAS'],
		['Bygg Ek. för.', 'BYGG'],
		['Fliser A/S', 'FLISER'],
		['Talleres Mar S. Coop.', 'TALLERES MAR'],
		['The Kiln Company Limited', 'KILN'],
		['Poterie du Vallon S.A.R.L.', 'poterie du vallon']
	])('%s is the same as %s', (one, other) => expect(nameKey(one)).toBe(nameKey(other)));
	it.each([
		['Hazel Hill Pottery', 'Hazel Mill Pottery'],
		['Blue Kiln', 'Black Kiln'],
		['Studio 12', 'Studio 13']
	])('%s is not %s', (one, other) => expect(nameKey(one)).not.toBe(nameKey(other)));
	it('a name of nothing but legal forms keeps them', () => expect(nameKey('Co AG')).toBe('CO AG'));
});

const NAMES = [
	'Hazel Thorn Pottery Ltd',
	'Hazel Thorp Pottery Ltd',
	'Wicker Lane Adult Learning',
	'Stannary Lane College Ltd',
	'Studio 12 Ceramics',
	'Studio 13 Ceramics',
	'Marl Haven Céramique SARL',
	'Ash',
	'Garrick Lane Community Trust'
];
const index = new NearNames(NAMES.map(nameKey));
const found = (printed: string) => index.find(printed);

describe('a name that is nearly one of ours', () => {
	it.each([
		['two letters swapped', 'STANNRAY LANE COLLEGE', 'Stannary Lane College'],
		['a letter wrong', 'Stannery Lane College', 'Stannary Lane College'],
		['a letter missing', 'WICKER LANE ADULT LEARNNG', 'Wicker Lane Adult Learning'],
		['a letter too many', 'Marl Havven Ceramique', 'Marl Haven Céramique'],
		['words in another order', 'CERAMIQUE MARL HAVEN', 'Marl Haven Céramique'],
		['words shortened', 'GARRICK LANE COMM TRUST', 'Garrick Lane Community Trust'],
		['somebody before it', 'MR Stannary Lane Coll', 'Stannary Lane College']
	])('%s', (_, printed, name) => expect(found(printed)).toEqual([nameKey(name)]));
	it.each([
		['one of two that are as near', 'Hazel Thorm Pottery', ['HAZEL THORN POTTERY', 'HAZEL THORP POTTERY']],
		['a number that differs', 'STUDIO 14 CERAMICS', []],
		['another word', 'Stannary Bridge College', []],
		['a word more', 'Stannary Lane College Library', []],
		['two words with slips', 'Stannery Lane Colleg3s', []],
		['a short name', 'Asj', []],
		['nothing', '', []]
	])('%s', (_, printed, keys) => expect(found(printed)).toEqual(keys));

	it('finds just what a look at every name finds', () => {
		const word = fc.constantFrom(
			'HAZEL',
			'HASEL',
			'HAZELS',
			'MILL',
			'MILLS',
			'POTTERY',
			'POTTRY',
			'CLAY',
			'KILN9'
		);
		const name = fc
			.array(word, { minLength: 2, maxLength: 3 })
			.map((words) => words.join(' '))
			// Shorter names are never taken for one another.
			.filter((text) => text.replace(' ', '').length >= 9);
		fc.assert(
			fc.property(fc.uniqueArray(name, { maxLength: 12 }), name, (names, sought) => {
				const plain = names
					.map((one) => ({ one, cost: plainCost(sought.split(' '), one.split(' ')) }))
					.filter(({ cost }) => cost !== null);
				const least = Math.min(...plain.map(({ cost }) => cost!));
				const best = plain.filter(({ cost }) => cost === least).map(({ one }) => one);
				expect(new NearNames(names).find(sought)).toEqual(best.sort());
			})
		);
	});
});

/** The cost of reading one row of words as another, word by word in order, each time the cheapest that is left. */
function plainCost(sought: readonly string[], name: readonly string[]): number | null {
	if (sought.length !== name.length) return null;
	const left = new Map(name.entries());
	let [cost, slips] = [0, 0];
	for (const [at, word] of sought.entries()) {
		let best: { place: number; cost: number } | null = null;
		for (const [place, one] of left) {
			const plain =
				word === one
					? 0
					: /\d/.test(word + one)
						? null
						: startsWith(word, one)
							? 1
							: distance(word, one) === 1 && word.length >= 5
								? 2
								: null;
			if (plain === null) continue;
			const all = plain + (place === at ? 0 : 0.5);
			if (!best || all < best.cost) best = { place, cost: all };
		}
		if (!best) return null;
		left.delete(best.place);
		cost += best.cost;
		if (best.cost >= 2) slips++;
	}
	return slips > 1 ? null : cost;
}

function startsWith(a: string, b: string): boolean {
	return a.length < b.length ? b.startsWith(a) : a.startsWith(b);
}

/** Edits between two words, a swap of neighbours being one: the whole table, as a textbook has it. */
function distance(a: string, b: string): number {
	const table = Array.from({ length: a.length + 1 }, (_, i) =>
		Array.from({ length: b.length + 1 }, (_, j) => (i === 0 ? j : j === 0 ? i : 0))
	);
	for (let i = 1; i <= a.length; i++)
		for (let j = 1; j <= b.length; j++) {
			const same = a[i - 1] === b[j - 1] ? 0 : 1;
			table[i]![j] = Math.min(table[i - 1]![j]! + 1, table[i]![j - 1]! + 1, table[i - 1]![j - 1]! + same);
			if (i > 1 && j > 1 && a[i - 1] === b[j - 2] && a[i - 2] === b[j - 1])
				table[i]![j] = Math.min(table[i]![j]!, table[i - 2]![j - 2]! + 1);
		}
	return table[a.length]![b.length]!;
}

it('one slip is one edit, always', () => {
	const word = fc.string({ unit: fc.constantFrom('A', 'B', 'C'), maxLength: 6 });
	fc.assert(
		fc.property(word, word, (a, b) => {
			expect(isSlip(a, b)).toBe(distance(a, b) === 1);
		})
	);
});
