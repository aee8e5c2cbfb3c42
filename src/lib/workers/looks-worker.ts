import { DomainError } from '../server/act/domain-error';
import { openForReading } from '../server/platform/db/open-for-reading';
import { runLook, type LookAsked, type LookTold } from '../server/services/threads/look-in-thread';
import { useConventions } from '../words/conventions';

/** In a worker thread, with a reading client of its own: a look by its name, as of one moment. */
export default async function ({ place, conventions, name, input, viewer }: LookAsked): Promise<LookTold> {
	useConventions(conventions);
	const db = openForReading(place.url, place.token);
	try {
		return { output: await runLook(db, name, input as never, viewer) };
	} catch (error) {
		if (error instanceof DomainError) return { problems: error.problems };
		throw error;
	} finally {
		db.$client.close();
	}
}
