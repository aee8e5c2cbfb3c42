import type { Day } from '../../core/day/day';
import { requireRole, type Person, type Role } from '../acts/perform';
import type { Db } from '../db/open';

export interface Viewer {
	readonly who: Person;
	readonly today: Day;
}

/** Declares something that a person looks at. The check of the role is not the look's to forget. */
export function defineLook<Input, Output>(
	needs: Role,
	run: (db: Db, input: Input, viewer: Viewer) => Promise<Output>
): (db: Db, input: Input, viewer: Viewer) => Promise<Output> {
	return async (db, input, viewer) => {
		requireRole(viewer.who, needs);
		return run(db, input, viewer);
	};
}
