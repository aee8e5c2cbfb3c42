import type { ClaimReason } from '../../core/model/claim';
import type { DifferenceKind, OpenItem } from '../../core/model/records';
import { money } from '../../words';

/** One name for a gap; the one without a typed amount takes all that is left of the gap. */
export interface Gap {
	readonly kind: DifferenceKind;
	text: string | null;
}

export interface ClaimDraft {
	reason: ClaimReason;
	owner: string;
	deadline: string;
	note: string;
}

/** An item that is taken, as it is typed. */
export interface Chosen {
	readonly item: OpenItem;
	/** What stands in the field. */
	text: string;
	/** True once a person typed it: then it is left alone when others are taken or left. */
	typed: boolean;
	gaps: Gap[];
	claim: ClaimDraft | null;
	/** What it settles of an item in another currency, as typed. */
	settles: string | null;
	/** True once a person typed that: then it does not follow the day's rate. */
	settlesTyped?: boolean;
}

/** An item just taken: nothing typed yet. */
export function blank(item: OpenItem): Chosen {
	return {
		item,
		text: '',
		typed: false,
		gaps: [],
		claim: null,
		settles: plain(item.open, item.currency)
	};
}

/** An amount as it stands in a field: no sign of its currency. */
export function plain(value: number, currency: string): string {
	return money(value, currency)
		.replace(/[^\d.,−-]/g, '')
		.replace('−', '-');
}
