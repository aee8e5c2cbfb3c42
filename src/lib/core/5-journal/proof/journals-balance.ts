import { tally, type Breach, type ProofFacts } from './facts';

/** Rule 1: each act's journal comes to nothing in each currency and in base currency. */
export function journalsBalance({ lines }: ProofFacts): Breach[] {
	const sums = new Map<string, number>();
	for (const line of lines) {
		tally(sums, `${line.actId} ${line.currency}`, line.amount);
		tally(sums, `${line.actId} base`, line.base);
	}
	return [...sums]
		.filter(([, sum]) => sum !== 0)
		.map(([key, found]) => ({
			rule: 1,
			about: `journal of act ${key.split(' ')[0]}`,
			want: 0,
			found,
			currency: key.split(' ')[1]!
		}));
}
