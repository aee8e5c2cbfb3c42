import { recordCall } from '$lib/server/letters/commands/record-call';
import { addTask, finishTask } from '$lib/server/customers/commands/tasks';
import { lookAtTasks } from '$lib/server/letters/queries/calls';
import { action } from '$lib/server/platform/http/action';
import { mayAct, view } from '$lib/server/platform/http/view';
import { viewInThread } from '$lib/server/services/threads/view-in-thread';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => ({
	calls: await viewInThread(locals, 'letters-calls', null),
	tasks: await view(locals, lookAtTasks, null),
	day: await locals.app.today(),
	mayAct: mayAct(locals)
});

export const actions = {
	record: action(recordCall),
	task: action(addTask),
	finish: action(finishTask)
};
