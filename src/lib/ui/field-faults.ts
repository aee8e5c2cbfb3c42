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
