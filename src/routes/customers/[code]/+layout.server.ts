import { redirect } from '@sveltejs/kit';
import { lookAtAccountNow } from '$lib/server/customers/queries/account-now';
import { view } from '$lib/server/platform/http/view';
import type { LayoutServerLoad } from './$types';

/** An account that is seen as another leads there, whatever of it was asked for: links that were shared go on. */
export const load: LayoutServerLoad = async ({ locals, params, url }) => {
	const now = await view(locals, lookAtAccountNow, params.code);
	if (now === null) return;
	const here = `/customers/${encodeURIComponent(params.code)}`;
	const rest = url.pathname.startsWith(here) ? url.pathname.slice(here.length) : '';
	redirect(303, `/customers/${encodeURIComponent(now)}${rest}${url.search}`);
};
