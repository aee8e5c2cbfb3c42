import { count, isNotNull } from 'drizzle-orm';
import type { LetterKind } from '../../../core/7-letters/letter';
import { defineLook } from '../../act/define-look';
import { baseCurrencyOr } from '../../firm/store/settings';
import { customer } from '../../platform/db/schema';
import { readPolicies } from '../store/policies';
import { builtInKeys, readWordings } from '../store/wordings';
import { BUILT_IN_WORDINGS, type BuiltInWording } from '../../../core/7-letters/wording/wording';

/** Ways of chasing with how many customers have each, the usual one first, and the wordings that steps may have. */
export const lookAtPolicies = defineLook('reader', async (db, _: null) => {
	const policies = await readPolicies(db);
	const used = new Map(
		(
			await db
				.select({ id: customer.chasingPolicy, n: count() })
				.from(customer)
				.where(isNotNull(customer.chasingPolicy))
				.groupBy(customer.chasingPolicy)
				.all()
		).map((row) => [row.id, row.n])
	);
	return {
		policies: policies.map((policy, n) => ({
			...policy,
			isUsual: n === 0,
			customers: used.get(policy.id) ?? 0
		})),
		wordings: await wordingsOf(db, 'reminder'),
		thanksWordings: await wordingsOf(db, 'thanks'),
		base: await baseCurrencyOr(db, 'GBP')
	};
});

/** Wordings of a kind, by which a letter may be written: those that came with the application have their names on screens. */
async function wordingsOf(
	db: Parameters<typeof readWordings>[0],
	kind: LetterKind
): Promise<{ readonly key: string; readonly name: string | null }[]> {
	const all = await readWordings(db);
	return [
		...builtInKeys
			.filter((key: BuiltInWording) => BUILT_IN_WORDINGS[key] === kind)
			.map((key) => ({ key: key as string, name: null })),
		...all.own().filter((one) => one.kind === kind)
	].map(({ key, name }) => ({ key, name }));
}

/** Ways of chasing by their names, for choosing one. */
export const namesOfPolicies = defineLook('reader', async (db, _: null) =>
	(await readPolicies(db)).map(({ id, name }, n) => ({ id, name, isUsual: n === 0 }))
);
