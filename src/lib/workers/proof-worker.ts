import { createClient } from '@libsql/client';
import { drizzle } from 'drizzle-orm/libsql';
import * as schema from '../server/platform/db/schema';
import { proveBooks, type Proof } from '../server/ledger/queries/proof';

/** In a worker thread, with a reading client of its own: the books in, the proof out. */
export default async function ({ url, token }: { url: string; token?: string }): Promise<Proof> {
	const client = createClient({ url, authToken: token, timeout: 5000 });
	try {
		return await proveBooks(drizzle(client, { schema }));
	} finally {
		client.close();
	}
}
