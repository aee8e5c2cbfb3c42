import { expect, test, type Page } from '@playwright/test';
import { signIn } from './helpers';
import { Keys } from './keys';
import { MADE, ownBooks } from './own-books';

ownBooks('with-files');

// The day without the mouse, in its order. Keys are counted; names that are typed are not.
test.describe.configure({ mode: 'serial' });

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
			/a returned payment/,
			async () => {
				await keys.press('y');
				await expect(page.getByRole('heading', { name: / from .* was returned\.$/ })).toBeVisible();
				await keys.press('Enter');
				await page.waitForURL((url) => !url.pathname.includes('/returned/'), { timeout: 20_000 });
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
				await page.waitForURL(/money-in\?receipt=/, { timeout: 20_000 });
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

test('statements to all who can have one: chosen and sent, and not chosen again today', async ({ page }) => {
	await signIn(page);
	const keys = new Keys(page);
	await page.waitForLoadState('networkidle');
	await keys.goTo('statements', '**/letters**');
	await keys.press('a');
	const button = page.getByRole('button', { name: /^Send \d+ statements$/ });
	const sent = Number(/\d+/.exec(await button.innerText())![0]);
	expect(sent).toBeGreaterThan(90);
	await keys.press('s');
	await expect(button).toBeFocused();
	await keys.press('Enter');
	await page.waitForURL('**/letters/runs/*');
	await expect(page.getByText(new RegExp(`\\b${sent - 3} sent\\b`))).toBeVisible({ timeout: 60_000 });
	console.log(String(keys.count).padStart(4), `${sent} statements`);
	expect(keys.count).toBeLessThanOrEqual(8);
	// Again: nobody is chosen, and one row is asked about first.
	await page.getByRole('link', { name: 'Statements' }).click();
	await page.waitForURL('**/letters?kind=statement');
	await page.waitForLoadState('networkidle');
	await keys.press('a');
	await expect(page.getByRole('button', { name: 'Send', exact: true })).toBeDisabled();
	await page.keyboard.press('Home');
	await page.keyboard.press(' ');
	const asked = page.getByRole('dialog', { name: /a statement all the same\?$/ });
	await expect(asked).toBeVisible();
	await page.keyboard.press('Enter');
	await expect(asked).toBeHidden();
	await expect(page.getByRole('button', { name: 'Send', exact: true })).toBeVisible();
	await page.keyboard.press(' ');
	await asked.getByRole('button', { name: 'Choose them' }).press('Enter');
	await expect(page.getByRole('button', { name: 'Send 1 statement' })).toBeEnabled();
});

const CHEQUES = [
	['heron quay', '120'],
	['wicker', '85.50'],
	['umber school', '42'],
	['kestrel mill', '19.99'],
	['knapweed clay', '310'],
	['saltmarsh pottery', '7.25'],
	['tansy mill', '64+12'],
	['yarrow glass', '230'],
	['hazel hill pottery', '1,050'],
	['rowan green crafts', '33.33']
] as const;

test('ten cheques are typed and put on a paying-in slip', async ({ page }) => {
	await signIn(page);
	const keys = new Keys(page);
	await page.waitForLoadState('networkidle');
	await keys.goTo('payments by hand', '**/manual-receipts');
	const typed = await page.getByRole('button', { name: /^Delete the row of/ }).count();
	for (const [i, [who, sum]] of CHEQUES.entries()) {
		await expect(page.getByRole('combobox', { name: 'Customer' })).toBeFocused();
		await keys.type(who);
		await expect(page.getByRole('listbox').getByRole('option').first()).toBeVisible();
		await keys.press('Enter', 'Tab', 'Tab');
		await keys.type(`1004${String(i).padStart(2, '0')}`);
		await keys.press('Tab');
		await keys.type(sum);
		await keys.press('Enter');
		await expect(page.getByText(`1004${String(i).padStart(2, '0')}`)).toBeVisible();
	}
	await expect(page.getByRole('button', { name: /^Delete the row of/ })).toHaveCount(typed + 10);
	await keys.press('Escape', 'p', 'Enter');
	await expect(page.getByRole('heading', { name: 'To be paid in' })).toBeVisible();
	await keys.press('Escape', 'a', 's', 'Enter');
	await expect(page.getByRole('heading', { name: /^Paying-in slip/ })).toBeVisible();
	console.log(String(keys.count).padStart(4), 'ten cheques and their slip');
	expect(keys.count).toBeLessThanOrEqual(62);
});

test('a cheque that was returned is found, and marked so', async ({ page }) => {
	await signIn(page);
	const keys = new Keys(page);
	await page.waitForLoadState('networkidle');
	await keys.goTo('returned payments', '**/returned');
	const before = await page.getByRole('row').count();
	await keys.press('/');
	await keys.type('hazel hill clay works');
	await keys.press('Enter');
	await expect(page.getByRole('heading', { name: /found$/ })).toBeVisible();
	await keys.press('Escape', 'ArrowDown', 'Enter');
	await expect(page.getByRole('heading', { name: / from .* was returned\.$/ })).toBeVisible();
	await keys.press('Tab', 'Tab');
	await expect(page.getByLabel('Because')).toBeFocused();
	// A list of the browser: its own words are typed.
	await keys.type('cheque st');
	await expect(page.getByLabel('Because')).not.toHaveValue('');
	await keys.press('Tab', 'Enter');
	await expect(page.getByText('Marked as returned.')).toBeVisible();
	console.log(String(keys.count).padStart(4), 'a returned cheque');
	expect(keys.count).toBeLessThanOrEqual(12);
	await keys.goTo('returned payments', '**/returned');
	await expect(page.getByRole('row')).toHaveCount(before + 1);
});

test('an allocation is moved', async ({ page }) => {
	await signIn(page);
	const keys = new Keys(page);
	await page.waitForLoadState('networkidle');
	await keys.goTo('saltmarsh pottery', '**/customers/*');
	await keys.press('t');
	await expect(page.getByRole('heading', { name: 'Receipts and what they paid' })).toBeVisible();
	await expect(page.locator('[data-ribbon]').first()).toBeVisible();
	await keys.press('ArrowDown');
	await expect(page.locator('aside')).toContainText('Allocated by');
	await keys.press('m');
	await expect(page.getByText('Reallocating:')).toBeVisible();
	await keys.press('o', 'Enter');
	await expect(page.getByText(/^Reallocated\. Both/)).toBeVisible();
	console.log(String(keys.count).padStart(4), 'a moved allocation');
	expect(keys.count).toBeLessThanOrEqual(12);
});

/** Each list with a link in its rows, by the name under which it is found. */
const LISTS = [
	['open items', '**/open-items**'],
	['customers', '**/customers'],
	['odd pennies', '**/odd-pennies'],
	['outbox', '**/outbox'],
	['journal', '**/journal'],
	['record', '**/record']
] as const;

test('each list has a cursor: a row opens, and Escape goes back to it', async ({ page }) => {
	await signIn(page);
	const keys = new Keys(page);
	await page.waitForLoadState('networkidle');
	for (const [name, url] of LISTS) {
		await keys.goTo(name, url);
		const list = page.url();
		await keys.press('ArrowDown', 'ArrowDown');
		const row = page.locator('tr:focus');
		await expect(row, name).toBeVisible();
		const text = await row.innerText();
		await keys.press('Enter');
		await expect(page, name).not.toHaveURL(list);
		await page.waitForLoadState('networkidle');
		await keys.press('Escape');
		await expect(page, name).toHaveURL(list);
		await expect(row, name).toHaveText(text.replace(/\s+/g, ' '), { useInnerText: true });
	}
});

/** The screens with most to do, by the name under which they are found. */
