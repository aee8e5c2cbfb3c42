import { readSetting } from '../store/settings';
import { defineLook } from '../../act/define-look';

/** Which column of each processor's report is which, as it was mapped before. */
export const lookAtProcessors = defineLook(
	'reader',
	async (db, _: null) => (await readSetting(db, 'processors')) ?? {}
);
