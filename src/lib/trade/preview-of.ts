import { deserialize } from '$app/forms';

/** What an action that only shows something answers. */
export type Previewed<T> =
	{ readonly ok: true; readonly value: T } | { readonly ok: false; readonly problems: readonly string[] };

/** Asks an action of this page what an act would do. @param action such as `?/preview` */
export async function previewOf<T>(action: string, given: unknown): Promise<Previewed<T>> {
	const unreachable = { ok: false, problems: ['The books could not be asked just now; try again.'] } as const;
	const form = new FormData();
	form.set('json', JSON.stringify(given));
	try {
		const response = await fetch(action, {
			...{ method: 'POST', body: form },
			headers: { 'x-sveltekit-action': 'true' }
		});
		const told = deserialize(await response.text());
		if (told.type === 'success') return { ok: true, value: told.data as T };
		const problems = told.type === 'failure' && (told.data?.['problems'] as readonly string[] | undefined);
		return problems ? { ok: false, problems } : unreachable;
	} catch {
		return unreachable;
	}
}
