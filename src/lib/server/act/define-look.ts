import type { Day } from '../../core/day/day';
import { requireRole, type Person, type Role } from './person';
import type { Db } from '../platform/db/open';

export interface Viewer {
	readonly who: Person;
	readonly today: Day;
}

/** Something that a person looks at: it reads and writes nothing. */
export type Look<Input, Output> = (db: Db, input: Input, viewer: Viewer) => Promise<Output>;

/** Declares a look. The check of the role is not the look's to forget. */
export function defineLook<Input, Output>(needs: Role, run: Look<Input, Output>): Look<Input, Output> {
	return async (db, input, viewer) => {
		requireRole(viewer.who, needs);
		return run(db, input, viewer);
	};
}
