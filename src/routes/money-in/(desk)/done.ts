/** What follows when something is done: it is said, with a way back where there is one, and the desk may go on. */
export type Done = (
	said: string,
	answer: { readonly undo: number | readonly number[] | null },
	goOn?: boolean
) => Promise<void>;
