import { goto, invalidateAll } from '$app/navigation';
import { toast } from 'svelte-sonner';
import type { undoActs } from '$lib/server/allocation/commands/undo-acts';
import { ActForm } from '$lib/trade/act-form.svelte';
import type { Done } from './done';

/** What was done on the desk, with the way back of each act. */
export class DeskActs {
	/** Rises with each act: what was typed for the one before is gone. */
	count = $state(0);
	/** The last act done here that can be undone. */
	last = $state.raw<readonly number[] | null>(null);
	readonly undo = new ActForm<typeof undoActs>('?/undo', { refresh: false });
	readonly #next: () => string;
	readonly #settled: () => void | Promise<void>;

	/**
	 * @param next the address to go on to
	 * @param settled what follows when the page shows the books as they are now
	 */
	constructor(next: () => string, settled: () => void | Promise<void>) {
		this.#next = next;
		this.#settled = settled;
	}

	/** Says what was done, with the way back of that very act, and goes on to the next receipt where that is wanted. */
	readonly done: Done = async (said, { undo: way }, goOn = false) => {
		const undoable = way === null ? null : [way].flat();
		const next = this.#next();
		this.count++;
		if (undoable !== null) this.last = undoable;
		const action = undoable && { label: 'Undo', onClick: () => void this.undoAct(undoable) };
		toast(said, action ? { action } : {});
		if (goOn) await goto(next, { invalidateAll: true, noScroll: true, keepFocus: true });
		else await invalidateAll();
		await this.#settled();
	};

	/** Undoes what was done together, the last first, each by itself, so that others are let in between. */
	async undoAct(actIds: readonly number[]): Promise<void> {
		if (this.last === actIds) this.last = null;
		let undone = 0;
		for (const actId of [...actIds].reverse()) {
			if (!(await this.undo.send({ actIds: [actId] }))) break;
			undone++;
		}
		if (undone === 0) return;
		this.count++;
		if (undone === actIds.length) toast('Undone. It waits in the pile again.');
		await invalidateAll();
	}
}
