import { addDays } from '$lib/core/day/arithmetic';
import { parseDay, type Day } from '$lib/core/day/day';

/** Up to which day interest is asked for, and which account is shown in full. */
export interface InterestQuery {
	readonly through: Day;
	readonly open: string | null;
}

/** Reads an address; yesterday where it names no day, for today is not over. */
export function readInterestQuery(url: URL, today: Day): InterestQuery {
	const asked = parseDay(url.searchParams.get('through') ?? '');
	return {
		through: asked && asked <= today ? asked : addDays(today, -1),
		open: url.searchParams.get('account')?.slice(0, 80) ?? null
	};
}
