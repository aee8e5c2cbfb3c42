/**
 * Takes what is proposed on the desk (marked `data-proposed`): the only one at once; of several, the next has the focus, and Enter
 * takes it.
 */
export function takeProposal(desk: HTMLElement): void {
	const all = [...desk.querySelectorAll<HTMLElement>('[data-proposed]:not(:disabled)')];
	if (all.length === 1) return all[0]!.click();
	all[(all.indexOf(document.activeElement as HTMLElement) + 1) % all.length]?.focus();
}
