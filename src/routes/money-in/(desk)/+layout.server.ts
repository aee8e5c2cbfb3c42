import { view } from '$lib/server/platform/http/view';
import { countInApproval } from '$lib/server/approvals/queries/approvals';
import { lookAtPile } from '$lib/server/receipts/queries/pile';
import type { LayoutServerLoad } from './$types';

/** The pile, apart from the desk: going from one receipt to the next does not read it anew. */
export const load: LayoutServerLoad = async ({ locals, depends }) => {
	depends('books:pile');
	const pile = await view(locals, lookAtPile, null);
	const order = ['certain', 'likely', 'choose', 'none'];
	const rows = [...pile.rows].sort(
		(a, b) =>
			Number(!!a.held) - Number(!!b.held) || order.indexOf(a.band) - order.indexOf(b.band) || a.id - b.id
	);
	const { fresh, doneOfNewest, credits } = pile;
	return { rows, fresh, doneOfNewest, credits, inApproval: await view(locals, countInApproval, null) };
};
