import { addDays } from '../../../core/day/arithmetic';
import { day, type Day } from '../../../core/day/day';
import type { Reader } from '../../platform/db/open';
import { readSetting } from '../../firm/store/settings';

/** The first day on which may be posted, or null where no period is locked. */
export async function firstOpenDay(db: Reader): Promise<Day | null> {
	const locked = await readSetting(db, 'lockedThrough');
	return locked ? addDays(day(locked), 1) : null;
}
