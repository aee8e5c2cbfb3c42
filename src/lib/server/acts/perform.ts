import type { Day } from '../../core/day/day';
import type { Problem } from '../../core/problems';
import { err, ok, type Result } from '../../core/result';
import type { Books, Tx } from '../db/open';
import { DomainError } from '../domain-error';

export type Role = 'reader' | 'clerk' | 'supervisor';
const RANK: Readonly<Record<Role, number>> = { reader: 0, clerk: 1, supervisor: 2 };

export interface Person {
	readonly id: string;
	readonly name: string;
	readonly role: Role;
}

/** Who acts, and when: the day of the books and the moment of the clock, both given. */
export interface Circumstance {
	readonly who: Person;
	readonly today: Day;
	readonly now: () => string;
	/** Given by the form, so that sending it twice does it once. */
	readonly key?: string;
}

export interface Act<Input, Output> {
	readonly kind: string;
	readonly needs: Role;
	/** Reads, decides by the core, writes; throws DomainError to take all of it back. */
	readonly run: (tx: Tx, input: Input, at: Circumstance) => Promise<Output>;
}

/** Declares something that a person does. The check of the role is not the act's to forget. */
export function defineAct<Input, Output>(act: Act<Input, Output>): Act<Input, Output> {
	return {
		...act,
		run: (tx, input, at) => {
			requireRole(at.who, act.needs);
			return act.run(tx, input, at);
		}
	};
}

/** Throws DomainError where a person's role does not reach. A supervisor may what a clerk may, a clerk what a reader may. */
export function requireRole(who: Person, needs: Role): void {
	if (RANK[who.role] < RANK[needs]) throw new DomainError({ code: 'not-allowed', role: who.role, needs });
}

/** Does an act in one transaction; what the act refuses comes back as problems, a bug is thrown. */
export async function perform<Input, Output>(
	books: Books,
	act: Act<Input, Output>,
	input: Input,
	at: Circumstance
): Promise<Result<Output>> {
	try {
		return ok(await books.write((tx) => act.run(tx, input, at)));
	} catch (error) {
		if (error instanceof DomainError) return err(...(error.problems as Problem[]));
		throw error;
	}
}
