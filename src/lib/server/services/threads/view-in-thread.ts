import type { HeavyInput, HeavyLook, HeavyOutput } from './heavy-looks';
import { lookInThread } from './look-in-thread';
import { look } from '../../platform/http/refuse';

/** Runs a look that may take long for the person who asks, in a thread of its own; what it refuses becomes the page's error. */
export async function viewInThread<N extends HeavyLook>(
	locals: App.Locals,
	name: N,
	input: HeavyInput<N>
): Promise<HeavyOutput<N>> {
	const viewer = { who: locals.who!, today: await locals.app.today() };
	return look(lookInThread(locals.app.books.db, name, input, viewer));
}
