import { GAP_NAMES, SURPLUS_NAMES, type Placing } from './placing.svelte';

/** The keys that lay money on items, on any desk: what each does, by its name as the browser gives it. */
export function itemKeys(
	placing: Placing,
	at: {
		readonly active: number;
		readonly move: (to: number) => void;
		readonly filter: HTMLInputElement | undefined;
	}
): Record<string, () => void> {
	const { items, customer } = placing.desk;
	const keys: Record<string, () => void> = {
		ArrowDown: () => at.move(Math.min(at.active + 1, items.length - 1)),
		ArrowUp: () => at.move(Math.max(at.active - 1, 0)),
		' ': () => items[at.active] && placing.toggle(items[at.active]!.id),
		'/': () => at.filter?.focus(),
		o: () => placing.clear(),
		f: () => customer && placing.fillOldest()
	};
	for (const [n, kind] of GAP_NAMES.entries())
		keys[String(n + 1)] = () => {
			if (placing.short) placing.nameGap(kind);
			else if (n < SURPLUS_NAMES.length) placing.surplus = SURPLUS_NAMES[n]!;
		};
	return keys;
}

/** True where a key belongs to what has the focus: a field, or a dialog that is open. */
export function isTyping(target: EventTarget | null): boolean {
	return target instanceof HTMLElement && target.matches('input, select, textarea');
}
