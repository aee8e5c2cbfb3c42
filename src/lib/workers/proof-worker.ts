import { proveBooks, type Proof, type ProofAsked } from '../server/ledger/queries/proof';
import { openForReading } from '../server/platform/db/open-for-reading';

/** In a worker thread, with a reading client of its own: the books in, the proof of one moment out. */
export default async function ({ url, token, anchors }: ProofAsked): Promise<Proof> {
	const db = openForReading(url, token);
	try {
		return await db.transaction((tx) => proveBooks(tx, anchors));
	} finally {
		db.$client.close();
	}
}
