import { deserialize } from '$app/forms';

export type Posted =
	| { readonly ok: true; readonly data: Record<string, unknown> }
	| { readonly ok: false; readonly problems: readonly string[] };

/** Posts to a page's action without leaving the page; what went wrong comes back in sentences, a lost connection as `otherwise`. */
export async function postAction(
	action: string,
	fields: { readonly json: unknown; readonly key: string },
	otherwise: string
): Promise<Posted> {
	const body = new FormData();
	body.set('json', JSON.stringify(fields.json));
	body.set('key', fields.key);
	const result = await fetch(action, {
		method: 'POST',
		body,
		headers: { 'x-sveltekit-action': 'true' }
	})
		.then(async (answer) => deserialize(await answer.text()))
		.catch(() => null);
	if (result?.type === 'success') return { ok: true, data: result.data ?? {} };
	const told = result?.type === 'failure' ? ((result.data?.problems as string[]) ?? []) : [];
	return { ok: false, problems: told.length ? told : [otherwise] };
}
