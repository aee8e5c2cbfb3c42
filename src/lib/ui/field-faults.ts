/** What a field says of itself to screen readers. */
export interface FieldAttributes {
	readonly 'aria-invalid': true | undefined;
	readonly 'aria-describedby': string | undefined;
}

/** What is wrong in the fields of a form, by their names. */
export interface FieldFaults {
	error(name: string): string | undefined;
	/** The id under which a field's error stands. */
	errorId(name: string): string;
	/** For the field itself; from then on its error is shown beside it and not in the list above. */
	at(name: string): FieldAttributes;
}

/** The attributes of a field with an error or none. */
export function attributesOf(error: string | undefined, id: string): FieldAttributes {
	return { 'aria-invalid': error ? true : undefined, 'aria-describedby': error ? id : undefined };
}

/** What a page's action refused, as the framework hands it over. */
export interface RefusedForm {
	readonly problems?: readonly string[];
	readonly fields?: Readonly<Record<string, string>>;
}

/** Faults of a plain form, and those of its problems that stand at no field. @param form as it is now */
export function faultsOfForm(form: () => RefusedForm | null | undefined): {
	readonly faults: FieldFaults;
	readonly elsewhere: () => readonly string[];
} {
	const faults: FieldFaults = {
		error: (name) => form()?.fields?.[name],
		errorId: (name) => `fault-${name}`,
		at: (name) => attributesOf(faults.error(name), faults.errorId(name))
	};
	const elsewhere = () => {
		const atFields = new Set(Object.values(form()?.fields ?? {}));
		return (form()?.problems ?? []).filter((problem) => !atFields.has(problem));
	};
	return { faults, elsewhere };
}
