const MINUTE = 60_000;
/**
 * Wrong attempts that one address may make at one account, that it may make at all accounts together (who tries one password at many),
 * and that all addresses together may make at one account (ASVS 4.0.3, 2.2.1: at most 100 an hour).
 */
const FROM_ONE = { most: 10, within: 15 * MINUTE };
const FROM_ONE_AT_ANY = { most: 40, within: 15 * MINUTE };
const FROM_ALL = { most: 90, within: 60 * MINUTE };
/** Longer names of accounts are no names. */
const MOST_NAME = 300;

/**
 * Counts wrong passwords and codes for each account and address. Who tries from one address is stopped there alone, so that they do not
 * keep out whose account it is; who tries from many is stopped after more. Kept in memory; what nobody tried lately is forgotten.
 */
export class Attempts {
	readonly #wrong = new Map<string, readonly number[]>();

	/** Whether another attempt may be made. @param now milliseconds */
	mayTry(account: string, origin: string, now: number): boolean {
		const under = (key: string, { most, within }: typeof FROM_ONE) =>
			this.#since(key, now - within).length < most;
		return (
			under(fromOne(account, origin), FROM_ONE) &&
			under(atAny(origin), FROM_ONE_AT_ANY) &&
			under(fromAll(account), FROM_ALL)
		);
	}

	failed(account: string, origin: string, now: number): void {
		if (this.#wrong.size > 10_000)
			for (const [key, times] of this.#wrong)
				if (times.at(-1)! <= now - FROM_ALL.within) this.#wrong.delete(key);
		for (const key of [fromOne(account, origin), atAny(origin), fromAll(account)])
			this.#wrong.set(key, [...this.#since(key, now - FROM_ALL.within), now]);
	}

	/** Whose account it is came in from there: what went wrong with it there counts no more, nor against the address. */
	succeeded(account: string, origin: string): void {
		const own = [...(this.#wrong.get(fromOne(account, origin)) ?? [])];
		this.#wrong.delete(fromOne(account, origin));
		const left = (this.#wrong.get(atAny(origin)) ?? []).filter((at) => {
			const place = own.indexOf(at);
			if (place >= 0) own.splice(place, 1);
			return place < 0;
		});
		if (left.length > 0) this.#wrong.set(atAny(origin), left);
		else this.#wrong.delete(atAny(origin));
	}

	#since(key: string, since: number): readonly number[] {
		return (this.#wrong.get(key) ?? []).filter((at) => at > since);
	}
}

function fromAll(account: string): string {
	return `of ${account.slice(0, MOST_NAME)}`;
}

function fromOne(account: string, origin: string): string {
	return `${origin} of ${account.slice(0, MOST_NAME)}`;
}

function atAny(origin: string): string {
	return `any of ${origin}`;
}
