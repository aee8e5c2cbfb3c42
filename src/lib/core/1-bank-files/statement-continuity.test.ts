import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { day } from '../day/day';
import { minor } from '../money/minor';
import { continuityFaults, type ContinuityFault, type StatementSpan } from './statement-continuity';

/** A statement and its entries: names that are their own, with amounts. */
interface Sheet {
	readonly span: StatementSpan;
	readonly entries: ReadonlyMap<string, number>;
}

const october = (n: number) => day(`2026-10-${String(n).padStart(2, '0')}`);

function sheet(
	id: number,
	opening: number,
	from: number,
	to: number,
	entries: readonly (readonly [string, number])[]
): Sheet {
	const closing = entries.reduce((sum, [, amount]) => sum + amount, opening);
	return {
		span: {
			...{ id, reference: `S${id}`, accepted: false },
			...{ opening: minor(opening), openingOn: october(from) },
			...{ closing: minor(closing), closingOn: october(to) }
		},
		entries: new Map(entries)
	};
}

/** `opening from-to a9 b-3 …`, as it came; `!` accepts it. */
function read(text: string, at: number): Sheet {
	const [opening, days, ...entries] = text.replace('!', '').split(' ') as [string, string, ...string[]];
	const [from, to] = days.split('-').map(Number) as [number, number];
	const made = sheet(
		at + 1,
		Number(opening),
		from,
		to,
		entries.map((one) => [one[0]!, Number(one.slice(1))])
	);
	return { ...made, span: { ...made.span, accepted: text.endsWith('!') } };
}

function faultsOf(sheets: readonly Sheet[], agreed: number | null = null): ContinuityFault[] {
	const entriesOf = new Map(sheets.map(({ span, entries }) => [span.id, entries]));
	const judging = continuityFaults(
		sheets.map(({ span }) => span),
		agreed === null ? null : minor(agreed)
	);
	let step = judging.next();
	while (!step.done) {
		const { statementId, besides } = step.value;
		const listed = new Set(besides.flatMap((id) => [...entriesOf.get(id)!.keys()]));
		const fresh = [...entriesOf.get(statementId)!].filter(([name]) => !listed.has(name));
		step = judging.next({ sum: fresh.reduce((sum, [, amount]) => sum + amount, 0), count: fresh.length });
	}
	return step.value;
}
const faults = (agreed: number | null, ...texts: readonly string[]) =>
	faultsOf(texts.map(read), agreed).map(
		({ code, statementId, want, found }) => `${statementId} ${code} ${want} ${found}`
	);

describe('statements go on from each other', () => {
	it.each<readonly [string, number | null, readonly string[], readonly string[]]>([
		['one alone', null, ['5 01-02 a4'], []],
		['one after the other', null, ['0 01-02 a9', '9 02-03 b-5', '4 03-04'], []],
		[
			'several of one day, whichever came first',
			null,
			['9 02-02 b-5', '0 02-02 a9', '4 03-03 c1'],
			['2 gap 4 0']
		],
		['several of one day after another', null, ['0 01-01 a1', '9 02-02 c2', '1 02-02 b8'], []],
		['with the balance that was agreed', 5, ['5 01-02 a4'], []],
		['not with another', 6, ['5 01-02 a4'], ['1 first-opening 6 5']],
		['a day that is missing', null, ['0 01-02 a9', '12 03-04 c2'], ['2 gap 9 12']],
		['it came later', null, ['0 01-02 a9', '12 03-04 c2', '9 02-03 b3'], []],
		[
			'what goes on from one in doubt',
			null,
			['0 01-02 a9', '12 03-04 c2', '14 04-05 d1'],
			['2 gap 9 12', '3 gap 9 14']
		],
		[
			'five pounds where the books stand at millions',
			null,
			['0 01-28 a1800000', '500 29-30 b200'],
			['2 gap 1800000 500']
		],
		[
			'the same again vouches for nothing',
			null,
			['0 01-28 a90', '5 29-30 b2', '5 29-30 b2'],
			['2 gap 90 5', '3 gap 90 5']
		],
		[
			'though the bank’s own goes on past it',
			null,
			['0 01-28 a90', '5 29-30 b2', '90 29-30 c7'],
			['2 overlap-differs 99 7']
		],
		['the same days again', null, ['0 01-02 a9', '9 02-05 b11', '9 02-05 b11'], []],
		['a month over its days', null, ['0 01-02 a9', '9 02-05 b11', '0 01-05 a9 b11'], []],
		['a month over a day that is missing', null, ['0 01-02 a9', '12 03-04 c2', '0 01-04 a9 b3 c2'], []],
		[
			'the same day again, with what came since',
			null,
			['0 02-03 a9', '4 02-03 x5 d6'],
			['2 overlap-differs 20 15']
		],
		['the same day from its middle, with what came since', null, ['0 02-03 a4 b5', '4 02-03 b5 c6'], []],
		['the morning of a day that is there whole', null, ['0 02-03 a4 b5', '0 02-03 a4'], []],
		['an overlap that goes on', null, ['0 01-02 a9', '9 02-05 b11', '9 02-06 b11 c7'], []],
		[
			'an overlap that brings other entries',
			null,
			['0 01-02 a9', '9 02-05 b11', '9 02-06 x18'],
			['3 overlap-differs 38 27']
		],
		[
			'one that came later and ends before',
			null,
			['0 01-02 a9', '9 02-06 b11', '9 02-05 x3'],
			['3 overlap-differs 23 20']
		],
		[
			'one of balances that nobody knows, with nothing new',
			null,
			['0 02-03 a4 b5', '7 02-03 b5'],
			['2 overlap-differs 9 12']
		],
		['a gap that a supervisor accepts', null, ['0 01-02 a9', '12 03-04 c2!', '14 04-05 d1'], []]
	])('%s', (_, agreed, texts, want) => expect(faults(agreed, ...texts)).toEqual(want));

	const silent = (id: number): Sheet => {
		const made = sheet(id, 7, 3, 4, [['z', 1]]);
		return { ...made, span: { ...made.span, opening: null, closing: null } };
	};
	it('one without balances is doubted where others have some, and tells nothing where none has', () => {
		const rest = ['0 01-02 a9', '9 05-06 b1'].map(read);
		expect(faultsOf([...rest, silent(3)]).map(({ code, statementId }) => `${statementId} ${code}`)).toEqual([
			'3 no-balances'
		]);
		expect(faultsOf([silent(1), silent(2)])).toEqual([]);
	});
});

