/** A step of a list that is gone through in its order. */
export interface RunSheetStep {
	readonly name: string;
	/** How it stands, in a sentence. */
	readonly says: string;
	readonly done: boolean;
	/** Somebody left it out. */
	readonly leftOut?: boolean;
	/** Something about it should be looked at. */
	readonly warn: boolean;
	/** Where it is done, and what that is called. */
	readonly href: string;
	readonly does: string;
}
