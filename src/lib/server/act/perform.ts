import { eq } from 'drizzle-orm';
import type { ActKind } from '../../core/model/act-facts';
import type { Problem } from '../../core/problems';
import { err, ok, type Result } from '../../core/result';
import type { Books, Reader, Tx } from '../platform/db/open';
import { act as actTable, actOutput } from '../platform/db/schema';
import { isOutOfBounds } from '../platform/db/seal/is-out-of-bounds';
import { logAct } from '../platform/log';
import { DomainError } from './domain-error';
import type { Act, ActContext, ActEntry, CallContext } from './define-act';
import { digestOf } from './digest';
import { requireRole } from './person';
import { recordActs } from './record';

/**
 * Does an act: its role and input are checked, it runs in one transaction, and it stands in the record; sent again with the same
 * key it gives what it gave the first time. What it refuses comes back as problems; a bug is thrown.
 */
export async function perform<K extends ActKind, Given, Input, Output>(
	books: Books,
	act: Act<K, Given, Input, Output>,
	given: Given,
	call: CallContext
): Promise<Result<Output>> {
	const began = performance.now();
	const log = (refused?: readonly Problem[]) =>
		logAct({
			kind: act.kind,
			person: call.who.id,
			took: Math.round(performance.now() - began),
			...(refused && { refused: refused.map(({ code }) => code) })
		});
	try {
		const output = await books.write((tx) => performIn(tx, act, given, call));
		log();
		return ok(output);
	} catch (error) {
		const problems: readonly Problem[] | null =
			error instanceof DomainError
				? error.problems
				: isOutOfBounds(error)
					? [{ code: 'out-of-bounds' }]
					: null;
		if (!problems) throw error;
		log(problems);
		return err(...problems);
	}
}

/** The same within a transaction that is open already; throws DomainError. */
export async function performIn<K extends ActKind, Given, Input, Output>(
	tx: Tx,
	act: Act<K, Given, Input, Output>,
	given: Given,
	call: CallContext
): Promise<Output> {
	requireRole(call.who, act.role);
	const input = readInput(act, given);
	if (call.key === undefined) return runAct(act, input, new Place(tx, call, null, null)).then(first);
	const digest = digestOf(call.sent ?? input);
	const before = await answeredBefore<Output>(tx, act.kind, digest, call, call.key);
	if (before) return before.output;
	const [output, actId] = await runAct(act, input, new Place(tx, call, null, call.key));
	if (actId !== null)
		await tx
			.insert(actOutput)
			.values({ actId, kind: act.kind, input: digest, output: JSON.stringify(output ?? null) });
	return output;
}

/**
 * What an act gave when the same was sent with the same key before; null where it was not. For acts whose input takes work to
 * make: it need not be made again.
 */
export async function performedBefore<K extends ActKind, Given, Input, Output>(
	books: Books,
	act: Act<K, Given, Input, Output>,
	call: CallContext
): Promise<Result<Output> | null> {
	if (call.key === undefined || call.sent === undefined) return null;
	try {
		const before = await answeredBefore<Output>(books.db, act.kind, digestOf(call.sent), call, call.key);
		return before && ok(before.output);
	} catch (error) {
		if (error instanceof DomainError) return err(...error.problems);
		throw error;
	}
}

function first<T>([one]: readonly [T, unknown]): T {
	return one;
}

/** What the same key gave before; refused where it came from somebody else, or with something else in it. */
async function answeredBefore<Output>(
	tx: Reader,
	kind: ActKind,
	digest: string,
	call: CallContext,
	key: string
): Promise<{ readonly output: Output } | null> {
	const row = await tx
		.select({ act: actTable, kept: actOutput })
		.from(actTable)
		.leftJoin(actOutput, eq(actOutput.actId, actTable.id))
		.where(eq(actTable.key, key))
		.get();
	if (!row) return null;
	const { userId, userName: who, at } = row.act;
	if (userId !== call.who.id || row.kept?.kind !== kind || row.kept.input !== digest)
		throw new DomainError({ code: 'key-used', who, at });
	return { output: JSON.parse(row.kept.output) as Output };
}

