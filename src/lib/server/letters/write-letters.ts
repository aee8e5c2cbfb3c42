import { randomUUID } from 'node:crypto';
import { promisify } from 'node:util';
import { deflateRaw } from 'node:zlib';
import type { Letter } from '../../core/7-letters/letter';
import type { LetterWay } from '../../core/model/customer-details';
import type { Problem } from '../../core/problems';
import { mailText } from '../../words/letters';
import type { Viewer } from '../act/define-look';
import { logFailure } from '../platform/log';
import { packPaper, type PackedPaper } from '../platform/files/papers';
import { packMessage } from '../platform/mail/pack-message';
import type { Reader } from '../platform/db/open';
import type { StepOfLetter } from '../../core/7-letters/letter-details';
import { attachedPdf } from '../documents/store/attached-paper';
import { paperFor } from '../documents/store/paper-for';
import { composeMail, fileName, type AttachedFile } from './compose-mail';
import { setPaper } from './set-paper';
import { statementFile } from './statement-file';
import { lettersFor, type LetterOfOne, type LettersAsked } from './store/letters-for';
import { letterVersions } from './store/letter-versions';

const deflate = promisify(deflateRaw);

/** What is asked of a letter, and how it is to go; by mail where it is not said. */
export interface LetterWanted extends LetterOfOne {
	readonly way?: LetterWay;
}

/** A letter with its paper and its envelope, made before the act so that the act itself is short. It crosses threads. */
export interface WrittenLetter {
	readonly letter: Letter;
	readonly way: LetterWay;
	/** Empty where it goes by post alone. */
	readonly to: string;
	readonly copies: readonly string[];
	readonly paper: PackedPaper;
	/** What else hangs on it: copies of documents, files of its lines. */
	readonly copiesOf: readonly PackedPaper[];
	/** The step of chasing that it is. */
	readonly step?: StepOfLetter;
	/** The message in place of whose papers stand marks, compressed; null where it goes by post alone. */
	readonly message: Uint8Array | null;
	readonly messageId: string;
	readonly subject: string;
	readonly body: string;
	/** A mark of all that it shows, taken before it was written. */
	readonly shows: string;
}

/** A letter, or why there is none: one for each account asked, in order. */
export type LetterOrWhy =
	| { readonly ok: true; readonly value: WrittenLetter }
	| { readonly ok: false; readonly problems: readonly Problem[] };

export interface WriteAsked extends Omit<LettersAsked, 'accounts'> {
	readonly accounts: readonly LetterWanted[];
}

/** Writes letters: data, paper and message, all before anything is in the books. One that cannot be written leaves the others alone. */
export async function writeLetters(
	db: Reader,
	asked: WriteAsked,
	{ today }: Pick<Viewer, 'today'>,
	now: string
): Promise<LetterOrWhy[]> {
	// Before the letters: what changes while they are written is seen when they go.
	const shows = await letterVersions(db, asked.kind, asked.accounts);
	const found = await lettersFor(db, asked, today);
	const written: LetterOrWhy[] = [];
	for (const [n, one] of found.entries()) {
		if (!one.ok) {
			written.push(one);
			continue;
		}
		const { letter, to, copies, attached, files } = one.value;
		const { way = 'mail', step } = asked.accounts[n]!;
		const reached = way === 'paper' ? letter.customer.address.length > 0 : to !== null;
		if (!reached) {
			written.push({ ok: false, problems: [{ code: 'address-missing', customer: letter.customer.name }] });
			continue;
		}
		try {
			const papers = [
				...(await copiesFor(db, attached)),
				...files.map((file) => statementFile(letter, file))
			];
			const value = await writeOne(letter, way, { to, copies, papers }, { shows: shows[n]!, now });
			written.push({ ok: true, value: step ? { ...value, step } : value });
		} catch (error) {
			logFailure(`writing the letter to ${letter.customer.code}`, error);
			written.push({ ok: false, problems: [{ code: 'letter-failed', customer: letter.customer.name }] });
		}
	}
	return written;
}

async function copiesFor(db: Reader, ids: readonly number[]): Promise<AttachedFile[]> {
	const papers: AttachedFile[] = [];
	for (const id of ids) {
		const paper = await paperFor(db, id);
		if (paper)
			papers.push({
				...{ name: `${fileName(paper.number)}.pdf`, contentType: 'application/pdf' },
				content: (await attachedPdf(db, id)) ?? setPaper({ what: 'paper', paper })
			});
	}
	return papers;
}

async function writeOne(
	letter: Letter,
	way: LetterWay,
	{
		to,
		copies,
		papers
	}: {
		readonly to: string | null;
		readonly copies: readonly string[];
		readonly papers: readonly AttachedFile[];
	},
	{ shows, now }: { readonly shows: string; readonly now: string }
): Promise<WrittenLetter> {
	const pdf = setPaper({ what: 'letter', letter });
	const paper = await packPaper(pdf);
	const copiesOf = await Promise.all(papers.map((one) => packPaper(one.content)));
	const base = { letter, way, paper, copiesOf, shows };
	if (way === 'paper' || to === null) {
		const { subject, body } = mailText(letter);
		return { ...base, ...{ to: '', copies: [], message: null, messageId: '', subject, body } };
	}
	const mail = await composeMail(letter, { pdf, papers }, { to, copies }, randomUUID(), new Date(now));
	const message = await deflate(packMessage(mail.eml, [pdf, ...papers.map((one) => one.content)]));
	const { messageId, subject, body } = mail;
	return { ...base, ...{ to, copies, message, messageId, subject, body } };
}
