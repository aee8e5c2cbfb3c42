/** Hundredths of a per cent as they are typed; null where nothing was, not a number where something else was. */
export function typedPercent(text: string): number | null {
	const typed = text.replace('%', '').trim().replace(',', '.');
	if (typed === '') return null;
	return /^\d{1,3}(?:\.\d{1,2})?$/.test(typed) ? Math.round(Number(typed) * 100) : NaN;
}

/** A whole number as it is typed; null where nothing was, not a number where something else was. */
export function typedWhole(text: string): number | null {
	const typed = text.trim();
	return typed === '' ? null : /^\d{1,6}$/.test(typed) ? Number(typed) : NaN;
}
