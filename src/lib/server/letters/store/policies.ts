import type { ChasingPolicy } from '../../../core/7-letters/chasing/policy';
import { USUAL_POLICY } from '../../../words';
import { readSetting } from '../../firm/store/settings';
import type { Reader } from '../../platform/db/open';

/** How customers are chased, the usual way first: the firm's, or what came with the application. */
export async function readPolicies(db: Reader): Promise<readonly [ChasingPolicy, ...ChasingPolicy[]]> {
	const [usual, ...others] = (await readSetting(db, 'chasing')) ?? [];
	return usual ? [usual, ...others] : [USUAL_POLICY];
}

/** How one customer is chased. @param id null, or one that there is no more, for the usual way */
export function policyOf(
	policies: readonly [ChasingPolicy, ...ChasingPolicy[]],
	id: string | null
): ChasingPolicy {
	return policies.find((one) => one.id === id) ?? policies[0];
}
