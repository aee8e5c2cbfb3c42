import { view } from '$lib/server/platform/http/view';
import { lookAtPeople } from '$lib/server/people/queries/people';
import { action } from '$lib/server/platform/http/action';
import { addPerson, changeRole } from '$lib/server/people/commands/people';
import { demandSecondFactor } from '$lib/server/people/commands/demand-second-factor';
import { takeOffSecondFactors } from '$lib/server/people/commands/take-off-second-factors';
import { makeSignInCode } from '$lib/server/people/commands/make-sign-in-code';
import { tellTakenOff } from '$lib/server/services/tell-taken-off';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const { codes, ...found } = await view(locals, lookAtPeople, new Date());
	return {
		...found,
		codes: codes.map((code) => ({
			...code,
			text: code.mine ? locals.app.codeText('sign-in code', code) : null
		}))
	};
};

export const actions = {
	add: action(addPerson),
	role: action(changeRole),
	code: action(makeSignInCode),
	takeOff: action(takeOffSecondFactors, {
		then: async (output, { locals }) =>
			'actId' in output ? tellTakenOff(locals.app, output.actId) : undefined
	}),
	demand: action(demandSecondFactor)
};
