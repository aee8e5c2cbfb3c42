/** A bar on one side: what it stands for and how high it is drawn. */
export interface Bar {
	readonly key: string;
	readonly y: number;
	readonly height: number;
}

/** A ribbon between a bar on the left and one on the right, each end with its own span. */
export interface Ribbon {
	readonly id: number;
	readonly left: readonly [number, number];
	readonly right: readonly [number, number];
}

export interface ThreadLayout {
	readonly left: readonly Bar[];
	readonly right: readonly Bar[];
	readonly ribbons: readonly Ribbon[];
	readonly height: number;
}

interface End {
	readonly key: string;
	readonly amount: number;
}

/** Bars are at least as high as a line of text, with a gap between them. */
const LEAST_HEIGHT = 20;
const GAP = 6;

/**
 * Lays both sides out to one scale: a bar is as high as its amount, though never lower than a line of text, and a ribbon takes
 * of each bar the share that its amount has there, in the order of the other side, so that ribbons cross as little as may be.
 * @param links those between keys that are on neither side are left out; ghosts take no room of their own
 */
export function layThreads(
	left: readonly End[],
	right: readonly End[],
	links: readonly { id: number; from: string; to: string; amount: number; ghost: boolean }[],
	room: number
): ThreadLayout {
	const sum = (ends: readonly End[]) => ends.reduce((all, end) => all + end.amount, 0);
	const scale = room / Math.max(1, sum(left), sum(right));
	const bars = (ends: readonly End[]): Bar[] => {
		let y = 0;
		return ends.map(({ key, amount }) => {
			const bar = { key, y, height: Math.max(LEAST_HEIGHT, amount * scale) };
			y += bar.height + GAP;
			return bar;
		});
	};
	const [lefts, rights] = [bars(left), bars(right)];
	const places = (list: readonly Bar[]) => new Map(list.map((bar, i) => [bar.key, { bar, i }]));
	const [atLeft, atRight] = [places(lefts), places(rights)];
	const amounts = new Map([...left, ...right].map((end) => [end.key, end.amount]));
	const known = links.filter((link) => atLeft.has(link.from) && atRight.has(link.to));
	const spans = (
		side: 'from' | 'to',
		own: typeof atLeft,
		other: typeof atLeft
	): Map<number, readonly [number, number]> => {
		const opposite = side === 'from' ? 'to' : 'from';
		const ordered = [...known].sort(
			(a, b) => other.get(a[opposite])!.i - other.get(b[opposite])!.i || a.id - b.id
		);
		const used = new Map<string, number>();
		return new Map(
			ordered.map((link) => {
				const { bar } = own.get(link[side])!;
				const share = Math.min(1, link.amount / Math.max(1, amounts.get(link[side])!));
				const from = used.get(link[side]) ?? bar.y;
				const height = bar.height * share;
				if (!link.ghost) used.set(link[side], from + height);
				const top = Math.min(from, bar.y + bar.height - height);
				return [link.id, [top, top + height]];
			})
		);
	};
	const [fromSpans, toSpans] = [spans('from', atLeft, atRight), spans('to', atRight, atLeft)];
	const end = (list: readonly Bar[]) => (list.length ? list.at(-1)!.y + list.at(-1)!.height : 0);
	return {
		...{ left: lefts, right: rights, height: Math.max(end(lefts), end(rights)) },
		ribbons: known.map((link) => ({
			id: link.id,
			left: fromSpans.get(link.id)!,
			right: toSpans.get(link.id)!
		}))
	};
}
