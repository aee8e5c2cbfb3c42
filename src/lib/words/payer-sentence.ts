import type { PayerLesson } from '../core/3-matching/payer-lessons';

const TIMES = ['', 'once', 'twice'] as const;
const times = (n: number) => TIMES[n] ?? `${n} times`;

/** Says what placings have taught of who pays for a customer, and how often. */
export function payerSentence({ trait, key, times: n, told }: PayerLesson): string {
	const seen = told ? `${times(n)}, as somebody said to remember` : times(n);
	switch (trait) {
		case 'account':
			return `Paid from ${key}: ${seen}.`;
		case 'name':
			return `Paid by ${key}: ${seen}.`;
		case 'words':
			return `Payments said “${key}”: ${seen}.`;
		default:
			return trait satisfies never;
	}
}