function readInput<K extends ActKind, Given, Input, Output>(
	act: Act<K, Given, Input, Output>,
	given: Given
): Input {
	const read = act.input.safeParse(given);
	if (read.success) return read.data;
	throw new DomainError(...fieldProblems(read.error.issues));
}

/** What Zod found, as problems of their fields. */
export function fieldProblems(
	issues: readonly { readonly path: readonly PropertyKey[]; readonly message: string }[]
): Problem[] {
	return issues.map(({ path, message }) => ({ code: 'field', field: path.join('.'), message }));
}

/** Runs an act at its place in the record; returns what it gives, and its id there. */
async function runAct<K extends ActKind, Given, Input, Output>(
	act: Act<K, Given, Input, Output>,
	input: Input,
	place: Place
): Promise<readonly [Output, number | null]> {
	const output = await act.run(new Context(act.kind, place), input);
	if (place.actId === null && !place.idle)
		throw new Error(`${act.kind} neither stands in the record nor says that it did nothing`);
	return [output, place.actId];
}

/** Where an act stands in the record: recorded once, under one kind, with one parent. */
class Place {
	actId: number | null = null;
	idle = false;
	agreedFor: ActContext['agreedFor'] = null;
	rehearsing = false;
	constructor(
		readonly tx: Tx,
		readonly call: CallContext,
		readonly parentId: number | null,
		readonly key: string | null
	) {}
}

class Context<K extends ActKind> implements ActContext<K> {
	readonly #kind: K;
	readonly #place: Place;
	readonly tx: Tx;
	readonly who: CallContext['who'];
	readonly today: CallContext['today'];
	readonly now: CallContext['now'];
	readonly answerGiven: CallContext['answerGiven'];

	get agreedFor(): ActContext['agreedFor'] {
		return this.#place.agreedFor;
	}

	get rehearsing(): boolean {
		return this.#place.rehearsing;
	}

	constructor(kind: K, place: Place) {
		this.#kind = kind;
		this.#place = place;
		this.tx = place.tx;
		({ who: this.who, today: this.today, now: this.now, answerGiven: this.answerGiven } = place.call);
	}

	async record(entry: ActEntry<K>): Promise<number> {
		const place = this.#place;
		if (place.actId !== null) throw new Error(`${this.#kind} was recorded before`);
		const { parentId, key } = place;
		const [id] = await recordActs(place.tx, place.call, [{ kind: this.#kind, entry, parentId, key }]);
		return (place.actId = id!);
	}

	unchanged<T>(output: T): T {
		this.#place.idle = true;
		return output;
	}

	as<Other extends ActKind>(kind: Other): ActContext<Other> {
		return new Context(kind, this.#place);
	}

	agreed(askedBy: NonNullable<ActContext['agreedFor']>): void {
		this.#place.agreedFor = askedBy;
	}

	rehearsal(): ActContext {
		// What is kept for a transaction is kept by its object: another one keeps nothing for what is taken back.
		const tx = Object.create(this.tx) as Tx;
		const place = new Place(tx, this.#place.call, this.#id(), null);
		place.rehearsing = true;
		return new Context(this.#kind, place);
	}

	part<Part extends ActKind>(kind: Part): ActContext<Part> {
		return new Context(kind, this.#below());
	}

	async run<Part extends ActKind, Given, Input, Output>(
		act: Act<Part, Given, Input, Output>,
		given: Given
	): Promise<Output> {
		requireRole(this.who, act.role);
		return first(await runAct(act, readInput(act, given), this.#below()));
	}

	async recordParts<Part extends ActKind>(kind: Part, entries: readonly ActEntry<Part>[]): Promise<number[]> {
		const { tx, call } = this.#place;
		const parentId = this.#id();
		const records = entries.map((entry) => ({ kind, entry, parentId, key: null }));
		return recordActs(tx, call, records);
	}

	#below(): Place {
		const place = new Place(this.#place.tx, this.#place.call, this.#id(), null);
		place.agreedFor = this.#place.agreedFor;
		place.rehearsing = this.#place.rehearsing;
		return place;
	}

	#id(): number {
		const { actId } = this.#place;
		if (actId === null) throw new Error(`${this.#kind} has parts before it stands in the record itself`);
		return actId;
	}
}
