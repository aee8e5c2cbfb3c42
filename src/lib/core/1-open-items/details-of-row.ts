import type { CustomerDetails } from '../model/customer-details';
import type { CustomerRow } from './read-customers';

/**
 * What is kept of a customer once a row of a table is taken: what the row says in place of what was; names and accounts beside those that
 * were known, for a table lists some of them and takes none off.
 */
export function detailsOfRow(before: CustomerDetails, row: CustomerRow): CustomerDetails {
	const said: Partial<CustomerDetails> = {
		...{ name: row.name, address: row.address, termsDays: row.termsDays, phone: row.phone },
		...{ discountBasisPoints: row.discountBasisPoints, discountDays: row.discountDays },
		...{ parentCode: row.parentCode, statementEmail: row.email, reminderEmail: row.reminderEmail },
		...{ creditLimit: row.creditLimit, taxNumber: row.taxNumber, language: row.language },
		...{ tags: both(before.tags, row.tags), notes: row.notes },
		otherNames: both(before.otherNames, row.otherNames).filter((name) => name !== row.name),
		payerAccounts: both(before.payerAccounts, row.payerAccounts)
	};
	const taken = Object.fromEntries(row.says.map((field) => [field, said[field]]));
	return { ...before, ...taken };
}

const both = (one: readonly string[], other: readonly string[]) => [...new Set([...one, ...other])];
