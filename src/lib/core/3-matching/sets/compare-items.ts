import type { OpenItem } from '../../model/records';

/** Oldest due first, then by issue day, number, instalment and id: the order in which money is taken to be meant. */
export function compareItems(a: OpenItem, b: OpenItem): number {
	return (
		text(a.due, b.due) ||
		text(a.issued, b.issued) ||
		text(a.number, b.number) ||
		a.part - b.part ||
		a.id - b.id
	);
}

function text(a: string, b: string): number {
	return a < b ? -1 : a > b ? 1 : 0;
}
