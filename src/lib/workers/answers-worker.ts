import type { Db } from '../server/platform/db/open';
import { openForReading } from '../server/platform/db/open-for-reading';
import type { AskedPile } from '../server/services/answers/answers';
import { PileMaker, type PilePatch } from '../server/services/answers/pile-maker';

/** Of each books a connection of this thread, and what is known of what waits there. */
const known = new Map<string, { readonly connection: Db; readonly maker: PileMaker }>();

/** In a worker thread, with a reading client of its own: what waits, answered, as of one moment. */
export default async function ({ place, since }: AskedPile): Promise<PilePatch> {
	const { url, token } = place;
	const mine = known.get(url) ?? { connection: openForReading(url, token), maker: new PileMaker() };
	known.set(url, mine);
	const { connection, maker } = mine;
	return connection.transaction((tx) => maker.make(tx, since));
}
