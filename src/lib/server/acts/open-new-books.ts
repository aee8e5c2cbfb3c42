import { USUAL_LIMITS } from '../../core/4-allocation/usual-limits';
import { addFirstSupervisor, type PersonInput } from './people';
import { defineAct } from './perform';
import { setUpFirm, type FirmSetUp } from './set-up-firm';

/** The first start: the first supervisor and the firm, both or neither. Refused once there is anybody. */
export const openNewBooks = defineAct({
	kind: 'set-up-firm',
	needs: 'supervisor',
	run: async (tx, input: { readonly person: PersonInput; readonly firm: FirmSetUp }, at) => {
		await addFirstSupervisor.run(tx, input.person, at);
		await setUpFirm.run(tx, { limits: USUAL_LIMITS, ...input.firm }, at);
	}
});
