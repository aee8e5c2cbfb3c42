import { minor, type Minor } from '../money/minor';
import { proportion } from '../money/proportion';
import { apportion } from '../money/apportion';
import type { DocumentLine } from './document-row';

/**
 * The lines of a credit note over part of a document: the amount, tax included, is shared out over the document's rates of tax
 * by what each made up of it, and each share is taken apart into net and tax. They come to the amount to the penny.
 */
export function creditLines(
	amount: Minor,
	of: readonly Pick<DocumentLine, 'net' | 'tax' | 'taxBasisPoints'>[],
	text: string
): DocumentLine[] {
	const gross = new Map<number, number>();
	for (const line of of)
		gross.set(line.taxBasisPoints, (gross.get(line.taxBasisPoints) ?? 0) + line.net + line.tax);
	const rates = [...gross].filter(([, sum]) => sum > 0).sort(([a], [b]) => b - a);
	if (rates.length === 0) return [{ text, net: amount, taxBasisPoints: 0, tax: minor(0) }];
	const parts = apportion(
		amount,
		rates.map(([, sum]) => sum)
	);
	return rates.flatMap(([taxBasisPoints], i) => {
		const part = parts[i]!;
		if (part === 0) return [];
		const net = proportion(part, 10_000, 10_000 + taxBasisPoints);
		return [{ text, net, taxBasisPoints, tax: minor(part - net) }];
	});
}
