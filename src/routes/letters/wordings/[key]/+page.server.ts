import { error, redirect } from '@sveltejs/kit';
import { LETTER_KINDS, LETTER_LANGUAGES } from '$lib/core/7-letters/letter';
import { usualWording } from '$lib/core/7-letters/wording/wording';
import { dropWording, keepWording } from '$lib/server/letters/commands/keep-wording';
import { someCustomer } from '$lib/server/letters/queries/some-customer';
import { lookAtWording } from '$lib/server/letters/queries/wordings';
import { action } from '$lib/server/platform/http/action';
import { mayAct, view } from '$lib/server/platform/http/view';
import { warmUp } from '$lib/server/services/render-pdf';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, params, url }) => {
	warmUp();
	const language = LETTER_LANGUAGES.find((one) => one === url.searchParams.get('language')) ?? 'en';
	const isNew = params.key === 'new';
	// A new one begins with the usual words of its kind.
	const kind = LETTER_KINDS.find((one) => one === url.searchParams.get('kind')) ?? 'reminder';
	const key = isNew ? usualWording(kind) : params.key;
	const found = await view(locals, lookAtWording, { key, language });
	if (!found) error(404, 'There is no such wording. It may have been removed.');
	const base = found.now.words
		? null
		: await view(locals, lookAtWording, { key: usualWording(found.now.kind), language });
	return {
		isNew,
		language,
		now: found.now,
		/** What it begins with, where it has no words yet. */
		words: found.now.words ?? base!.now.words!,
		versions: isNew ? [] : found.versions,
		sample: await view(locals, someCustomer, found.now.kind),
		maySet: mayAct(locals) && locals.who?.role === 'supervisor'
	};
};

export const actions = {
	keep: action(keepWording, {
		then: ({ key }, { params, url }) => {
			if (params.key !== key)
				redirect(303, `/letters/wordings/${key}?language=${url.searchParams.get('language') ?? 'en'}`);
		}
	}),
	drop: action(dropWording)
};
