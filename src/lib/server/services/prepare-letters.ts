import { append } from '../../core/append';
import { randomUUID } from 'node:crypto';
import type { Problem } from '../../core/problems';
import { err, ok, type Result } from '../../core/result';
import type { PreparedLetter } from '../letters/commands/send-letters';
import type { Db } from '../platform/db/open';
import type { Viewer } from '../act/define-look';
import { lookAtLetters } from '../letters/queries/letters';
import type { LettersAsked } from '../letters/store/letters-for';
import { letterVersions } from '../letters/store/letter-versions';
import { composeMail } from '../letters/compose-mail';
import { render } from './render-pdf';

/** Writes letters for the accounts chosen: data, paper and message, all before anything is in the books. */
export async function prepareLetters(
	db: Db,
	asked: LettersAsked,
	viewer: Viewer,
	now: string
): Promise<Result<PreparedLetter[]>> {
	const problems: Problem[] = [];
	const prepared: PreparedLetter[] = [];
	// Before the letters: what changes while they are written is seen when they go.
	const shows = await letterVersions(db, asked.kind, asked.accounts);
	for (const [n, found] of (await lookAtLetters(db, asked, viewer)).entries()) {
		if (!found.ok) {
			append(problems, found.problems);
			continue;
		}
		const { letter, to, copies } = found.value;
		if (!to) {
			problems.push({ code: 'address-missing', customer: letter.customer.name });
			continue;
		}
		const pdf = await render({ what: 'letter', letter });
		const mail = await composeMail(letter, pdf, { to, copies }, randomUUID(), new Date(now));
		prepared.push({ letter, to, copies, pdf, shows: shows[n]!, ...mail });
	}
	return problems.length ? err(...problems) : ok(prepared);
}
