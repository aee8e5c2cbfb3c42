/** What a form's field holds as JSON; `otherwise` where it is empty or missing, null where it holds something else. */
export function jsonField(form: FormData, name: string, otherwise: unknown): unknown {
	const given = form.get(name);
	if (!given) return otherwise;
	try {
		return JSON.parse(String(given));
	} catch {
		return null;
	}
}
