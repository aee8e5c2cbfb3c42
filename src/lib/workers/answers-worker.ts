import { createClient } from '@libsql/client';
import { drizzle } from 'drizzle-orm/libsql';
import type { Db } from '../server/db/open';
import * as schema from '../server/db/schema';
import { makePile, type BooksPlace, type Pile } from '../server/looks/answers';

/** Connections of this thread, kept, since the index of names is kept with them. */
const connections = new Map<string, Db>();

/** In a worker thread, with a reading client of its own: the books in, all receipts that wait answered, as of one moment. */
export default async function ({ url, token }: BooksPlace): Promise<Pile> {
	let db = connections.get(url);
	if (!db) {
		const client = createClient({ url, authToken: token, timeout: 5000 });
		connections.set(url, (db = drizzle(client, { schema })));
	}
	const connection = db;
	return connection.transaction((tx) => makePile(tx, connection), { behavior: 'deferred' });
}
