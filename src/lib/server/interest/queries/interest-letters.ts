import { groupBy } from '../../../core/group-by';
import { sumOf } from '../../../core/money/add';
import { minor, ZERO } from '../../../core/money/minor';
import { defineLook } from '../../act/define-look';
import type { ChosenAccount, RunRow } from '../../letters/queries/run-rows';
import { letterOwners } from '../../letters/store/letter-standings';
import { reachOf } from '../../letters/store/reach-of';
import type { InterestDocument } from './interest-charged';

/** What a run of letters is started with. */
export interface InterestLetters {
	readonly rows: readonly RunRow[];
	readonly chosen: readonly ChosenAccount[];
	/** Customers who cannot be reached: they are left out. */
	readonly unreached: readonly number[];
}

/** Letters that tell accounts of interest, one for each account that none told yet. @param run as it is shown; a charge taken back needs none */
export const lookAtInterestLetters = defineLook(
	'reader',
	async (
		db,
		run: { readonly documents: readonly InterestDocument[]; readonly told: Readonly<Record<number, unknown>> }
	): Promise<InterestLetters> => {
		const documents = run.documents.filter((one) => !one.isUndone && !(one.itemId in run.told));
		const owners = new Map(
			(await letterOwners(db, [...new Set(documents.map((one) => one.customerId))])).map((row) => [
				row.id,
				row
			])
		);
		const rows: RunRow[] = [];
		const chosen: ChosenAccount[] = [];
		const unreached: number[] = [];
		for (const own of groupBy(documents, (one) => `${one.customerId} ${one.currency}`).values()) {
			const { customerId, currency, code, name } = own[0]!;
			const { to: email, copies, way, isReached } = reachOf(owners.get(customerId)!, 'interest');
			if (!isReached) {
				unreached.push(customerId);
				continue;
			}
			const amount = sumOf(own, (one) => minor(one.kind === 'charge' ? one.open : -one.open));
			rows.push({
				...{ customerId, code, name, currency, amount, owed: amount, late: ZERO, credit: ZERO },
				...{ way, email, copies, held: null, because: null, lastSent: null, corrects: null },
				...{ step: null, nextStep: null, isUnderWay: false }
			});
			chosen.push({ customerId, currency, amount, details: { about: own.map((one) => one.itemId) } });
		}
		return { rows, chosen, unreached };
	}
);
