/** The database for looks: while a write runs in the same call chain, using it is a bug (the transaction must be used). */
export function refuseNestedWrite<Db extends object>(db: Db, isWriting: () => boolean): Db {
	return new Proxy(db, {
		get(target, property, receiver) {
			if (isWriting())
				throw new Error(
					`within a write, use its transaction instead of the books' own "${String(property)}"`
				);
			return Reflect.get(target, property, receiver);
		}
	});
}
