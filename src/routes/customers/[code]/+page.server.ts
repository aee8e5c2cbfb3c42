import { rowNumber } from '$lib/server/platform/http/row-number';
import { error } from '@sveltejs/kit';
import { view } from '$lib/server/platform/http/view';
import { lookAtAccount } from '$lib/server/customers/queries/account';
import { lookAtLedger } from '$lib/server/customers/queries/account-ledger';
import { lookAtItem } from '$lib/server/documents/queries/item-life';
import { action } from '$lib/server/platform/http/action';
import { recordPromise, takeOffPromise } from '$lib/server/customers/commands/promises';
import { addTask, finishTask } from '$lib/server/customers/commands/tasks';
import { lookAtChaseOf } from '$lib/server/letters/queries/chase-of';
import { partAccounts } from '$lib/server/customers/commands/merge-accounts';
import { forgetHabit } from '$lib/server/matching/commands/forget-habit';
import { forgetPayer } from '$lib/server/matching/commands/forget-payer';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, params, url }) => {
	const account = await view(locals, lookAtAccount, params.code);
	if (!account) error(404, `There is no account ${params.code}.`);
	const before = url.searchParams.get('before');
	const ledger = await view(locals, lookAtLedger, { code: params.code, before });
	if (!ledger) error(404, `There is no account ${params.code}.`);
	const chase = await view(locals, lookAtChaseOf, params.code);
	const itemId = rowNumber(url.searchParams.get('item'));
	return { account, ledger, chase: chase!, item: itemId ? await view(locals, lookAtItem, itemId) : null };
};

export const actions = {
	part: action(partAccounts),
	promise: action(recordPromise),
	'take-off-promise': action(takeOffPromise),
	task: action(addTask),
	finish: action(finishTask),
	forget: action(forgetPayer),
	'forget-habit': action(forgetHabit)
};
