import { invalidate } from '$app/navigation';
import { navigating } from '$app/state';

/**
 * Loads what depends on something anew, once nobody is on the way to another page: the framework would call that way off, and the click
 * would have been for nothing.
 */
export async function refreshWhenStill(what: string): Promise<void> {
	while (navigating.to) await navigating.complete.catch(() => undefined);
	await invalidate(what);
}
