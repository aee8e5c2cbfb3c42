import { and, desc, eq, inArray, max } from 'drizzle-orm';
import type { LetterKind, LetterLanguage } from '../../../core/7-letters/letter';
import {
	BUILT_IN_WORDINGS,
	isBuiltIn,
	usualWording,
	type BuiltInWording,
	type Wording,
	type WordingUsed
} from '../../../core/7-letters/wording/wording';
import { letterWordsOf } from '../../../words/letters';
import type { Reader } from '../../platform/db/open';
import { wordingVersion } from '../../platform/db/schema';

type Version = typeof wordingVersion.$inferSelect;

/** The words of a kind of letter in one language, as they are now. */
export interface WordingNow {
	readonly key: string;
	readonly kind: LetterKind;
	readonly language: LetterLanguage;
	/** Nought while it is the one that came with the application, or there is none yet. */
	readonly version: number;
	readonly name: string;
	/** Null where one of the firm's own has no words in this language. */
	readonly words: Wording | null;
	/** Whether they are the firm's own. */
	readonly isOwn: boolean;
}

/** Every wording of the firm, by key and language: read once for a batch of letters. */
export class Wordings {
	readonly #newest: ReadonlyMap<string, Version>;
	/** @param versions the newest of each key and language */
	constructor(versions: readonly Version[]) {
		this.#newest = new Map(versions.map((one) => [`${one.key} ${one.language}`, one]));
	}

	/** A wording as it is now; null where there is none of the key. */
	find(key: string, language: LetterLanguage): WordingNow | null {
		const newest = this.#newest.get(`${key} ${language}`);
		const builtIn = isBuiltIn(key) ? letterWordsOf(language).wordings[key] : null;
		const kind = newest?.kind ?? (isBuiltIn(key) ? BUILT_IN_WORDINGS[key] : this.#anyOf(key)?.kind);
		if (!kind) return null;
		return {
			...{ key, kind, language, version: newest?.version ?? 0 },
			name: newest?.name ?? this.#anyOf(key)?.name ?? builtIn?.title ?? key,
			words: newest?.words ?? builtIn,
			isOwn: newest?.words != null
		};
	}

	/** The words that a letter has: of its wording, or, where that has none in its language, those that came with the application. */
	wordsFor(
		key: string,
		kind: LetterKind,
		language: LetterLanguage
	): { readonly words: Wording; readonly used: WordingUsed } {
		const own = this.find(key, language);
		if (own?.words)
			return { words: own.words, used: { key, language, version: own.isOwn ? own.version : 0 } };
		const usual = usualWording(kind);
		const fallback = this.find(usual, language);
		return {
			words: fallback?.words ?? letterWordsOf(language).wordings[usual],
			used: { key: usual, language, version: fallback?.isOwn ? fallback.version : 0 }
		};
	}

	/** Keys of wordings of the firm's own that are used, with their kind and name. */
	own(): readonly { readonly key: string; readonly kind: LetterKind; readonly name: string }[] {
		const keys = new Map<string, { key: string; kind: LetterKind; name: string }>();
		for (const { key, kind, name, words } of this.#newest.values())
			if (!isBuiltIn(key) && words && !keys.has(key)) keys.set(key, { key, kind, name });
		return [...keys.values()];
	}

	#anyOf(key: string): Version | undefined {
		for (const one of this.#newest.values()) if (one.key === key) return one;
		return undefined;
	}
}

/** The firm's wordings as they are now. */
export async function readWordings(db: Reader): Promise<Wordings> {
	const newest = db
		.select({ id: max(wordingVersion.id) })
		.from(wordingVersion)
		.groupBy(wordingVersion.key, wordingVersion.language);
	return new Wordings(await db.select().from(wordingVersion).where(inArray(wordingVersion.id, newest)).all());
}

/** The keys that came with the application. */
export const builtInKeys = Object.keys(BUILT_IN_WORDINGS) as BuiltInWording[];

/** The newest version of a wording in a language; null where the firm never changed it. */
export async function newestVersion(
	db: Reader,
	key: string,
	language: LetterLanguage
): Promise<Version | null> {
	const rows = await db
		.select()
		.from(wordingVersion)
		.where(and(eq(wordingVersion.key, key), eq(wordingVersion.language, language)))
		.orderBy(desc(wordingVersion.version))
		.limit(1)
		.all();
	return rows[0] ?? null;
}
