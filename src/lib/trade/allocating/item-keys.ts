import type { KeyBinding } from '$lib/ui/keys';
import { GAP_NAMES, SURPLUS_NAMES, type Placing } from './placing.svelte';

/** The keys that allocate money to items, on any desk. */
export function itemKeys(
	placing: Placing | null,
	at: {
		readonly active: number;
		readonly move: (to: number) => void;
		readonly filter: HTMLInputElement | undefined;
	}
): KeyBinding[] {
	const items = placing?.desk.items ?? [];
	const nameGap = (n: number) => {
		if (placing?.short) placing.nameGap(GAP_NAMES[n]!);
		else if (placing && n < SURPLUS_NAMES.length) placing.surplus = SURPLUS_NAMES[n]!;
	};
	return [
		{
			keys: ['ArrowUp', 'ArrowDown'],
			shown: '↑  ↓',
			what: 'move among the open items',
			run: (key) =>
				at.move(key === 'ArrowDown' ? Math.min(at.active + 1, items.length - 1) : Math.max(at.active - 1, 0))
		},
		{
			keys: [' '],
			shown: 'Space',
			what: 'take the item, or leave it',
			run: () => items[at.active] && placing?.toggle(items[at.active]!.id)
		},
		{
			keys: ['f'],
			what: 'take the oldest items, as far as the money goes',
			run: () => placing?.desk.customer && placing.fillOldest()
		},
		{
			keys: GAP_NAMES.map((_, n) => String(n + 1)),
			shown: `1 – ${GAP_NAMES.length}`,
			what: 'name the odd penny, missing or left over',
			run: (key) => nameGap(Number(key) - 1)
		},
		{ keys: ['o'], what: 'leave all of it on account', run: () => placing?.clear() },
		{ keys: ['/'], what: 'filter the open items', run: () => at.filter?.focus() },
		{ keys: ['Escape'], shown: 'Esc', what: 'leave a field' }
	];
}
