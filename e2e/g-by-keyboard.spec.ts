import { expect, test, type Page } from '@playwright/test';
import { signIn } from './helpers';
import { MADE, ownBooks } from './own-books';

ownBooks('with-files');

// The day without the mouse, in its order. Keys are counted; names that are typed are not.
test.describe.configure({ mode: 'serial' });

/** The keyboard, which counts. */
class Keys {
	count = 0;
	constructor(private readonly page: Page) {}
	async press(...keys: readonly string[]) {
		for (const key of keys) {
			await this.page.keyboard.press(key);
			this.count++;
		}
	}
	/** A name, a number: not counted. */
	async type(text: string) {
		await this.page.keyboard.type(text);
	}
	/** Goes to a page by its name. */
	async goTo(name: string, url: string) {
		await this.press('Control+k');
		await expect(this.page.getByRole('dialog').getByRole('combobox')).toBeFocused();
		await this.type(name);
		await expect(this.page.getByRole('option').first()).toBeVisible();
		await this.press('Enter');
		await this.page.waitForURL(url);
		await this.page.waitForLoadState('networkidle');
	}
}

/** What is on the desk, by the bank's words, once its answer is there. */
async function onDesk(page: Page): Promise<string> {
	return (await page.locator('[data-receipt][aria-current="true"]').innerText()).replace(/\s+/g, ' ');
}

/** How many entries are work of the day, as the station says. */
const station = (page: Page) =>
	page.getByRole('navigation', { name: 'Stations' }).getByRole('link', { name: /^Money in/ });
const left = async (page: Page) => Number((await station(page).innerText()).replace(/\D/g, ''));
const expectLeft = (page: Page, n: number, line: string) =>
	expect(station(page), line).toHaveText(n ? new RegExp(`Money in\\s*${n}$`) : /Money in\s*$/);

test('the whole day’s entries are dealt with by keyboard', async ({ page }) => {
	test.setTimeout(240_000);
	// The dialog of the system, in which a file is chosen by its name.
	const report = `${MADE.fresh}/todays-bank-files/payloom-payout-2026-10-30.csv`;
	page.on('filechooser', (chooser) => void chooser.setFiles(report));
	await signIn(page);
	const keys = new Keys(page);
	await page.waitForLoadState('networkidle');
	await keys.press('g');
	await page.waitForURL('**/money-in**');
	await expectLeft(page, 49, 'today');
	const used: { line: string; keys: number }[] = [];
	// What is certain, together.
	await expect(page.getByText('33 · read and post')).toBeVisible({ timeout: 20_000 });
	await keys.press('c');
	await expect(page.getByRole('dialog').getByRole('option').first()).toBeVisible();
	await keys.press('Enter');
	await expect(page.getByRole('dialog')).toBeHidden({ timeout: 30_000 });
	await expectLeft(page, 16, 'certain');
	used.push({ line: '33 certain ones', keys: keys.count });

	/** Where Enter is not enough. */
	const others: readonly (readonly [RegExp, () => Promise<void>])[] = [
		[/CHEQUES PAID IN|MALLORY COUNCIL|Mere & Marches Bank −8\.50/, () => keys.press('y')],
		[
			/a payment came back/,
			async () => {
				await keys.press('y');
				await expect(page.getByRole('heading', { name: 'came back.' })).toBeVisible();
				await keys.press('Enter');
				await page.waitForURL((url) => !url.pathname.includes('/returned/'), { timeout: 10_000 });
				await keys.goTo('money in', '**/money-in**');
			}
		],
		[
			/a payout/,
			async () => {
				const still = (await left(page)) - 1;
				await keys.press('p');
				await expect(page.getByRole('heading', { name: 'that is several payments' })).toBeVisible();
				await keys.press('f');
				await expect(page.getByRole('button', { name: 'Split into 5 payments' })).toBeEnabled();
				await keys.press('Enter');
				await page.waitForURL(/money-in\?receipt=/, { timeout: 10_000 });
				for (let more = 5; more > 0; more--) {
					await expect(page.getByRole('button', { name: /^Post/ }).first()).toBeEnabled();
					await keys.press('Enter');
					await expectLeft(page, still + more - 1, 'a part of the payout');
				}
			}
		],
		[/LINDEN RISE TILES LIMITED −/, () => postTo('refunds')],
		[/−18\.50/, () => postTo('bank charges')],
		[/TREVENA/, () => postTo('unidentified')],
		[
			/CORNCRAKE/,
			async () => {
				await keys.press('y');
				await page.waitForURL('**customer=**');
				await page.waitForLoadState('networkidle');
				await keys.press('Enter');
			}
		]
	];
	async function postTo(account: string) {
		await keys.press('n');
		const dialog = page.getByRole('dialog', { name: 'Not customer money' });
		await expect(dialog.getByRole('combobox')).toBeFocused();
		await keys.type(account);
		await expect(page.getByRole('listbox').getByRole('option').first()).toBeVisible();
		await keys.press('Enter');
		await expect(dialog.getByRole('button', { name: /^(Post|Book)/ })).toBeEnabled();
		await keys.press('Enter');
		await expect(dialog).toBeHidden();
	}
	for (let n = await left(page); n > 0; n = await left(page)) {
		const line = await onDesk(page);
		const before = keys.count;
		const other = others.find(([words]) => words.test(line));
		if (other) await other[1]();
		else await keys.press('Enter');
		await expectLeft(page, n - 1, line);
		await page.waitForLoadState('networkidle');
		used.push({ line, keys: keys.count - before });
	}
	for (const { line, keys } of used) console.log(String(keys).padStart(4), line);
	console.log(String(keys.count).padStart(4), 'together');
	expect(Math.max(...used.map((one) => one.keys))).toBeLessThanOrEqual(12);
	expect(keys.count).toBeLessThanOrEqual(120);
});
