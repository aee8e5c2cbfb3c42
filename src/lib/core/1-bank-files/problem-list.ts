import type { Problem } from '../problems';

/** So many problems tell what a file is like; more are for nobody to read. */
const MOST_PROBLEMS = 50;

/** What is wrong in a file, as it is found: no more than 50, and whether reading on is of use. */
export class ProblemList {
	readonly all: Problem[] = [];
	#stopped = false;

	get stopped(): boolean {
		return this.#stopped;
	}

	add(problem: Problem): void {
		this.all.push(problem);
		this.limit();
	}

	/** To be called after a function that was given `all` has added to it. */
	limit(): void {
		if (this.all.length <= MOST_PROBLEMS) return;
		this.all.length = MOST_PROBLEMS;
		this.stop({ code: 'too-many-problems', shown: MOST_PROBLEMS });
	}

	/** Adds what ends the reading. */
	stop(problem: Problem): readonly Problem[] {
		if (!this.#stopped) this.all.push(problem);
		this.#stopped = true;
		return this.all;
	}
}
