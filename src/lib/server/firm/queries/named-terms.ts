import { defineLook } from '../../act/define-look';
import { readSetting } from '../store/settings';

/** The firm's own list of terms, in its order. */
export const lookAtNamedTerms = defineLook(
	'clerk',
	async (db, _: null) => (await readSetting(db, 'terms')) ?? []
);
