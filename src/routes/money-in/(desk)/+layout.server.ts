import { look } from '$lib/server/http/refuse';
import { lookAtPile } from '$lib/server/looks/pile';
import type { LayoutServerLoad } from './$types';

/** The pile, apart from the desk: going from one receipt to the next does not read it anew. */
export const load: LayoutServerLoad = async ({ locals, depends }) => {
	depends('books:pile');
	const viewer = { who: locals.who!, today: await locals.app.today() };
	const pile = await look(lookAtPile(locals.app.books.db, null, viewer));
	const order = ['certain', 'likely', 'choose', 'none'];
	const rows = [...pile.rows].sort(
		(a, b) =>
			Number(!!a.held) - Number(!!b.held) || order.indexOf(a.band) - order.indexOf(b.band) || a.id - b.id
	);
	return { rows, fresh: pile.fresh, doneOfNewest: pile.doneOfNewest, credits: pile.credits };
};
