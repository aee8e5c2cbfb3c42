import type { Person } from '../act/person';
import type { Auth } from './auth';

/** The person whose session the cookies of a request carry, or null: none, run out, signed by nobody, or shut out since. */
export async function whoIsAsking(auth: Auth, headers: Headers): Promise<Person | null> {
	const found = await auth.api.getSession({ headers });
	if (!found?.user.active) return null;
	const { id, name, role } = found.user;
	return { id, name, role: role as Person['role'] };
}
