import { view } from '$lib/server/platform/http/view';
import { lookAtSettings } from '$lib/server/firm/queries/settings';
import { action } from '$lib/server/platform/http/action';
import { followConventions } from '$lib/server/app';
import { setConventions } from '$lib/server/firm/commands/set-conventions';
import { addBankAccount } from '$lib/server/firm/commands/add-bank-account';
import { addLedgerAccount } from '$lib/server/firm/commands/add-ledger-account';
import { setBankFiles } from '$lib/server/firm/commands/set-bank-files';
import { setAgeing } from '$lib/server/firm/commands/set-ageing';
import { setAuditor } from '$lib/server/firm/commands/set-auditor';
import { setLetters } from '$lib/server/firm/commands/set-letters';
import { setFirm } from '$lib/server/firm/commands/set-firm';
import { keepTableReadings } from '$lib/server/firm/commands/keep-table-readings';
import { forgetTableReading, nameTableReading } from '$lib/server/firm/commands/known-tables';
import { dropTerms, keepTerms } from '$lib/server/firm/commands/named-terms';
import { ok } from '$lib/core/result';
import { LOGO_BYTES, setLogo } from '$lib/server/firm/commands/set-logo';
import { setLimits } from '$lib/server/firm/commands/set-limits';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	return { ...(await view(locals, lookAtSettings, null)), timeZones: Intl.supportedValuesOf('timeZone') };
};

export const actions = {
	firm: action(setFirm),
	logo: action(setLogo, {
		most: 2 * LOGO_BYTES,
		prepare: async (_, form) => {
			const given = form.get('logo');
			return ok({ picture: given instanceof File ? Buffer.from(await given.arrayBuffer()) : null });
		}
	}),
	limits: action(setLimits),
	bank: action(addBankAccount),
	ledger: action(addLedgerAccount),
	nameTable: action(nameTableReading),
	forgetTable: action(forgetTableReading),
	/** The way back of forgetting. */
	keepTable: action(keepTableReadings),
	keepTerms: action(keepTerms),
	dropTerms: action(dropTerms),
	auditor: action(setAuditor),
	letters: action(setLetters),
	ageing: action(setAgeing),
	files: action(setBankFiles),
	conventions: action(setConventions, {
		then: async (_, { locals }) => void (await followConventions(locals.app.books))
	})
};