describe('a bank’s own statements', () => {
	const DAYS = 12;
	/** A month of a bank: what came on each day, and some windows of days that it sent beside the daily statements. */
	const month = fc.record({
		amounts: fc.array(fc.array(fc.integer({ min: -50, max: 90 }), { maxLength: 3 }), {
			minLength: DAYS,
			maxLength: DAYS
		}),
		windows: fc.array(
			fc.tuple(fc.integer({ min: 0, max: DAYS - 1 }), fc.integer({ min: 0, max: DAYS - 1 })),
			{ maxLength: 4 }
		),
		order: fc.infiniteStream(fc.nat())
	});
	type Month = typeof month extends fc.Arbitrary<infer T> ? T : never;

	/** Statements as the bank writes them, numbered as they came: in any order. */
	function sent({ amounts, windows, order }: Month, left: (day: number) => boolean = () => true): Sheet[] {
		const opening = (n: number) =>
			1000 +
			amounts
				.slice(0, n)
				.flat()
				.reduce((sum, one) => sum + one, 0);
		const named = amounts.map((some, n) => some.map((amount, at) => [`${n}/${at}`, amount] as const));
		const spans = [...amounts.keys()].filter(left).map((n) => [n, n] as const);
		for (const [a, b] of windows) spans.push([Math.min(a, b), Math.max(a, b)]);
		const shuffled = spans
			.map((span) => [order.next().value as number, span] as const)
			.sort((a, b) => a[0] - b[0]);
		return shuffled.map(([, [from, to]], at) =>
			// A statement of a day begins with the balance of the evening before.
			sheet(at + 1, opening(from), from + 1, to + 2, named.slice(from, to + 1).flat())
		);
	}

	it('go on from each other, whatever it sent twice and in whatever order they came', () =>
		fc.assert(
			fc.property(month, (one) => {
				expect(faultsOf(sent(one))).toEqual([]);
			})
		));
	it('are missed where a day with money is missing', () =>
		fc.assert(
			fc.property(month, fc.integer({ min: 1, max: DAYS - 2 }), (one, missing) => {
				fc.pre(one.amounts[missing]!.reduce((sum, amount) => sum + amount, 0) !== 0);
				const without = sent({ ...one, windows: [] }, (n) => n !== missing);
				expect(faultsOf(without).length).toBeGreaterThan(0);
			})
		));
	it('stay sound beside one that somebody wrote by hand, and that is in doubt', () =>
		fc.assert(
			fc.property(month, fc.integer({ min: 1, max: DAYS }), (one, from) => {
				const own = sent(one);
				const forged = sheet(own.length + 1, 50_000_000, from, from + 1, [['forged', 77]]);
				expect(faultsOf([...own, forged]).map((fault) => fault.statementId)).toEqual([own.length + 1]);
			})
		));
});
