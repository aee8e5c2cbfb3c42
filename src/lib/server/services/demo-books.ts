/** Demo books beside the firm's own, in a process and a folder of their own. */
export interface DemoBooks {
	/** Makes them, where they are not there yet, and waits until they answer. @throws Error where they could not be made */
	start(): Promise<void>;
}

/** The cookie of whoever looks around in them: what they ask for goes there. */
export const DEMO_BOOKS_COOKIE = 'odd-penny-demo-books';
/** Where they leave them. */
export const LEAVE_DEMO_BOOKS = '/leave-demo-books';
/** Set in the environment of the process that has them. */
export const DEMO_BOOKS_SETTING = 'ODD_PENNY_DEMO_BOOKS';

/** What serves and what is served are built apart, so that each has modules of its own: they meet here. */
const MEETING = Symbol.for('odd-penny demo books');

/** The demo books that can be looked at here; nothing where the application is not served by its own server. */
export const demoBooks = (): DemoBooks | undefined => (globalThis as { [MEETING]?: DemoBooks })[MEETING];

/** Offers demo books to whoever sets up new ones. */
export function offerDemoBooks(books: DemoBooks): void {
	(globalThis as { [MEETING]?: DemoBooks })[MEETING] = books;
}

/** Whether this process has the demo books that somebody looks at beside their own. */
export const isDemoBooksProcess = (): boolean => process.env[DEMO_BOOKS_SETTING] === '1';
