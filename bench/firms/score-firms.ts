import { append } from '../../src/lib/core/append';
import { HARD, USUAL } from './make-payments';
import { scoreFirm, type Scored } from './score-firm';

type Say = (what: string, figure: string) => void;

/** Payments of the books of each firm. */
const PAYMENTS = 500;

/**
 * Scores matching on books of made-up firms of ten lands, with number series of their own, mixed as a firm's payments are;
 * every wrong one that was called certain is printed. `hard` has more of what is hard to tell. `SEEDS=from-to` chooses which, `NOISE=0.6` how noisy, `MISSED=kind` prints
 * what was not answered right, `UNSURE=kind` what was not certain.
 */
export function firms(say: Say, hard = false): void {
	const [from, to] = (process.env['SEEDS'] ?? '1-14').split('-').map(Number) as [number, number];
	const noise = Number(process.env['NOISE'] ?? (hard ? 0.9 : 0.4));
	const wanted = (kind: string, variable: string) => [kind, 'all'].includes(process.env[variable] ?? '');
	const all: Scored[] = [];
	for (let seed = from; seed <= to; seed++)
		append(all, scoreFirm(seed, PAYMENTS, noise, hard ? HARD : USUAL));
	for (const one of all)
		if ((!one.right && wanted(one.kind, 'MISSED')) || (!one.certain && wanted(one.kind, 'UNSURE')))
			console.log(one.told());
	const share = (list: readonly Scored[], when: (one: Scored) => boolean) =>
		list.length ? `${((100 * list.filter(when).length) / list.length).toFixed(1)} %` : '-';
	const gaps = all.filter((one) => one.gapRight !== null && one.kind !== 'short');
	const claims = all.filter((one) => one.kind === 'short');
	const wrong = all.filter((one) => one.certain && !one.right);
	say(
		`${hard ? 'hard ' : ''}books of ${to - from + 1} firms, ${all.length} payments: right`,
		share(all, (one) => one.right)
	);
	say(
		'called certain',
		share(all, (one) => one.certain)
	);
	say(
		'whose it is right',
		share(all, (one) => one.payerRight)
	);
	say('the kind and sum of a difference right', `${share(gaps, (one) => one.gapRight!)} of ${gaps.length}`);
	say(
		'a deduction with a word for it taken for a claim',
		`${share(claims, (one) => one.gapRight!)} of ${claims.length}`
	);
	say('wrong though certain', String(wrong.length));
	for (const kind of new Set(all.map((one) => one.kind))) {
		const list = all.filter((one) => one.kind === kind);
		say(
			`  ${kind}, ${list.length}`,
			`right ${share(list, (one) => one.right)}, certain ${share(list, (one) => one.certain)}`
		);
	}
	for (const one of wrong.slice(0, 60)) console.log(one.told());
}
