import { ZERO } from '../../core/money/minor';
import type { ChasingPolicy, ChasingStep } from '../../core/7-letters/chasing/policy';

const step = (id: string, name: string, over: Partial<ChasingStep>): ChasingStep => ({
	...{ id, name, after: 'step', days: 14, least: ZERO, wording: 'reminder', way: 'usual' },
	...{ copies: [], attach: false, effect: 'nothing' },
	...over
});

/** How customers are chased until the firm says otherwise. */
export const USUAL_POLICY: ChasingPolicy = {
	id: 'usual',
	name: 'Usual',
	version: 0,
	steps: [
		step('first', 'First reminder', { after: 'due', days: 7 }),
		step('second', 'Second reminder', { wording: 'second-reminder' }),
		step('call', 'Call', { days: 7, way: 'phone' }),
		step('final', 'Final demand', { wording: 'final-demand', attach: true, effect: 'hold-deliveries' })
	]
};
