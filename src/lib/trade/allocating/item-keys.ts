import type { KeyBinding } from '$lib/ui/keys';
import { GAP_NAMES, SURPLUS_NAMES, type Allocating } from './allocating.svelte';

/** The keys that allocate money to items, on any desk. */
export function itemKeys(
	allocating: Allocating | null,
	at: {
		readonly active: number;
		readonly move: (to: number) => void;
		readonly filter: HTMLInputElement | undefined;
	}
): KeyBinding[] {
	const items = allocating?.desk.items ?? [];
	const nameGap = (n: number) => {
		if (allocating?.short) allocating.nameGap(GAP_NAMES[n]!);
		else if (allocating && n < SURPLUS_NAMES.length) allocating.surplus = SURPLUS_NAMES[n]!;
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
			run: () => items[at.active] && allocating?.toggle(items[at.active]!.id)
		},
		{
			keys: ['f'],
			what: 'take the oldest items, as far as the money goes',
			run: () => allocating?.desk.customer && allocating.fillOldest()
		},
		{
			keys: GAP_NAMES.map((_, n) => String(n + 1)),
			shown: `1 – ${GAP_NAMES.length}`,
			what: 'name the odd penny, missing or left over',
			run: (key) => nameGap(Number(key) - 1)
		},
		{ keys: ['o'], what: 'leave all of it on account', run: () => allocating?.clear() },
		{ keys: ['/'], what: 'filter the open items', run: () => at.filter?.focus() }
	];
}
