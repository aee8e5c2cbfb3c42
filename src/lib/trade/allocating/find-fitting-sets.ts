import type { FittingSets } from '../../server/matching/queries/who-could-owe';

/** Sets of open items of all accounts that come to an amount (minor units); null where they could not be looked for. */
export async function findFittingSets(amount: number, currency: string): Promise<FittingSets | null> {
	try {
		const response = await fetch(`/api/fitting-sets?amount=${amount}&currency=${currency}`);
		return response.ok ? ((await response.json()) as FittingSets) : null;
	} catch {
		return null;
	}
}
