import { USUAL_AGE_ENDS } from '../../../core/6-reports/age-buckets';
import type { Reader } from '../../platform/db/types';
import { readSetting } from './settings';

/** The days at which the firm's ageing buckets end, on screens, in reports and in letters. */
export async function ageEnds(db: Reader): Promise<readonly number[]> {
	return (await readSetting(db, 'ageing'))?.ends ?? USUAL_AGE_ENDS;
}
