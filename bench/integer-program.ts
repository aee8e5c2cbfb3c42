import loadHighs from 'highs';

/** What a general solver makes of "which of these amounts come to the target". */
export interface Solved {
	readonly milliseconds: number;
	/** How many amounts the set has that it found; null where it has no answer within its time. */
	readonly size: number | null;
}

/** Seconds after which the solver is stopped. */
const LIMIT = 10;

/**
 * Finds one smallest set of amounts that comes to a target by integer programming: a variable of nought or one for each amount,
 * one equation, as few as possible. It tells of no other sets, and takes some thousand times as long.
 */
export async function byIntegerProgram(amounts: readonly number[], target: number): Promise<Solved> {
	const highs = await loadHighs();
	const terms = (of: (amount: number, i: number) => string) =>
		amounts.map(of).join(' + ').replaceAll('+ -', '- ');
	const problem = `Minimize
 size: ${terms((_, i) => `x${i}`)}
Subject To
 sum: ${terms((amount, i) => `${amount} x${i}`)} = ${target}
Binary
 ${amounts.map((_, i) => `x${i}`).join(' ')}
End`;
	const from = process.hrtime.bigint();
	const solution = highs.solve(problem, {
		...{ time_limit: LIMIT, output_flag: false },
		// Pennies are whole: what is a millionth off is no answer.
		...{ mip_feasibility_tolerance: 1e-9, primal_feasibility_tolerance: 1e-9 }
	});
	const milliseconds = Number(process.hrtime.bigint() - from) / 1e6;
	if (solution.Status !== 'Optimal') return { milliseconds, size: null };
	const chosen = amounts.filter((_, i) => Math.round(Number(solution.Columns[`x${i}`]?.Primal ?? 0)) === 1);
	const sum = chosen.reduce((all, amount) => all + amount, 0);
	return { milliseconds, size: sum === target ? chosen.length : null };
}
