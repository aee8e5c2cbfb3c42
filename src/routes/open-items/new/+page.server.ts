import { rowNumber } from '$lib/server/platform/http/row-number';
import { redirect } from '@sveltejs/kit';
import { view } from '$lib/server/platform/http/view';
import { lookAtFirstItem, lookAtNewDocument } from '$lib/server/documents/queries/new-document';
import { action } from '$lib/server/platform/http/action';
import { issueByHand } from '$lib/server/documents/commands/issue-by-hand';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url }) => {
	const customerId = rowNumber(url.searchParams.get('customer'));
	return { beginning: await view(locals, lookAtNewDocument, customerId) };
};

export const actions = {
	default: action(issueByHand, {
		then: async ({ documentId, code }, { locals }) => {
			// It waits for a supervisor: the form says so.
			if (documentId === null) return;
			const itemId = await view(locals, lookAtFirstItem, documentId);
			redirect(303, `/customers/${code}${itemId ? `?item=${itemId}` : ''}`);
		}
	})
};
