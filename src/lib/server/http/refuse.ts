import { error, fail } from '@sveltejs/kit';
import type { Problem } from '../../core/problems';
import { problemSentence } from '../../words/problem-sentence';
import { DomainError } from '../domain-error';

const STATUS: Partial<Record<Problem['code'], number>> = {
	'not-allowed': 403,
	'not-signed-in': 401,
	'not-found': 404,
	'receipt-taken': 409,
	'item-changed': 409,
	'already-undone': 409,
	'letter-changed': 409
};

export function statusOf(problems: readonly Problem[]): number {
	return problems.map((problem) => STATUS[problem.code]).find((status) => status !== undefined) ?? 400;
}

/** Problems as a form's failure, with what was typed. */
export function refuse<T extends Record<string, unknown>>(problems: readonly Problem[], typed?: T) {
	return fail(statusOf(problems), {
		problems: problems.map(problemSentence),
		codes: problems.map((problem) => problem.code),
		typed
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
