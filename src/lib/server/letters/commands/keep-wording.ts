import { z } from 'zod';
import { LETTER_KINDS, LETTER_LANGUAGES } from '../../../core/7-letters/letter';
import { checkWording } from '../../../core/7-letters/wording/check-wording';
import { isBuiltIn } from '../../../core/7-letters/wording/wording';
import type { Problem } from '../../../core/problems';
import { WORDING_NAMES, wordingFault } from '../../../words';
import { defineAct } from '../../act/define-act';
import { DomainError } from '../../act/domain-error';
import { wordingVersion } from '../../platform/db/schema';
import { newestVersion, readWordings } from '../store/wordings';
import { WORDING } from '../store/wording-shape';

const KEY = z.string().regex(/^[a-z0-9-]{1,60}$/);
const LANGUAGE = z.enum(LETTER_LANGUAGES);

const MOST_OWN = 100;

/**
 * Keeps the words of a kind of letter in a language, as a new version: letters from now on have them. Letters that went keep what they
 * said. Words with a placeholder that there is not are refused, and so are those that somebody else changed meanwhile.
 */
export const keepWording = defineAct({
	kind: 'keep-wording',
	role: 'supervisor',
	input: z.object({
		/** Which wording; null for a new one of the firm's own. */
		key: KEY.nullable(),
		kind: z.enum(LETTER_KINDS),
		language: LANGUAGE,
		name: z.string().trim().min(1, 'Give the wording a name.').max(60, 'A name may have 60 letters.'),
		/** The version that the person changed; nought for none. */
		seen: z.number().int().min(0),
		words: WORDING
	}),
	run: async (ctx, input): Promise<{ actId: number; key: string; version: number }> => {
		const { tx } = ctx;
		const { language, name, words } = input;
		const wordings = await readWordings(tx);
		const before = input.key === null ? null : wordings.find(input.key, language);
		if (input.key !== null && !before) throw new DomainError({ code: 'not-found', what: 'wording' });
		const kind = before?.kind ?? input.kind;
		const faults = checkWording(words, kind);
		if (faults.length > 0) throw new DomainError(...faults.slice(0, 20).map(problemOf));
		if (input.key === null && wordings.own().length >= MOST_OWN)
			throw new DomainError(field('name', `There are ${MOST_OWN} wordings already: remove one first.`));
		const twin = [...wordings.own(), ...builtInNames()].find(
			(one) => one.key !== input.key && one.name.toLowerCase() === name.toLowerCase()
		);
		if (twin) throw new DomainError(field('name', `There is a wording called “${twin.name}” already.`));
		if ((before?.version ?? 0) !== input.seen) throw new DomainError({ code: 'wording-changed', name });
		const version = (before?.version ?? 0) + 1;
		const actId = await ctx.record({
			summary: { name, language, version },
			facts: { key: input.key, kind, words }
		});
		const key = input.key ?? `own-${actId}`;
		await tx.insert(wordingVersion).values({ actId, key, kind, language, version, name, words });
		return { actId, key, version };
	}
});

/**
 * Lets go of the firm's words in a language: those that came with the application hold again, or, where it is a wording of the firm's own,
 * it is no longer used in that language. The versions stay.
 */
export const dropWording = defineAct({
	kind: 'drop-wording',
	role: 'supervisor',
	input: z.object({ key: KEY, language: LANGUAGE }),
	run: async (ctx, { key, language }): Promise<{ actId: number }> => {
		const newest = await newestVersion(ctx.tx, key, language);
		if (!newest?.words) throw new DomainError({ code: 'not-found', what: 'wording' });
		const { kind, name } = newest;
		const version = newest.version + 1;
		const actId = await ctx.record({
			summary: { name, language, isBuiltIn: isBuiltIn(key) },
			facts: { key, version }
		});
		await ctx.tx.insert(wordingVersion).values({ actId, key, kind, language, version, name, words: null });
		return { actId };
	}
});

function problemOf(fault: ReturnType<typeof checkWording>[number]): Problem {
	return field(`words.${fault.field}`, wordingFault(fault));
}

const field = (name: string, message: string): Problem => ({ code: 'field', field: name, message });

/** What came with the application keeps its names. */
const builtInNames = () => Object.entries(WORDING_NAMES).map(([key, name]) => ({ key, name }));
