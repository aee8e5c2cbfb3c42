import { createClient, type Client } from '@libsql/client';
import { drizzle } from 'drizzle-orm/libsql';
import { keepStatements } from './keep-statements';
import * as schema from './schema';
import type { Db } from './types';

/**
 * Books for reading beside the process that writes them. A transaction here sees one moment and stops no writer: the adapter opens
 * every transaction as one that writes, whatever it is told, and would hold the books locked for as long as somebody reads.
 */
export function openForReading(url: string, token?: string): Db & { readonly $client: Client } {
	keepStatements();
	const client = createClient({ url, authToken: token, timeout: 5000 });
	const begin = client.transaction.bind(client);
	client.transaction = () => begin('deferred');
	return drizzle(client, { schema });
}
