import { DEMO_PASSWORD } from '../demo/firm';
import { followConventions } from '$lib/server/app';
import { countWaiting } from '$lib/server/receipts/store/waiting-receipts';
import { isDemoBooksProcess } from '$lib/server/services/demo-books';
import { readSetting } from '$lib/server/firm/store/settings';
import type { LayoutServerLoad } from './$types';

export const load: LayoutServerLoad = async ({ locals, depends }) => {
	depends('books:pile');
	const firm = await readSetting(locals.app.books.db, 'firm');
	/** Amounts in it stand without their sign. */
	const base = firm?.baseCurrency ?? 'GBP';
	/** Whether these are the demo books beside a firm's own, which one leaves again. */
	const lookingAround = isDemoBooksProcess();
	const conventions = await followConventions(locals.app.books);
	if (!locals.who)
		return {
			...{ who: null, today: null, base, conventions, waiting: 0, demoPassword: null, settingUp: false },
			lookingAround
		};
	const demo = (await readSetting(locals.app.books.db, 'demo')) === true;
	return {
		who: locals.who,
		today: await locals.app.today(),
		base,
		conventions,
		/** Whoever looks at the demo has no password of their own. */
		demoPassword: demo ? DEMO_PASSWORD : null,
		waiting: await countWaiting(locals.app.books.db),
		lookingAround,
		/** New books that are still being set up. */
		settingUp: (await readSetting(locals.app.books.db, 'settingUp'))?.open === true
	};
};
