import { z } from 'zod';
import type { RunFilter } from '$lib/server/letters/queries/run-rows';
import { LETTER_WAYS } from '$lib/core/model/customer-details';
import { typedAmount } from '$lib/words/typed-amount';

const FILTER = z.object({
	tag: z.string().min(1).max(60).optional().catch(undefined),
	currency: z
		.string()
		.regex(/^[A-Z]{3}$/)
		.optional()
		.catch(undefined),
	parent: z.string().min(1).max(40).optional().catch(undefined),
	way: z.enum(LETTER_WAYS).optional().catch(undefined)
});

/** Which accounts an address asks for; what it says that cannot be is left out. @param base in which an amount is typed */
export function readFilter(url: URL, base: string): RunFilter {
	const given = Object.fromEntries([...url.searchParams].filter(([, value]) => value !== ''));
	const { tag, currency, parent, way } = FILTER.parse(given);
	const least = typedAmount(url.searchParams.get('least') ?? '', currency ?? base);
	return {
		...(tag ? { tag } : {}),
		...(currency ? { currency } : {}),
		...(parent ? { parent } : {}),
		...(way ? { way } : {}),
		...(typeof least === 'number' && least > 0 ? { least } : {}),
		...(url.searchParams.get('overdue') === 'on' ? { overdueOnly: true } : {}),
		...(url.searchParams.get('everyone') === 'on' ? { everyone: true } : {})
	};
}
