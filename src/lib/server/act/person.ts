import { DomainError } from './domain-error';

export const ROLES = ['clerk', 'supervisor', 'reader'] as const;
export type Role = (typeof ROLES)[number];
const RANK: Readonly<Record<Role, number>> = { reader: 0, clerk: 1, supervisor: 2 };

export interface Person {
	readonly id: string;
	readonly name: string;
	readonly role: Role;
}

/** What nobody in particular does (the inbox, the first start) is signed by the application itself. */
export const APPLICATION: Person = { id: 'application', name: 'Odd Penny', role: 'supervisor' };

/** Throws DomainError where a person's role does not reach. A supervisor may what a clerk may, a clerk what a reader may. */
export function requireRole(who: Person, needs: Role): void {
	if (RANK[who.role] < RANK[needs]) throw new DomainError({ code: 'not-allowed', role: who.role, needs });
}
