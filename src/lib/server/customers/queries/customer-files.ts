import { eq, inArray, sql } from 'drizzle-orm';
import { groupBy } from '../../../core/group-by';
import { defineLook } from '../../act/define-look';
import type { Reader } from '../../platform/db/open';
import { customerFile } from '../../platform/db/schema';

/** A file kept with a customer, as it is listed. */
export interface CustomerFileShown {
	readonly id: number;
	readonly actId: number;
	readonly name: string;
	readonly type: string;
	readonly bytes: number;
}

const LISTED = {
	...{ id: customerFile.id, actId: customerFile.actId, name: customerFile.name },
	...{ type: customerFile.type, bytes: customerFile.bytes }
};

/** The newest files of a customer that nobody took off. */
export const filesOfCustomer = (
	db: Reader,
	ids: readonly number[],
	most: number
): Promise<CustomerFileShown[]> =>
	db.all(sql`
		select f.id, f.act_id as "actId", f.name, f.type, f.bytes from customer_file f
		where f.customer_id in (select value from json_each(${JSON.stringify(ids)})) and not exists (select 1 from act u where u.undoes_id = f.act_id)
		order by f.id desc limit ${most}`);

/** Files by the acts that kept them. */
export async function filesOfActs(
	db: Reader,
	acts: readonly number[]
): Promise<ReadonlyMap<number, CustomerFileShown[]>> {
	const rows = await db
		.select(LISTED)
		.from(customerFile)
		.where(inArray(customerFile.actId, [...acts]))
		.orderBy(customerFile.id)
		.all();
	return groupBy(rows, ({ actId }) => actId);
}

/** A file kept with a customer, as it came. */
export const lookAtCustomerFile = defineLook(
	'reader',
	async (db, id: number) =>
		(await db.select().from(customerFile).where(eq(customerFile.id, id)).all())[0] ?? null
);
