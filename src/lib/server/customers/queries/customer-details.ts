import { defineLook } from '../../act/define-look';
import { customerByCode } from '../store/customer-by-code';
import { detailsOf } from '../store/customer-details';

/** What is kept of a customer, to be changed; null where there is no such account. */
export const lookAtDetails = defineLook('clerk', async (db, code: string) => {
	const owner = await customerByCode(db, code);
	if (!owner) return null;
	const { id, version, currency, closedOn } = owner;
	return { id, code, version, currency, closedOn, details: await detailsOf(db, owner) };
});
