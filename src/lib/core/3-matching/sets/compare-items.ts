import { compareText } from '../../compare-text';
import type { OpenItem } from '../../model/records';

/** Oldest due first, then by issue day, number, instalment and id: the order in which money is taken to be meant. */
export function compareItems(a: OpenItem, b: OpenItem): number {
	return (
		compareText(a.due, b.due) ||
		compareText(a.issued, b.issued) ||
		compareText(a.number, b.number) ||
		a.part - b.part ||
		a.id - b.id
	);
}
