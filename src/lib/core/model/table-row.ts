/** A row of a table by its column names, with the line of the file on which it begins. */
export interface TableRow {
	readonly line: number;
	readonly cells: Readonly<Record<string, string>>;
}
