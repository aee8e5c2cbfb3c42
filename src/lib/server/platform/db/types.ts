import type { LibSQLDatabase } from 'drizzle-orm/libsql';
import type * as schema from './schema';

export type Db = LibSQLDatabase<typeof schema>;
/** Inside a transaction; the only way to write. */
export type Tx = Parameters<Parameters<Db['transaction']>[0]>[0];
/** Either: for queries that serve looks and acts alike. */
export type Reader = Pick<Db, 'select' | 'selectDistinct' | 'all' | 'get' | 'values' | '$count'>;
