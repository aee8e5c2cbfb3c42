import type { PayerLesson } from '../../core/3-matching';

const TIMES = ['', 'once', 'twice'] as const;
const times = (n: number) => TIMES[n] ?? `${n} times`;

/** Says what allocations have taught of who pays for a customer, and how often. */
export function payerSentence({ trait, key, times: n, told }: PayerLesson): string {
	const why = told ? ', as somebody said to remember' : '';
	switch (trait) {
		case 'account':
			return `Paid ${times(n)} from ${key}${why}.`;
		case 'name':
			return `Paid ${times(n)} by ${key}${why}.`;
		case 'words':
			return `Said “${key}” ${times(n)}${why}.`;
		default:
			return trait satisfies never;
	}
}
