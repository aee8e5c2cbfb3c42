import type { KeyBinding } from './keys';

/** Lists of the screen whose rows the cursor goes through, as one, from the top of the page down. */
const lists = new Set<HTMLElement>();

/** Makes the children of an element (rows of a table, points of a list) rows of the cursor. An attachment: `{@attach rowCursor}`. */
export function rowCursor(list: HTMLElement): () => void {
	lists.add(list);
	list.dataset['rows'] = '';
	return () => void lists.delete(list);
}

const DOES_SOMETHING = 'a[href], button:not(:disabled), input:not(:disabled)';

/** Rows in which there is something to do, in the order of the page. */
export function cursorRows(): HTMLElement[] {
	return [...lists]
		.sort((a, b) => (a.compareDocumentPosition(b) & Node.DOCUMENT_POSITION_FOLLOWING ? -1 : 1))
		.flatMap((list) => [...list.children] as HTMLElement[])
		.filter((row) => row.querySelector(DOES_SOMETHING) && row.checkVisibility());
}

/** The place among the rows of what has the focus, or -1. */
export function cursorAt(rows = cursorRows(), target: Element | null = document.activeElement): number {
	return rows.findIndex((row) => row.contains(target));
}

/** Puts the cursor on a row: the row itself has the focus, so that it is seen and read out. */
export function focusRow(row: HTMLElement | undefined): void {
	if (!row) return;
	row.tabIndex = -1;
	row.focus({ preventScroll: true });
	row.scrollIntoView({ block: 'nearest' });
}

function move(to: (at: number, last: number) => number) {
	const rows = cursorRows();
	focusRow(rows[Math.min(Math.max(to(cursorAt(rows), rows.length - 1), 0), rows.length - 1)]);
}

const current = () => cursorRows()[cursorAt()];

function tick() {
	const row = current();
	const box = row?.querySelector<HTMLInputElement>('input[type="checkbox"]:not(:disabled)');
	box?.click();
	if (box) row!.focus({ preventScroll: true });
}

/** Keys that go through the rows. Enter is the row's own: what `data-open` marks in it, else its first link or button. */
export const ROW_KEYS: readonly KeyBinding[] = [
	{
		keys: ['ArrowDown', 'j', 'ArrowUp', 'k'],
		shown: '↓ ↑  J K',
		what: 'row below and above',
		run: (key) => move((at) => (key === 'ArrowDown' || key === 'j' ? at + 1 : at - 1))
	},
	{
		keys: ['Home', 'End'],
		shown: 'Home End',
		what: 'first and last row',
		run: (key) => move((_, last) => (key === 'Home' ? 0 : last))
	},
	{ keys: [' '], shown: 'Space', what: 'tick the row, or untick it', run: tick }
];

/** Opens the row that has the focus. @returns whether there was one */
export function openRow(): boolean {
	const row = current();
	if (!row || document.activeElement !== row) return false;
	const what = ['[data-open]', 'a[href]', 'button:not(:disabled)']
		.map((one) => row.querySelector<HTMLElement>(one))
		.find(Boolean);
	what?.click();
	return Boolean(what);
}
