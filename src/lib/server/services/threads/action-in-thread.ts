import type { RequestEvent } from '@sveltejs/kit';
import type { Result } from '../../../core/result';
import { readFields, wayBack } from '../../platform/http/action';
import { refuse } from '../../platform/http/refuse';
import { HEAVY_ACTS, type HeavyAct, type HeavyDone, type HeavyGiven } from './heavy-acts';
import { performInThread } from './perform-in-thread';

/**
 * An act in bulk as an action of a page: done in a thread of its own. The role is checked before anything is read, then size and shape.
 * @param prepare makes of the form what the act is given, without reading files: that is for the thread
 */
export function actionInThread<N extends HeavyAct>(
	name: N,
	prepare: (fields: unknown, form: FormData) => Result<HeavyGiven<N>> | Promise<Result<HeavyGiven<N>>>,
	most?: number
) {
	return async (event: RequestEvent) => {
		const read = await readFields(event, HEAVY_ACTS[name].role, most);
		if (!read.ok) return refuse(read.problems);
		const { app, who } = event.locals;
		const { fields, form, key } = read.value;
		const given = await prepare(fields, form);
		if (!given.ok) return refuse(given.problems);
		const result = await performInThread(app.books, name, given.value, await app.context(who!, key));
		if (!result.ok) return refuse(result.problems);
		const output = result.value as HeavyOutput<N>;
		return { output, undo: wayBack(name, output) };
	};
}

/** What an act in bulk gives where it is done. */
type HeavyOutput<N extends HeavyAct> = Extract<HeavyDone<N>, { readonly ok: true }>['value'];
