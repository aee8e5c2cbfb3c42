import { action } from '$lib/server/platform/http/action';
import { view } from '$lib/server/platform/http/view';
import { acceptStatement } from '$lib/server/receipts/commands/accept-statement';
import { confirmBankFile } from '$lib/server/receipts/commands/confirm-bank-file';
import { lookAtBankFiles } from '$lib/server/receipts/queries/bank-files';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => view(locals, lookAtBankFiles, null);

export const actions = { confirm: action(confirmBankFile), accept: action(acceptStatement) };
