/** Identifications that stand for "the payer gave none" (SEPA credit transfer rulebook, AT-41). */
const NOT_GIVEN: ReadonlySet<string> = new Set(['NOTPROVIDED', 'NOT PROVIDED', 'NONREF', 'NONE']);

/** An identification, or null where it is missing or says that there is none. */
export function given(identification: string | null | undefined): string | null {
	const text = identification?.trim();
	return text && !NOT_GIVEN.has(text.toUpperCase()) ? text : null;
}
