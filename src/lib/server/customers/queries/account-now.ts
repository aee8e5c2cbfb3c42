import { defineLook } from '../../act/define-look';
import { customerByCode } from '../store/customer-by-code';
import { accountsNow } from '../store/merged-accounts';

/** The code of the account that another is seen as; null where it is one of its own, or none. */
export const lookAtAccountNow = defineLook('reader', async (db, code: string): Promise<string | null> => {
	const owner = await customerByCode(db, code);
	if (!owner || owner.mergedIntoId === null) return null;
	return (await accountsNow(db, [owner.id])).get(owner.id)?.code ?? null;
});
