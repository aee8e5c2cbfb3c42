import type { Problem } from '../problems';
import type { BankFileReader } from './bank-file-reader';
import { ProblemList } from './problem-list';
import type { ReadStatement } from './read-statement';
import { TextLines } from './text-lines';

/** What readers of formats made of lines share: lines out of chunks, problems, and when reading on is of no use. */
export abstract class LinesReader implements BankFileReader {
	protected readonly problems = new ProblemList();
	protected readonly take: (statement: ReadStatement) => void;
	readonly #lines = new TextLines((line, number) => {
		if (!this.stopped) this.line(line.replace(/^\uFEFF/, ''), number);
	});

	constructor(take: (statement: ReadStatement) => void) {
		this.take = take;
	}

	get stopped(): boolean {
		return this.problems.stopped;
	}

	write(chunk: string): void {
		if (!this.stopped) this.#lines.write(chunk);
	}

	close(): readonly Problem[] {
		if (!this.stopped) this.#lines.close();
		if (!this.stopped) this.end();
		return this.problems.all;
	}

	/** Takes a line, without its line break. */
	protected abstract line(text: string, number: number): void;

	/** The file has ended: what is still open is closed, what is missing is said. */
	protected abstract end(): void;
}
