import { eq } from 'drizzle-orm';
import { z } from 'zod';
import { defineAct } from '../../act/define-act';
import { DomainError } from '../../act/domain-error';
import { actIdInput, idField } from '../../act/fields';
import { keptFilesField, refuseOddFiles } from '../../act/kept-files';
import { refuseUndone } from '../../act/refuse-undone';
import { customer, customerFile } from '../../platform/db/schema';
import { customerById } from '../store/customer-by-id';

/** Keeps agreements, orders or other files with a customer, exactly as they came: all of them or none. */
export const keepCustomerFiles = defineAct({
	kind: 'keep-customer-files',
	role: 'clerk',
	input: z.object({ customerId: idField, files: keptFilesField }),
	run: async (ctx, { customerId, files }): Promise<{ actId: number; kept: number }> => {
		refuseOddFiles(files);
		const owner = await customerById(ctx.tx, customerId);
		const actId = await ctx.record({
			summary: { customer: owner.name, files: files.map(({ name }) => name) },
			facts: { files: files.map(({ name, content }) => ({ name, bytes: content.length })) },
			customerId
		});
		for (const file of files)
			await ctx.tx.insert(customerFile).values({ ...file, customerId, actId, bytes: file.content.length });
		return { actId, kept: files.length };
	}
});

/** Takes files off a customer that were kept together; they stay in the record, and are listed no more. */
export const takeOffCustomerFiles = defineAct({
	kind: 'take-off-customer-files',
	role: 'clerk',
	input: actIdInput,
	run: async (ctx, { actId: keptActId }): Promise<{ actId: number }> => {
		const files = await ctx.tx
			.select({ file: customerFile.name, customerId: customerFile.customerId, customer: customer.name })
			.from(customerFile)
			.innerJoin(customer, eq(customer.id, customerFile.customerId))
			.where(eq(customerFile.actId, keptActId))
			.all();
		const first = files[0];
		if (!first) throw new DomainError({ code: 'not-found', what: 'file' });
		await refuseUndone(ctx.tx, keptActId);
		const actId = await ctx.record({
			summary: { customer: first.customer, files: files.map(({ file }) => file) },
			...{ customerId: first.customerId, undoesId: keptActId }
		});
		return { actId };
	}
});
