import { answeredPile } from '$lib/server/looks/answers';
import type { LayoutServerLoad } from './$types';

export const load: LayoutServerLoad = async ({ locals, depends }) => {
	depends('books:pile');
	if (!locals.who) return { who: null, today: null, waiting: 0 };
	const { receipts } = await answeredPile(locals.app.books.db);
	return { who: locals.who, today: await locals.app.today(), waiting: receipts.length };
};
