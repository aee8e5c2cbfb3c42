import type { Db } from '../server/platform/db/open';
import { openForReading } from '../server/platform/db/open-for-reading';
import { answerPileRead, readPile, type BooksPlace, type Pile } from '../server/services/answers/answers';

/** Connections of this thread, kept, since the index of names is kept with them. */
const connections = new Map<string, Db>();

/** In a worker thread, with a reading client of its own: the books in, all receipts that wait answered, as of one moment. */
export default async function ({ url, token }: BooksPlace): Promise<Pile> {
	const connection = connections.get(url) ?? openForReading(url, token);
	connections.set(url, connection);
	return answerPileRead(await connection.transaction((tx) => readPile(tx, connection)));
}
