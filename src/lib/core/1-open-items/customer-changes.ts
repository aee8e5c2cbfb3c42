import type { CustomerChange, CustomerDetails, CustomerField } from '../model/customer-details';

/** The fields in which what is kept of a customer differs, in the order of `before`. */
export function customerChanges(before: CustomerDetails, after: CustomerDetails): CustomerChange[] {
	return (Object.keys(before) as CustomerField[]).flatMap((field) =>
		same(before[field], after[field]) ? [] : [{ field, before: before[field], after: after[field] }]
	);
}

function same(one: CustomerDetails[CustomerField], other: CustomerDetails[CustomerField]): boolean {
	return one === other || JSON.stringify(one) === JSON.stringify(other);
}
