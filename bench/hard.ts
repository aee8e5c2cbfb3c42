import { hardBooks } from './hard-books';

type Say = (what: string, figure: string) => void;

/** How many payments of hard books are answered right, and how sure; every wrong one that was called certain is printed. */
export function hard(say: Say, seeds = 24): void {
	const total = { receipts: 0, right: 0, certain: 0, gaps: 0, gapsRight: 0 };
	const kinds = new Map<string, { n: number; right: number; certain: number }>();
	const wrong: string[] = [];
	const missed: string[] = [];
	for (let seed = 1; seed <= seeds; seed++) {
		const score = hardBooks(seed, 250);
		total.receipts += score.receipts;
		total.right += score.right;
		total.certain += score.certain;
		total.gaps += score.gaps;
		total.gapsRight += score.gapsRight;
		missed.push(...score.wrong.map((one) => `seed ${seed}, ${one}`));
		wrong.push(...score.wrongCertain.map((one) => `seed ${seed}, ${one}`));
		for (const [kind, one] of score.byKind) {
			const sum = kinds.get(kind) ?? { n: 0, right: 0, certain: 0 };
			kinds.set(kind, { n: sum.n + one.n, right: sum.right + one.right, certain: sum.certain + one.certain });
		}
	}
	const percent = (n: number, of = total.receipts) => `${((100 * n) / of).toFixed(1)} %`;
	say(`hard books, ${total.receipts} payments: right`, percent(total.right));
	say('called certain', percent(total.certain));
	say('the kind of a difference right', percent(total.gapsRight, total.gaps));
	say('wrong though certain', String(wrong.length));
	for (const [kind, one] of [...kinds].sort((a, b) => b[1].n - a[1].n))
		say(`  ${kind}, ${one.n}`, `right ${percent(one.right, one.n)}, certain ${percent(one.certain, one.n)}`);
	for (const one of wrong.slice(0, 40)) console.log(one);
	const kind = process.env['MISSED'];
	if (kind)
		for (const one of missed.filter((text) => kind === 'all' || text.includes(`, ${kind}`))) console.log(one);
}
