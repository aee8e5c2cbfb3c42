import { viewInThread } from '$lib/server/services/threads/view-in-thread';
import { typedAmount } from '$lib/words/typed-amount';
import { mayAct } from '$lib/server/platform/http/view';
import { action } from '$lib/server/platform/http/action';
import { writeOffSmallBalances } from '$lib/server/allocation/commands/write-off-small-balances';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url, parent }) => {
	const { base } = await parent();
	const typed = url.searchParams.get('upTo');
	const read = typed ? typedAmount(typed, base, false) : null;
	const query = {
		upTo: typeof read === 'number' ? read : null,
		partPaid: url.searchParams.get('all') !== 'yes',
		code: url.searchParams.get('customer')
	};
	const found = await viewInThread(locals, 'small-balances', query);
	return {
		...found,
		partPaid: query.partPaid,
		upToTyped: query.upTo !== null,
		bad: typeof read === 'string' ? typed : null,
		mayAct: mayAct(locals)
	};
};

export const actions = {
	writeOff: action(writeOffSmallBalances)
};
