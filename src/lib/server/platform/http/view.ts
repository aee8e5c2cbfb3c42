import type { Look } from '../../act/define-look';
import { look } from './refuse';

/** Runs a look for the person who asks; what it refuses becomes the page's error. */
export async function view<Input, Output>(
	locals: App.Locals,
	what: Look<Input, Output>,
	input: Input
): Promise<Output> {
	return look(what(locals.app.books.db, input, { who: locals.who!, today: await locals.app.today() }));
}

/** Whether the person who asks may do anything; a reader looks. */
export function mayAct(locals: App.Locals): boolean {
	return locals.who!.role !== 'reader';
}
