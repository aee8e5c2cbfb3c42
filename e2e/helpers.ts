import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import AxeBuilder from '@axe-core/playwright';
import { expect, type Cookie, type Page } from '@playwright/test';
import { DEMO_PASSWORD } from '../src/demo/firm';
import { MADE } from './own-books';

/**
 * Sessions by role, kept with the books that they belong to: a password takes a while to check.
 */
const sessionsFile = () => join(process.env['E2E_FOLDER'] ?? '', 'sessions.json');
const sessions = (): Record<string, Cookie[]> =>
	existsSync(sessionsFile())
		? (JSON.parse(readFileSync(sessionsFile(), 'utf8')) as Record<string, Cookie[]>)
		: {};

/** Signs in with the demo's one click; a role that did so before in this run goes on with its session. */
export async function signIn(page: Page, role: 'clerk' | 'supervisor' | 'reader' = 'clerk'): Promise<void> {
	const known = sessions()[role];
	if (known) {
		await page.context().addCookies(known);
		await page.goto('/');
		if (!page.url().includes('/sign-in')) return;
	}
	await page.context().clearCookies();
	await page.goto('/sign-in');
	await page.click(`button[value=${role}]`);
	await page.waitForURL('/');
	writeFileSync(sessionsFile(), JSON.stringify({ ...sessions(), [role]: await page.context().cookies() }));
}

/** Opens a page and waits until its script has taken over. */
export async function open(page: Page, path: string): Promise<void> {
	await page.goto(path);
	await page.waitForLoadState('networkidle');
}

/** Types the password of the demo where it is asked for again. */
export async function confirmPassword(page: Page): Promise<void> {
	const dialog = page.getByRole('dialog', { name: 'Your password again' });
	await dialog.getByLabel('Password', { exact: true }).fill(DEMO_PASSWORD);
	await dialog.getByRole('button', { name: 'Go on' }).click();
	await expect(dialog).toBeHidden();
}

/** Holds that a page can be used by all. */
export async function expectAccessible(page: Page): Promise<void> {
	expect(await violations(page, page.url())).toEqual([]);
}

/** Everything that the browser complains about, the security policy's refusals among it. */
export function complaints(page: Page): string[] {
	const heard: string[] = [];
	page.on('console', (message) => message.type() === 'error' && heard.push(message.text()));
	page.on('pageerror', (error) => heard.push(error.message));
	return heard;
}

export const todaysFiles = [
	`${MADE.fresh}/todays-bank-files/camt053-gbp-2026-10-30.xml`,
	`${MADE.fresh}/todays-bank-files/camt053-eur-2026-10-30.xml`
];

/** How many entries the pile says it has. */
export async function waiting(page: Page): Promise<number> {
	return page.locator('[data-receipt]').count();
}

/** Goes to Money in as a person does. */
export async function desk(page: Page): Promise<void> {
	await page.goto('/');
	await page.getByRole('navigation', { name: 'Stations' }).getByRole('link', { name: 'Money in' }).click();
	await page.waitForURL('**/money-in');
	await page.waitForLoadState('networkidle');
}

/** Picks the first receipt of the pile that has a text, and waits until the desk shows it: what is typed before is typed elsewhere. */
export async function pick(page: Page, text: string): Promise<void> {
	const id = await page.locator('[data-receipt]', { hasText: text }).first().getAttribute('data-receipt');
	// By its number: newer answers may put another row first meanwhile.
	await page.locator(`[data-receipt="${id}"]`).click();
	await page.waitForURL(`**/money-in?receipt=${id}`);
	await page.waitForLoadState('networkidle');
}

/** Posts what is on the desk by keyboard and waits for the message. */
export async function postByKey(page: Page): Promise<void> {
	const before = await waiting(page);
	await page.keyboard.press('Enter');
	await expect(page.locator('[data-receipt]')).toHaveCount(before - 1);
}

/** What of a page people with other eyes or hands could not use (WCAG 2.2 AA), each led by `where`. @param only these rules */
export async function violations(page: Page, where: string, only?: string[]): Promise<string[]> {
	// A message that is still fading in has not its colours yet.
	await page.evaluate(() =>
		Promise.all(document.getAnimations().map((one) => one.finished.catch(() => null)))
	);
	const builder = new AxeBuilder({ page });
	const asked = only
		? builder.withRules(only)
		: builder.withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa']);
	const { violations } = await asked
		.exclude('iframe')
		// Rows of a list are alike: looking through hundreds of them takes minutes.
		.exclude('tbody tr:nth-child(n + 16)')
		.exclude('li:nth-child(n + 16)')
		.analyze();
	return violations.map((one) => `${where}: ${one.id} ${one.nodes[0]!.html.slice(0, 160)}`);
}

/** Drops a file on the page, as from a folder, once its script has taken over: before that nobody could have taken a file in hand. */
export async function dropFile(page: Page, name: string, content: string | Buffer): Promise<void> {
	await page.waitForLoadState('networkidle');
	const transfer = await page.evaluateHandle(
		({ name, bytes }) => {
			const data = new DataTransfer();
			data.items.add(new File([new Uint8Array(bytes)], name));
			return data;
		},
		{ name, bytes: [...Buffer.from(content)] }
	);
	await page.dispatchEvent('main', 'dragover', { dataTransfer: transfer });
	await page.dispatchEvent('main', 'drop', { dataTransfer: transfer });
}

/** Posts what is on the desk to a ledger account, by keys: part of its name, and Enter for it and for the posting. */
export async function postTo(page: Page, part: string): Promise<void> {
	await page.keyboard.press('n');
	const dialog = page.getByRole('dialog', { name: 'Not customer money' });
	await expect(dialog.getByRole('combobox')).toBeFocused();
	await page.keyboard.type(part);
	await expect(page.getByRole('listbox').getByRole('option').first()).toBeVisible();
	await page.keyboard.press('Enter');
	await expect(dialog.getByRole('button', { name: /^Post/ })).toBeEnabled();
	await page.keyboard.press('Enter');
	await expect(dialog).toBeHidden();
}
