import { error, fail } from '@sveltejs/kit';
import { doubtsOf } from '../../../core/1-bank-files/doubts-of';
import type { Problem } from '../../../core/problems';
import { problemSentence } from '../../../words';
import { DomainError } from '../../act/domain-error';

const STATUS: Partial<Record<Problem['code'], number>> = {
	'not-allowed': 403,
	'confirm-yourself': 403,
	'own-request': 403,
	'not-signed-in': 401,
	'not-found': 404,
	'receipt-taken': 409,
	'item-changed': 409,
	'already-undone': 409,
	'letter-changed': 409,
	'letter-sent': 409,
	'letter-held': 409,
	'run-changed': 409,
	'key-used': 409,
	'took-too-long': 503
};

export function statusOf(problems: readonly Problem[]): number {
	return problems.map((problem) => STATUS[problem.code]).find((status) => status !== undefined) ?? 400;
}

/** Problems as a form's failure. */
export function refuse(problems: readonly Problem[]) {
	const fields: Record<string, string> = {};
	for (const problem of problems)
		if (problem.code === 'field') fields[problem.field] ??= problemSentence(problem);
	const doubts = doubtsOf(problems);
	return fail(statusOf(problems), {
		/** Every problem, and which of them belong to a field. */
		problems: problems.map(problemSentence),
		fields,
		codes: problems.map((problem) => problem.code),
		...(doubts.length > 0 ? { doubts } : {})
	});
}

/** Runs a look; what it refuses becomes the page's error. */
export async function look<T>(work: Promise<T>): Promise<T> {
	try {
		return await work;
	} catch (cause) {
		if (cause instanceof DomainError)
			error(statusOf(cause.problems), cause.problems.map(problemSentence).join(' '));
		throw cause;
	}
}
