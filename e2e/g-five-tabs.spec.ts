import { expect, test, type Page } from '@playwright/test';
import { signIn } from './helpers';
import { Keys } from './keys';
import { ownBooks } from './own-books';

ownBooks('with-files');

const SCREENS = [
	['money in', '**/money-in**'],
	['open items', '**/open-items**'],
	['customers', '**/customers'],
	['odd pennies', '**/odd-pennies'],
	['payments by hand', '**/manual-receipts'],
	['books', '**/books'],
	['settings', '**/settings'],
	['people', '**/people'],
	['deduction', '**/deduction-analysis'],
	['write a document', '**/open-items/new**'],
	['statements', '**/letters**']
] as const;
const MOST_TABS = 5;

/** Marks what has the focus. @returns whether it was not marked before, and whether it is in the page itself */
const reach = (page: Page) =>
	page.evaluate(() => {
		const at = document.activeElement as HTMLElement | null;
		if (!at?.closest('main')) return { fresh: false, inside: false };
		const fresh = at.dataset['reached'] === undefined;
		at.dataset['reached'] = '';
		return { fresh, inside: true };
	});
/** Goes along with a key as long as it leads to something else. */
async function along(page: Page, key: string) {
	await page.keyboard.press(key);
	while ((await reach(page)).fresh) await page.keyboard.press(key);
}
const focusTheMarked = (page: Page, mark: string) =>
	page.evaluate((name) => document.querySelector<HTMLElement>(`[data-${name}]`)?.focus(), mark);

test('nothing takes more than five Tabs', async ({ page }) => {
	test.setTimeout(180_000);
	await signIn(page, 'supervisor');
	const keys = new Keys(page);
	await page.waitForLoadState('networkidle');
	const far: string[] = [];
	for (const [name, url] of SCREENS) {
		await keys.goTo(name, url);
		await page.keyboard.press('Escape');
		await page.keyboard.press('.');
		await page.keyboard.press('Shift+Tab');
		await reach(page);
		// From part to part, and from each by Tab and along its bars.
		for (let more = true; more;) {
			await page.keyboard.press('.');
			({ fresh: more } = await reach(page));
			await page.evaluate(() => document.activeElement!.setAttribute('data-part', ''));
			// Fields of a form are gone through in any case, to fill them in.
			for (let tabs = 0; more && tabs < MOST_TABS;) {
				await page.keyboard.press('Tab');
				if (!(await reach(page)).inside) break;
				const inForm = 'form :is(input, select, textarea)';
				if (await page.evaluate((field) => document.activeElement!.matches(field), inForm)) continue;
				tabs++;
				await page.evaluate(() => document.activeElement!.setAttribute('data-stop', ''));
				await along(page, 'ArrowRight');
				await focusTheMarked(page, 'stop');
				await page.evaluate(() => document.querySelector('[data-stop]')?.removeAttribute('data-stop'));
			}
			await focusTheMarked(page, 'part');
			await page.evaluate(() => document.querySelector('[data-part]')?.removeAttribute('data-part'));
		}
		const missed = await page.evaluate(() => {
			const controls = 'main :is(a[href], button, input:not([type="hidden"]), select, textarea, summary)';
			return (
				[...document.querySelectorAll<HTMLElement>(controls)]
					.filter((one) => one.tabIndex >= 0 && !one.matches(':disabled') && one.checkVisibility())
					.filter((one) => one.dataset['reached'] === undefined)
					// Of radios the browser's own arrows reach the others; rows have their cursor; what shows its key is pressed by it.
					.filter((one) => !one.matches('input[type="radio"]:not(:checked)'))
					.filter((one) => !one.closest('[data-rows], [data-receipt], [data-active]'))
					.filter((one) => !one.querySelector('.key') && !one.hasAttribute('aria-keyshortcuts'))
					.map((one) => one.getAttribute('aria-label') ?? (one.innerText || one.outerHTML))
			);
		});
		for (const one of missed) far.push(`${name}: ${one}`);
	}
	expect(far).toEqual([]);
});
