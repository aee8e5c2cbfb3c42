import { sql } from 'drizzle-orm';
import type { Reader } from '../../platform/db/open';

/** A paper that was attached to a document and not taken off, as it is shown. */
export interface AttachedPaper {
	readonly id: number;
	readonly actId: number;
	readonly name: string;
	readonly bytes: number;
	readonly by: string;
	readonly at: string;
}

const standing = (documentId: number) => sql`
	from document_paper p join act a on a.id = p.act_id
	where p.document_id = ${documentId} and not exists (select 1 from act u where u.undoes_id = p.act_id)
	order by p.id desc limit 1`;

/** The paper that is attached to a document; null where it is drawn from what is posted. */
export async function attachedPaper(db: Reader, documentId: number): Promise<AttachedPaper | null> {
	const [found] = await db.all<AttachedPaper>(
		sql`select p.id, p.act_id as "actId", p.name, p.bytes, a.user_name as by, a.at ${standing(documentId)}`
	);
	return found ?? null;
}

/** What is in it; null where none is attached. */
export async function attachedPdf(db: Reader, documentId: number): Promise<Buffer | null> {
	const [found] = await db.all<{ content: ArrayBuffer | Uint8Array }>(
		sql`select p.content ${standing(documentId)}`
	);
	return found ? Buffer.from(found.content as Uint8Array) : null;
}
