import { rowNumber } from '$lib/server/platform/http/row-number';
import { mayAct, view } from '$lib/server/platform/http/view';
import { lookAtAdvices } from '$lib/server/receipts/queries/advices';
import { action } from '$lib/server/platform/http/action';
import { dropAdvice, keepAdvice } from '$lib/server/receipts/commands/keep-advice';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url }) => {
	const customerId = rowNumber(url.searchParams.get('customer'));
	const advices = await view(locals, lookAtAdvices, customerId);
	return { ...advices, mayAct: mayAct(locals) };
};

export const actions = {
	keep: action(keepAdvice),
	drop: action(dropAdvice)
};
