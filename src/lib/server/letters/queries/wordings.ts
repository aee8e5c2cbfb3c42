import { and, desc, eq } from 'drizzle-orm';
import { LETTER_LANGUAGES, type LetterKind, type LetterLanguage } from '../../../core/7-letters/letter';
import { BUILT_IN_WORDINGS, type Wording } from '../../../core/7-letters/wording/wording';
import { defineLook } from '../../act/define-look';
import { act, wordingVersion } from '../../platform/db/schema';
import { builtInKeys, readWordings, type WordingNow } from '../store/wordings';

/** A wording in a list, with the languages in which the firm has its own words for it. */
export interface WordingRow {
	readonly key: string;
	readonly kind: LetterKind;
	/** Null for one that came with the application: screens have a name for it. */
	readonly name: string | null;
	readonly languages: readonly {
		readonly language: LetterLanguage;
		readonly isOwn: boolean;
		readonly hasWords: boolean;
	}[];
}

export const lookAtWordings = defineLook('reader', async (db, _: null): Promise<WordingRow[]> => {
	const all = await readWordings(db);
	const rows = [
		...builtInKeys.map((key) => ({
			key: key as string,
			kind: BUILT_IN_WORDINGS[key] as LetterKind,
			name: null
		})),
		...all.own()
	];
	return rows.map((row) => ({
		...row,
		languages: LETTER_LANGUAGES.map((language) => {
			const now = all.find(row.key, language);
			return { language, isOwn: now?.isOwn ?? false, hasWords: now?.words != null };
		})
	}));
});

/** Wordings of the firm's own that a kind of letter may have, by name. */
export const lookAtOwnWordings = defineLook(
	'reader',
	async (db, kind: LetterKind): Promise<{ readonly key: string; readonly name: string }[]> =>
		(await readWordings(db)).own().filter((one) => one.kind === kind)
);

/** A version of a wording, with who wrote it. */
export interface WordingVersion {
	readonly version: number;
	readonly name: string;
	readonly by: string;
	readonly at: string;
	/** Null from when what came with the application held again. */
	readonly words: Wording | null;
}

/** A wording in a language, with what it was before, newest first. */
export const lookAtWording = defineLook(
	'reader',
	async (
		db,
		{ key, language }: { readonly key: string; readonly language: LetterLanguage }
	): Promise<{ readonly now: WordingNow; readonly versions: readonly WordingVersion[] } | null> => {
		const now = (await readWordings(db)).find(key, language);
		if (!now) return null;
		const versions = await db
			.select({
				...{ version: wordingVersion.version, name: wordingVersion.name, words: wordingVersion.words },
				...{ by: act.userName, at: act.at }
			})
			.from(wordingVersion)
			.innerJoin(act, eq(act.id, wordingVersion.actId))
			.where(and(eq(wordingVersion.key, key), eq(wordingVersion.language, language)))
			.orderBy(desc(wordingVersion.version))
			.limit(50)
			.all();
		return { now, versions };
	}
);
