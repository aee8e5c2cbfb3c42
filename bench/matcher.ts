import { addDays } from '../src/lib/core/day/arithmetic';
import { day } from '../src/lib/core/day/day';
import type { Customer, OpenItem, ReceiptFacts } from '../src/lib/core/model/records';
import { sampleItem } from '../src/lib/core/model/sample-item';
import { minor } from '../src/lib/core/money/minor';
import { answerReceipts, findPayer, findSets, indexBooks, type MatchIndex } from '../src/lib/core/3-matching';
import { chance } from '../src/demo/random';
import { byIntegerProgram } from './integer-program';

type Say = (what: string, figure: string) => void;

const took = (work: () => unknown): number => {
	const from = process.hrtime.bigint();
	work();
	return Number(process.hrtime.bigint() - from) / 1e6;
};

/** The matcher alone: piles against books of two sizes, and sets within one account. */
export async function matcher(say: Say): Promise<void> {
	for (const [receipts, items] of [
		[1_500, 3_500],
		[10_000, 100_000]
	] as const) {
		const { books, pile } = pileAndBooks(receipts, items);
		const time = took(() => answerReceipts(pile, books));
		const memory = (process.memoryUsage().rss / 2 ** 20).toFixed(0);
		say(
			`answering ${receipts} receipts against ${items} items`,
			`${(time / 1000).toFixed(2)} s, ${memory} MiB`
		);
	}
	for (const [open, size] of [
		[40, 5],
		[200, 5],
		[400, 15],
		[500, 3]
	] as const) {
		const random = chance(open + size);
		const amounts = Array.from({ length: open }, () => random.int(500, 400_000));
		const target = amounts.slice(0, size).reduce((sum, amount) => sum + amount, 0);
		const times = Array.from({ length: 5 }, () =>
			took(() => findSets(amounts, target, { keep: 20, steps: 2_000_000 }))
		).sort((a, b) => a - b);
		const { count, all } = findSets(amounts, target, { keep: 20, steps: 2_000_000 });
		say(
			`a set of ${size} among ${open} open items, with how many fit`,
			`${times[2]!.toFixed(1)} ms, ${all ? '' : 'at least '}${count}`
		);
		const { milliseconds, size: solved } = await byIntegerProgram(amounts, target);
		say(
			'  one of them by an integer program',
			`${milliseconds.toFixed(0)} ms, ${solved === null ? 'no answer' : `a set of ${solved}`}`
		);
	}
}

/** Fifty thousand customers: the index of their names, and looking for payers by names as banks and people write them. */
export function names(say: Say): void {
	const random = chance(50);
	const letters = 'abcdefghijklmnoprstuvwyz';
	const word = () =>
		Array.from({ length: random.int(4, 9) }, () => letters[random.int(0, letters.length - 1)]).join('');
	const words = Array.from({ length: 6_000 }, word);
	const trades = ['Pottery', 'Ceramics', 'Studio', 'Kilns', 'Works', 'School', 'Tiles', 'Glass'];
	const all = Array.from(
		{ length: 50_000 },
		() => `${random.pick(words)} ${random.pick(words)} ${random.pick(trades)} Ltd`
	);
	const customers = all.map((name, i): Customer => ({
		...{ id: i + 1, code: `C${i}`, name, otherNames: [], payerAccounts: [], parentId: null, currency: 'GBP' }
	}));
	let index!: MatchIndex;
	const made = took(() => (index = indexBooks({ customers, items: [] })));
	say(`an index of ${all.length} customers by name`, `${made.toFixed(0)} ms`);
	const first = took(() => index.near());
	say('  and of names that are nearly right, when first asked for', `${first.toFixed(0)} ms`);
	const printed: [string, (name: string) => string][] = [
		['as the bank prints it', (name) => name.toUpperCase()],
		['cut off at 18', (name) => name.toUpperCase().slice(0, 18)],
		['with two letters swapped', (name) => `${name.slice(0, 2)}${name[3]}${name[2]}${name.slice(4)}`],
		['of nobody', (name) => [...name].reverse().join('')]
	];
	for (const [how, print] of printed) {
		const asked = Array.from({ length: 1_000 }, () => print(random.pick(all)));
		let known = 0;
		const time = took(() => {
			for (const payerName of asked)
				if (findPayer({ ...NOBODY, payerName }, index).customerIds.length === 1) known++;
		});
		say(`  1,000 payers looked for by a name ${how}`, `${time.toFixed(0)} ms, ${known} known`);
	}
}

const NOBODY: ReceiptFacts = {
	...{ id: 1, booked: day('2026-10-28'), amount: minor(1), currency: 'GBP', payerName: null },
	...{ payerAccount: null, text: '', structuredReference: null, endToEndId: null }
};

function pileAndBooks(receipts: number, items: number) {
	const random = chance(items);
	const count = Math.ceil(items / 9);
	const customers = Array.from({ length: count }, (_, i): Customer => ({
		...{ id: i + 1, code: `C${i}`, name: `Kiln Number ${i} Pottery Ltd`, otherNames: [] },
		...{ payerAccounts: i % 2 ? [`ACC${i}`] : [], parentId: null, currency: 'GBP' }
	}));
	const open = Array.from({ length: items }, (_, i): OpenItem => {
		const due = addDays(day('2026-06-01'), random.int(0, 150));
		return sampleItem(i + 1, random.int(500, 400_000), {
			...{ customerId: 1 + (i % count), number: `AK-${100_000 + i}`, due, issued: addDays(due, -30) }
		});
	});
	const pile = Array.from({ length: receipts }, (_, i): ReceiptFacts => {
		const first = open[random.int(0, items - 1)]!;
		const own: OpenItem[] = [];
		for (let at = first.customerId - 1; at < items && own.length < 30; at += count) own.push(open[at]!);
		const silent = random.yes(0.15);
		const paid = silent ? own.slice(0, random.int(1, 5)) : [first];
		return {
			...{
				id: i + 1,
				booked: day('2026-10-28'),
				currency: 'GBP',
				structuredReference: null,
				endToEndId: null
			},
			amount: minor(paid.reduce((sum, one) => sum + one.open, 0)),
			payerName: `KILN NUMBER ${first.customerId - 1} POTTERY`,
			payerAccount: null,
			text: silent ? 'BACS' : `INV ${first.number}`
		};
	});
	return { books: { customers, items: open }, pile };
}
