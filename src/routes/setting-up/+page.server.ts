import { redirect } from '@sveltejs/kit';
import { action } from '$lib/server/platform/http/action';
import { finishSettingUp, leaveStepOut, testMail } from '$lib/server/firm/commands/setting-up';
import { viewInThread } from '$lib/server/services/threads/view-in-thread';
import { sendTestMail } from '$lib/server/services/test-mail';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const settingUp = await viewInThread(locals, 'setting-up', null);
	if (!settingUp) redirect(303, '/');
	return { settingUp };
};

export const actions = {
	leave: action(leaveStepOut),
	mail: action(testMail, {
		// It is kept once the mail server has taken it.
		prepare: (_fields, _form, { locals }) => sendTestMail(locals.app, locals.who!)
	}),
	finish: action(finishSettingUp)
};
