import { minor, type Minor } from './minor';
import { proportion } from './proportion';

/** What a processor keeps: so many basis points of the gross, and a fixed part. */
export interface FeePattern {
	readonly basisPoints: number;
	readonly fixed: Minor;
	/** How many of the fees seen it explains to the penny, of how many. */
	readonly explains: number;
	readonly of: number;
}

/** A fee that was posted, with the gross that it was kept from. */
export interface SeenFee {
	readonly gross: Minor;
	readonly fee: Minor;
}

/** Fewer fees than this teach nothing. */
const LEAST_FEES = 3;
/** The newest fees count; tariffs change. */
const FEES_COUNTED = 60;
/** Tariffs are stated in twentieths of a percent. */
const TARIFF_STEP = 5;

export function feeOf(pattern: Pick<FeePattern, 'basisPoints' | 'fixed'>, gross: Minor): Minor {
	return minor(proportion(gross, pattern.basisPoints, 10_000) + pattern.fixed);
}

/**
 * Learns the tariff behind fees: for each rate that two of the fees suggest, in twentieths of a percent, the fixed part that
 * most of them leave over. The pattern that explains the most to the penny wins, the lower rate among equals; null where it
 * explains fewer than three or not most of them.
 * @param seen newest first
 */
export function feePattern(seen: readonly SeenFee[]): FeePattern | null {
	const fees = seen.slice(0, FEES_COUNTED);
	if (fees.length < LEAST_FEES) return null;
	const rates = new Set<number>([0]);
	for (const [i, a] of fees.entries())
		for (const b of fees.slice(i + 1)) {
			if (a.gross === b.gross) continue;
			const slope = ((a.fee - b.fee) * 10_000) / (a.gross - b.gross);
			const near = Math.round(slope / TARIFF_STEP) * TARIFF_STEP;
			for (const rate of [near - TARIFF_STEP, near, near + TARIFF_STEP])
				if (rate >= 0 && rate <= 1_000) rates.add(rate);
		}
	let best: FeePattern | null = null;
	for (const basisPoints of [...rates].sort((a, b) => a - b)) {
		const counts = new Map<number, number>();
		for (const { gross, fee } of fees) {
			const fixed = fee - proportion(gross, basisPoints, 10_000);
			if (fixed >= 0) counts.set(fixed, (counts.get(fixed) ?? 0) + 1);
		}
		for (const [fixed, explains] of counts)
			if (!best || explains > best.explains)
				best = { basisPoints, fixed: minor(fixed), explains, of: fees.length };
	}
	return best && best.explains >= LEAST_FEES && best.explains * 2 > best.of ? best : null;
}
