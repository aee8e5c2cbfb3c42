import type { Problem } from '../problems';
import { readBankText } from './read-bank-text';

/** The statements of a sound file. Throws what is wrong where it is not. */
export function statementsOf(...chunks: readonly string[]) {
	const result = readBankText(...chunks);
	if (!result.ok) throw new Error(JSON.stringify(result.problems));
	return result.value;
}

/** Why a file is refused; nothing where it is read. */
export function refusalOf(text: string): readonly Problem[] {
	const result = readBankText(text);
	return result.ok ? [] : result.problems;
}
