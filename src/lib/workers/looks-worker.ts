import { DomainError } from '../server/act/domain-error';
import type { Db } from '../server/platform/db/open';
import { openForReading } from '../server/platform/db/open-for-reading';
import { runLook, type LookAsked, type LookTold } from '../server/services/threads/look-in-thread';
import { useConventions } from '../words/conventions';

/** Connections of this thread, kept with their statements for the next look. */
const connections = new Map<string, Db>();

/** In a worker thread, with a reading client of its own: a look by its name. */
export default async function ({ place, conventions, name, input, viewer }: LookAsked): Promise<LookTold> {
	useConventions(conventions);
	const db = connections.get(place.url) ?? openForReading(place.url, place.token);
	connections.set(place.url, db);
	try {
		return { output: await runLook(db, name, input as never, viewer) };
	} catch (error) {
		if (error instanceof DomainError) return { problems: error.problems };
		throw error;
	}
}
