import { measured } from '../server/platform/db/meter';
import { openBooks, type Books } from '../server/platform/db/open';
import { prepareAct, runAct, type ActAsked } from '../server/services/threads/perform-in-thread';

/** Books that this thread has open, kept for the next act. */
const open = new Map<string, Promise<Books>>();

/** In a worker thread, with a connection of its own: an act in bulk by its name. Whoever asks holds the turn to write meanwhile. */
export default async function ({
	place,
	migrations,
	name,
	given,
	prepare,
	call,
	meter
}: ActAsked): Promise<unknown> {
	const books = open.get(place.url) ?? openBooks(place.url, { migrations, token: place.token });
	open.set(place.url, books);
	const now = () => new Date().toISOString();
	if (prepare) return prepareAct(await books, name);
	const opened = await books;
	return measured(meter, () => runAct(opened, name, given as never, { ...call, now }));
}
