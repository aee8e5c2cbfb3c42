import { onMount } from 'svelte';
import type { KeyBinding } from './keys';

interface Given {
	readonly bindings: () => readonly KeyBinding[];
	readonly after?: () => void;
}

/**
 * What the screen that is shown gave; a page that is left takes its keys with it. No state of the framework's: what is read while
 * a page is taken down is its old value there, and the next page has given its keys by then.
 */
const given = new Set<Given>();
let help = $state(false);

/**
 * Gives the screen keys of its own. They are pressed, and shown under `?`, from this one list.
 * @param after what is done when one was pressed
 */
export function screenKeys(bindings: () => readonly KeyBinding[], after?: () => void): void {
	const mine = { bindings, after };
	onMount(() => {
		given.add(mine);
		return () => void given.delete(mine);
	});
}

export const keysOfScreen = {
	get bindings() {
		return [...given].flatMap((one) => one.bindings());
	},
	/** Whether the list of keys is open. */
	get help() {
		return help;
	},
	set help(on: boolean) {
		help = on;
	},
	done() {
		for (const one of given) one.after?.();
	}
};
