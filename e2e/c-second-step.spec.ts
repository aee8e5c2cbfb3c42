import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { createOTP } from '@better-auth/utils/otp';
import { expect, test, type Page } from '@playwright/test';
import { DEMO_PEOPLE } from '../src/demo/firm';
import { confirmPassword, expectAccessible, signIn } from './helpers';
import { ownBooks } from './own-books';

ownBooks('fresh');
const [CLERK, SUPERVISOR] = DEMO_PEOPLE.map(({ name }) => name) as [string, string];

/** What an app makes of the key that the page shows, so many half minutes from now. */
async function codeOf(key: string, ahead = 0): Promise<string> {
	let bits = '';
	for (const letter of key.replaceAll(' ', ''))
		bits += 'ABCDEFGHIJKLMNOPQRSTUVWXYZ234567'.indexOf(letter).toString(2).padStart(5, '0');
	const bytes = Uint8Array.from(bits.match(/.{8}/g)!, (eight) => parseInt(eight, 2));
	return createOTP(bytes).hotp(Math.floor(Date.now() / 30_000) + ahead);
}

async function toOwnSecondStep(page: Page, name: string): Promise<void> {
	await page.getByRole('button', { name }).click();
	await page.getByRole('menuitem', { name: 'Your sign-in' }).click();
	await page.getByRole('link', { name: /Set one up|Change it/ }).click();
	await page.waitForURL('/me/second-step');
}

async function signOut(page: Page, name: string): Promise<void> {
	await page.getByRole('button', { name }).click();
	await page.getByRole('menuitem', { name: 'Sign out' }).click();
	await page.waitForURL('/sign-in');
}

test('an app: set up, asked for when signing in, and a recovery code in its place', async ({ page }) => {
	await signIn(page, 'clerk');
	await toOwnSecondStep(page, CLERK);
	await expectAccessible(page);
	const key = await page.locator('p.font-mono').innerText();
	await page.getByLabel('The code that it shows').fill('123');
	await page.getByRole('button', { name: 'Add the app' }).click();
	await confirmPassword(page);
	await expect(page.getByText('not the code that the app shows now')).toBeVisible();
	await page.getByLabel('The code that it shows').fill(await codeOf(key));
	await page.getByRole('button', { name: 'Add the app' }).click();
	await expect(page.getByRole('cell', { name: 'My phone', exact: true })).toBeVisible();
	const recovery = await page.locator('ol.font-mono li').first().innerText();
	expect(await page.locator('ol.font-mono li').count()).toBe(10);
	await expectAccessible(page);
	await signOut(page, CLERK);

	await page.goto('/customers');
	await page.waitForURL('/sign-in?to=%2Fcustomers');
	await page.getByRole('button', { name: /clerk/ }).click();
	await page.waitForURL('/sign-in/second-step?to=%2Fcustomers');
	await expectAccessible(page);
	// Nothing else opens before.
	expect((await page.request.get('/api/customers?q=ha')).status()).toBe(401);
	await page.goto('/money-in');
	await page.waitForURL('/sign-in/second-step?to=%2Fmoney-in');
	await page.getByLabel(/The code that your app shows/).fill('000 000');
	await page.getByRole('button', { name: 'Go on' }).click();
	await expect(page.getByRole('alert')).toContainText('no code of now');
	await page.getByLabel(/The code that your app shows/).fill(await codeOf(key, 1));
	await page.getByRole('button', { name: 'Go on' }).click();
	await page.waitForURL('/money-in');
	await signOut(page, CLERK);

	await page.getByRole('button', { name: /clerk/ }).click();
	await page.getByLabel(/The code that your app shows/).fill(recovery.toLowerCase());
	await page.getByRole('button', { name: 'Go on' }).click();
	await page.waitForURL('/');
	await toOwnSecondStep(page, CLERK);
	await expect(page.getByText('9 are left')).toBeVisible();
	await page.getByRole('button', { name: 'Remove My phone' }).click();
	await confirmPassword(page);
	await expect(page.getByRole('cell', { name: 'My phone', exact: true })).toHaveCount(0);
	await page.getByRole('link', { name: 'Your sign-in' }).first().click();
	await expect(page.getByText('You have none.')).toBeVisible();
});

