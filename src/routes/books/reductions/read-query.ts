import { firstOfMonth, lastOfMonth } from '$lib/core/day/arithmetic';
import { parseDay, type Day } from '$lib/core/day/day';

/** The month and person that an address asks for; this month where it names none that can be read. */
export function readReductionsQuery(url: URL, today: Day) {
	const month = parseDay(`${(url.searchParams.get('month') ?? '').slice(0, 7)}-01`) ?? firstOfMonth(today);
	const person = url.searchParams.get('person')?.slice(0, 100) || null;
	return { from: month, through: lastOfMonth(month), person };
}
