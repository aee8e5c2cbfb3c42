import { randomUUID } from 'node:crypto';
import type { LetterKind } from '../../core/7-letters/letter';
import type { Problem } from '../../core/problems';
import { err, ok, type Result } from '../../core/result';
import type { PreparedLetter } from '../acts/send-letters';
import type { Db } from '../db/open';
import type { Viewer } from '../looks/define-look';
import { lookAtLetter } from '../looks/letters';
import { composeMail } from '../mail/compose';
import { render } from '../pdf/render';

/** Writes letters for the accounts chosen: data, paper and message, all before anything is in the books. */
export async function prepareLetters(
	db: Db,
	kind: LetterKind,
	chosen: readonly { customerId: number; currency: string; returnedId?: number }[],
	viewer: Viewer,
	now: string
): Promise<Result<PreparedLetter[]>> {
	const problems: Problem[] = [];
	const prepared: PreparedLetter[] = [];
	for (const one of chosen) {
		const found = await lookAtLetter(db, { kind, ...one }, viewer);
		if (!found.ok) {
			problems.push(...found.problems);
			continue;
		}
		const { letter, to } = found.value;
		if (!to) {
			problems.push({ code: 'address-missing', customer: letter.customer.name });
			continue;
		}
		const pdf = await render({ what: 'letter', letter });
		prepared.push({ letter, to, pdf, ...(await composeMail(letter, pdf, to, randomUUID(), new Date(now))) });
	}
	return problems.length ? err(...problems) : ok(prepared);
}
