/** What a key of a screen does. Its help is made from the same list that its keys are taken from. */
export interface KeyBinding {
	/** Names as the browser gives them; letters small. */
	readonly keys: readonly string[];
	/** How it is shown, where that is not the key's own name. */
	readonly shown?: string;
	readonly what: string;
	/** False where it did nothing: then the browser may. Left out where the browser or a form does it, and the list only says so. */
	readonly run?: (key: string) => unknown;
	/** Also where one types in a field of one line. */
	readonly fromField?: boolean;
}

/**
 * Does what a key stands for on a screen. A key that belongs to something else is left alone: to a field, to a button reached by
 * Tab, to an open dialog, menu or list, to the browser. Escape leaves a field.
 * @returns whether something was done
 */
export function pressKey(event: KeyboardEvent, bindings: readonly KeyBinding[]): boolean {
	if (!mayPress(event)) return false;
	const target = event.target as HTMLElement;
	const typing = isTyping(target);
	if (typing && event.key === 'Escape') target.blur();
	if (typing && !target.matches('input')) return false;
	// What has the focus does these itself: a button both, a link Enter, a box to tick Space.
	const own = { ' ': 'button, summary, input', Enter: 'a, button, summary, input' }[event.key];
	if (!typing && own && target.matches(own)) return false;
	const key = event.key.length === 1 ? event.key.toLowerCase() : event.key;
	const binding = bindings.find((one) => one.run && one.keys.includes(key) && (!typing || one.fromField));
	if (!binding) return false;
	if (binding.run!(key) === false) return false;
	event.preventDefault();
	return true;
}

/** False where a key belongs to the browser, or to a dialog, a menu or a list that is open. */
export function mayPress(event: KeyboardEvent): boolean {
	if (event.ctrlKey || event.metaKey || event.altKey || event.defaultPrevented) return false;
	return !document.querySelector('[role="dialog"], [role="menu"], [role="combobox"][aria-expanded="true"]');
}

/** True where a key belongs to what has the focus: a field. A box to tick takes only Space. */
export function isTyping(target: EventTarget | null): boolean {
	return target instanceof HTMLElement && target.matches('input:not([type="checkbox"]), select, textarea');
}
