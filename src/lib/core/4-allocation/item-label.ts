import type { OpenItem } from '../model/records';

/** A document's number, with the instalment where it has several. */
export function itemLabel(item: Pick<OpenItem, 'number' | 'part' | 'parts'>): string {
	return item.parts > 1 ? `${item.number} (${item.part} of ${item.parts})` : item.number;
}
