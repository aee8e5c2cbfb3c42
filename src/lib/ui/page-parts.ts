import { focusRow } from './row-cursor';

const PARTS =
	'h1, h2, h3, form, nav, fieldset, footer, thead, ul[aria-label], [role="toolbar"], [role="search"], [role="group"]';
const CONTROLS =
	'a[href], button, input:not([type="hidden"]), select, textarea, summary, [tabindex]:not([tabindex="-1"])';

/** What Tab stops at within an element, in the order of the page. */
export function tabStops(within: ParentNode): HTMLElement[] {
	return [...within.querySelectorAll<HTMLElement>(CONTROLS)].filter(
		(one) =>
			one.tabIndex >= 0 && !one.matches(':disabled') && one.checkVisibility({ visibilityProperty: true })
	);
}

/**
 * The parts of a page: each heading, form or bar after which there is something to do before the next part begins. A key goes from
 * one to the next, so that what stands far down is not many Tabs away.
 */
export function pageParts(page: ParentNode): HTMLElement[] {
	const parts = [...page.querySelectorAll<HTMLElement>(PARTS)].filter((one) => one.checkVisibility());
	const stops = tabStops(page);
	const follows = (a: Element, b: Element) =>
		Boolean(a.compareDocumentPosition(b) & Node.DOCUMENT_POSITION_FOLLOWING);
	return parts.filter((part, at) => {
		const next = parts[at + 1];
		return stops.some((stop) => follows(part, stop) && (!next || !(stop === next || follows(next, stop))));
	});
}

/** Puts the focus on the part after the one in which it is, or before it. */
export function goToPart(page: ParentNode, by: 1 | -1, from: Element | null = document.activeElement): void {
	const parts = pageParts(page);
	const passed = parts.filter(
		(part) =>
			from &&
			(part === from || Boolean(part.compareDocumentPosition(from) & Node.DOCUMENT_POSITION_FOLLOWING))
	);
	const at = passed.length - 1 + by;
	focusRow(parts[Math.min(Math.max(at, 0), parts.length - 1)]);
}

const BARS = 'thead, nav, [role="toolbar"], [role="group"], p, tr, li, [data-rows] > *';

/**
 * Goes along a row of buttons and links, or through what is to be done in a row of a list.
 * @returns whether there was one to go to
 */
export function goAlong(by: 1 | -1): boolean {
	const from = document.activeElement;
	const bar = from?.closest(BARS);
	if (!bar || !from!.closest('main')) return false;
	const stops = tabStops(bar);
	const at = stops.indexOf(from as HTMLElement);
	// On the row itself: into it.
	const to = at < 0 ? (by > 0 ? stops[0] : undefined) : stops[at + by];
	to?.focus();
	return Boolean(to);
}
