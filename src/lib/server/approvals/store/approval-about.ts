import type { ApprovalAbout, ItemLine } from '../../../core/model/act-facts';

/** What an approval is about; earlier versions kept a sentence. */
export function approvalAbout(stored: string): ApprovalAbout {
	if (!stored.startsWith('{')) return { code: 'text', text: stored };
	const { items: _items, ...about } = JSON.parse(stored) as ApprovalAbout & { items?: unknown };
	return about as ApprovalAbout;
}

/** What agreeing does to items, as it was rehearsed; none where earlier versions did not keep it. */
export function itemsAbout(stored: string): readonly ItemLine[] {
	return stored.startsWith('{') ? ((JSON.parse(stored) as { items?: ItemLine[] }).items ?? []) : [];
}
