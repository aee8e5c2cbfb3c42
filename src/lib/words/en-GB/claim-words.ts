import type { ClaimReason } from '../../core/model/claim';

/** Why a customer paid short, as it stands on screen and on paper. */
export const CLAIM_WORDS: Readonly<Record<ClaimReason, string>> = {
	damaged: 'goods damaged',
	missing: 'goods missing',
	price: 'price or quantity wrong',
	returned: 'goods sent back',
	late: 'delivered late',
	other: 'something else'
};
