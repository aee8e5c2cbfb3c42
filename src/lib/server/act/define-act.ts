import { z } from 'zod';
import type { Answer } from '../../core/3-matching';
import type { Day } from '../../core/day/day';
import type { ActFacts, ActKind } from '../../core/model/act-facts';
import type { Tx } from '../platform/db/open';
import type { Person, Role } from './person';

/** Who acts, and when: the day of the books and the moment of the clock, both given. */
export interface CallContext {
	readonly who: Person;
	readonly today: Day;
	readonly now: () => string;
	/** Made when the form was shown: sent again, the same key is answered with what the first time gave. */
	readonly key?: string;
	/** What the person sent, where the server makes more of it (letters written): by this it is told whether it is sent again. */
	readonly sent?: unknown;
	/** What the server answered last for a receipt, as the person saw it; null where it gave no answer. */
	readonly answerGiven?: (receiptId: number) => Answer | null;
}

/** What an act puts into the record of itself. */
export interface ActEntry<K extends ActKind> {
	/** The accounting date; the day of the books where it is left out. */
	readonly date?: Day;
	/** What its summary is made of. */
	readonly summary: ActFacts[K];
	/** What it touched, kept with it. */
	readonly facts?: unknown;
	readonly customerId?: number | null;
	readonly receiptId?: number | null;
	readonly documentId?: number | null;
	/** The act that this one takes back. */
	readonly undoesId?: number | null;
}

/** What an act works with: the transaction, who and when, and its place in the record. */
export interface ActContext<K extends ActKind = ActKind> extends CallContext {
	readonly tx: Tx;
	/** Who asked for it, where a second person agreed and it is done now. */
	readonly agreedFor: Pick<Person, 'id' | 'name'> | null;
	/** Whether it is done to see what it would post, and is taken back: no limit stands in its way. */
	readonly rehearsing: boolean;
	/** Puts the act into the record and returns its id: once, before the rows that point at it. */
	record(entry: ActEntry<K>): Promise<number>;
	/** Says that there was nothing to do, so that nothing is recorded; returns what is given. */
	unchanged<T>(output: T): T;
	/** The same place in the record, under the kind that it turned out to be. */
	as<Other extends ActKind>(kind: Other): ActContext<Other>;
	/** From here on it is done for somebody who asked. */
	agreed(askedBy: Pick<Person, 'id' | 'name'>): void;
	/** A place below this one to try something out: it shares nothing with this transaction but the books. */
	rehearsal(): ActContext;
	/** A part of this act: recorded as its child. This act must be in the record by then. */
	part<Part extends ActKind>(kind: Part): ActContext<Part>;
	/** Does another act as a part of this one, its role and input checked as from outside. */
	run<Part extends ActKind, Given, Input, Output>(
		act: Act<Part, Given, Input, Output>,
		given: Given
	): Promise<Output>;
	/** Records many parts of one kind at once; returns their ids in order. */
	recordParts<Part extends ActKind>(kind: Part, entries: readonly ActEntry<Part>[]): Promise<number[]>;
}

export interface Act<K extends ActKind, Given, Input, Output> {
	readonly kind: K;
	readonly role: Role;
	readonly input: z.ZodType<Input, Given>;
	/** Reads, decides by the core, writes; throws DomainError to take all of it back. */
	readonly run: (ctx: ActContext<K>, input: Input) => Promise<Output>;
}

/** Any act, to be done with what suits it. */
export type AnyAct = Act<ActKind, never, never, unknown>;

/** Declares something that a person does: the runner (`perform`) checks role and input, keeps the key, and sees to the record. */
export function defineAct<K extends ActKind, Given, Input, Output>(
	act: Act<K, Given, Input, Output>
): Act<K, Given, Input, Output> {
	return act;
}

/** The input of an act that only the server itself makes (a file it has read, letters it prepared): not checked again. */
export function madeHere<T>(): z.ZodType<T, T> {
	return z.custom<T>(() => true) as z.ZodType<T, T>;
}
