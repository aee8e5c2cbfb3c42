import type { ApprovalAbout } from '../../../core/model/act-facts';

/** What an approval is about; earlier versions kept a sentence. */
export function approvalAbout(stored: string): ApprovalAbout {
	return stored.startsWith('{') ? (JSON.parse(stored) as ApprovalAbout) : { code: 'text', text: stored };
}