test('a passkey: made in the browser, and shown when signing in', async ({ browser }) => {
	const at = process.env['E2E_SERVER']!.replace('127.0.0.1', 'localhost');
	const page = await (await browser.newContext({ baseURL: at })).newPage();
	const devices = await page.context().newCDPSession(page);
	await devices.send('WebAuthn.enable');
	await devices.send('WebAuthn.addVirtualAuthenticator', {
		options: {
			...{ protocol: 'ctap2', transport: 'internal', hasResidentKey: true, hasUserVerification: true },
			...{ isUserVerified: true, automaticPresenceSimulation: true }
		}
	});
	await signIn(page, 'clerk');
	await toOwnSecondStep(page, CLERK);
	await page.getByLabel('What you call the passkey').fill('Desk by the window');
	await page.getByRole('button', { name: 'Make a passkey' }).click();
	await confirmPassword(page);
	await expect(page.getByRole('cell', { name: 'Desk by the window', exact: true })).toBeVisible();
	await signOut(page, CLERK);
	await page.getByRole('button', { name: /clerk/ }).click();
	await page.waitForURL('/sign-in/second-step?to=%2F');
	await page.getByRole('button', { name: 'Use your passkey' }).click();
	await page.waitForURL('/');
	await toOwnSecondStep(page, CLERK);
	await page.getByRole('button', { name: 'Remove Desk by the window' }).click();
	await confirmPassword(page);
	await expect(page.getByRole('cell', { name: 'Desk by the window', exact: true })).toHaveCount(0);
	await page.context().close();
});

test('the firm asks for it: who has none sets it up before anything else; a supervisor takes it off who lost it', async ({
	page,
	browser
}) => {
	await signIn(page, 'supervisor');
	await page.getByRole('button', { name: SUPERVISOR }).click();
	await page.getByRole('menuitem', { name: 'People', exact: true }).click();
	await page.getByRole('checkbox', { name: 'readers' }).check();
	await page.getByRole('button', { name: 'Set', exact: true }).click();
	await confirmPassword(page);
	await expect(page.getByText('asked for')).toBeVisible();
	await expectAccessible(page);
	const reader = await (await browser.newContext()).newPage();
	await reader.goto('/sign-in?to=%2Fcustomers');
	await reader.getByRole('button', { name: /reader/ }).click();
	await reader.waitForURL('/me/second-step?to=%2Fcustomers');
	await expect(reader.getByRole('status')).toContainText('The firm asks for a second step');
	const key = await reader.locator('p.font-mono').innerText();
	await reader.getByLabel('The code that it shows').fill(await codeOf(key));
	await reader.getByRole('button', { name: 'Add the app' }).click();
	await confirmPassword(reader);
	// The app is there before another address is asked for.
	await expect(reader.getByRole('link', { name: 'Go on to where' })).toBeVisible();
	// Where one wanted to go is inside, whatever the address says.
	await reader.goto('/me/second-step?to=https%3A%2F%2Felsewhere.example%2F');
	await expect(reader.getByRole('link', { name: 'Go on to where' })).toHaveAttribute('href', '/');
	await reader.goto('/me/second-step?to=%2Fcustomers');
	await reader.getByRole('link', { name: 'Go on to where you were going.' }).click();
	await reader.waitForURL('/customers');
	await page.reload();
	await page.getByRole('button', { name: /Remove the second step of/ }).click();
	await expect(page.getByText('asked for')).toBeVisible();
	await reader.goto('/customers');
	await reader.waitForURL('/sign-in?to=%2Fcustomers');
	await reader.context().close();
});

test('a forgotten password is set anew by a code that goes by mail; who reads no mail learns nothing', async ({
	page
}) => {
	const outbox = join(process.env['E2E_FOLDER']!, 'outbox');
	const mails = () => readdirSync(outbox).map((file) => readFileSync(join(outbox, file), 'utf8'));
	const to = (email: string) =>
		mails().filter((mail) => mail.includes(`<${email}>`) && mail.includes('Odd Penny at'));
	await page.context().clearCookies();
	await page.goto('/sign-in');
	await page.getByRole('link', { name: 'set a password with it' }).click();
	await page.getByLabel('Send a code to').fill('nobody@ashlock-kiln.example');
	await page.getByRole('button', { name: 'Send it' }).click();
	await expect(page.getByRole('status')).toContainText('If somebody signs in as nobody@ashlock-kiln.example');
	const { email } = DEMO_PEOPLE[0];
	await page.getByLabel('Send a code to').fill(email);
	await page.getByRole('button', { name: 'Send it' }).click();
	await expect(page.getByRole('status')).toContainText(`If somebody signs in as ${email}`);
	await expectAccessible(page);
	const codes = () => to(email).filter((mail) => mail.includes('a code to set a password'));
	await expect.poll(() => codes().length).toBe(1);
	expect(to('nobody@ashlock-kiln.example')).toEqual([]);
	const code = /([2-9A-Z]{4}-){3}[2-9A-Z]{4}/.exec(codes()[0]!)![0];
	await page.getByLabel('E-mail address').fill(email);
	await page.getByLabel('The code', { exact: true }).fill(code);
	await page.getByLabel(/New password/).fill('slip cast twice over');
	await page.getByRole('button', { name: 'Set it and sign in' }).click();
	await page.waitForURL('/');
	// They are told that it was set.
	await expect.poll(() => to(email).filter((mail) => mail.includes('your password was set')).length).toBe(1);
});
