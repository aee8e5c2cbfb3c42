import { error } from '@sveltejs/kit';
import { lookAtCustomerFile } from '$lib/server/customers/queries/customer-files';
import { keptFileResponse } from '$lib/server/platform/http/kept-file-response';
import { rowNumber } from '$lib/server/platform/http/row-number';
import { view } from '$lib/server/platform/http/view';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async ({ locals, params }) => {
	const file = await view(locals, lookAtCustomerFile, rowNumber(params.id) ?? 0);
	if (!file) error(404, 'There is no such file.');
	return keptFileResponse(file);
};
