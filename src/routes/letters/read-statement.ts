import { parseDay } from '$lib/core/day/day';
import { STATEMENT_KINDS, type StatementAsked } from '$lib/core/7-letters/letter';

/** What kind of statement an address asks for, and of which days; null where it says nothing of them, or what cannot be. */
export function readStatement(url: URL): StatementAsked | null {
	const kind = STATEMENT_KINDS.find((one) => one === url.searchParams.get('show')) ?? 'open';
	const [from, to] = ['from', 'to'].map((name) => parseDay(url.searchParams.get(name) ?? ''));
	if (!to) return null;
	if (kind === 'open') return { kind, from: null, to };
	return from && from <= to ? { kind, from, to } : null;
}
