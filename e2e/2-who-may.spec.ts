import { expect, test } from '@playwright/test';
import { confirmPassword, expectAccessible, open, signIn } from './helpers';
import { ownBooks } from './own-books';

ownBooks('with-files');

test('a reader looks and may not act, not even by calling an act’s address', async ({ page }) => {
	await signIn(page, 'reader');
	await open(page, '/letters?kind=statement');
	await expect(page.getByRole('button', { name: /^Send/ })).toBeDisabled();
	const calls: [string, Record<string, string>][] = [
		[
			'/money-in?/post',
			{ json: JSON.stringify({ receiptId: 1, receiptVersion: 1, customerId: 1, lines: [] }) }
		],
		['/money-in?/undo', { json: '{"actIds":[1]}' }],
		['/money-in?/certain', { json: '{"receipts":[]}' }],
		['/money-in?/hold', { json: '{"receiptId":1,"receiptVersion":1,"because":"x"}' }],
		['/money-in?/aside', { json: '{"receiptId":1,"receiptVersion":1,"account":"7100"}' }],
		['/letters?/send', { json: '{"kind":"statement","chosen":[{"customerId":1,"currency":"GBP"}]}' }],
		['/letters?/address', { customerId: '1', kind: 'statement', email: 'a@b.example' }],
		['/letters/outbox?/again', { letterId: '1' }],
		[
			'/books/people?/add',
			{ name: 'x', email: 'x@y.example', password: 'long enough pw', role: 'supervisor' }
		]
	];
	for (const [path, form] of calls) {
		const response = await page.request.post(path, {
			form,
			headers: { origin: new URL(page.url()).origin, accept: 'application/json' }
		});
		const answer = response.ok()
			? ((await response.json()) as { status?: number }).status
			: response.status();
		expect([path, answer]).toEqual([path, 403]);
	}
	expect((await page.request.get('/books/people')).status()).toBe(403);
});

test('nobody gets in without signing in; other sites cannot post; nobody signs up', async ({
	page,
	request
}) => {
	await page.goto('/customers');
	expect(page.url()).toContain('/sign-in?to=%2Fcustomers');
	await page.goto('/first-start');
	expect(page.url()).toContain('/sign-in');
	expect((await request.get('/api/customers?q=ha')).status()).toBe(401);
	expect(
		(
			await request.post('/api/auth/sign-up/email', {
				data: { email: 'x@y.example', password: 'long enough pw', name: 'x' }
			})
		).status()
	).toBe(401);
	await signIn(page);
	const foreign = await page.request.post('/money-in?/undo', {
		form: { json: '{"actIds":[1]}' },
		headers: { origin: 'http://elsewhere.example' }
	});
	expect(foreign.status()).toBe(403);
});

test('pages carry a security policy; signing out ends the session on the server', async ({
	page,
	context
}) => {
	await signIn(page);
	const response = await page.goto('/');
	const policy = response!.headers()['content-security-policy'] ?? '';
	expect(policy).toContain("default-src 'self'");
	expect(policy).toContain("script-src 'self' 'nonce-");
	expect(policy).not.toContain('unsafe-eval');
	const cookie = (await context.cookies()).find((one) => one.name.includes('session_token'))!;
	expect([cookie.httpOnly, cookie.sameSite]).toEqual([true, 'Lax']);
	await page.request.post('/sign-out', { headers: { origin: new URL(page.url()).origin } });
	await context.addCookies([cookie]);
	await page.goto('/');
	expect(page.url()).toContain('/sign-in');
});

test('a supervisor lets somebody in, who signs in, and is shut out again', async ({ page, browser }) => {
	await signIn(page, 'supervisor');
	await open(page, '/books/people');
	const form = page.locator('form[action="?/add"]');
	await form.getByLabel('Name').fill('Ada Slip');
	await form.getByLabel('E-mail address').fill('hollis@ashlock-kiln.example');
	await form.getByRole('button').click();
	await confirmPassword(page);
	await expect(page.getByRole('alert')).toContainText('signs in here already');
	await expect(form.getByLabel('E-mail address')).toHaveAttribute('aria-invalid', 'true');
	await expect(form.getByLabel('Name')).not.toHaveAttribute('aria-invalid', 'true');
	await expect(form.getByLabel('Name')).toHaveValue('Ada Slip');
	await form.getByLabel('E-mail address').fill('ada@ashlock-kiln.example');
	await form.getByRole('button').click();
	await expect(page.getByText('ada@ashlock-kiln.example')).toBeVisible();
	const code = await page.locator('tr', { hasText: 'Ada Slip' }).locator('.font-mono').innerText();
	const ada = await (await browser.newContext()).newPage();
	await ada.goto('/sign-in');
	await ada.getByRole('link', { name: 'set a password with it' }).click();
	await ada.waitForURL('/set-password');
	await ada.getByLabel('E-mail address').fill('ada@ashlock-kiln.example');
	await ada.getByLabel('The code').fill('ABCD-EFGH-JKLM-NPQR');
	await ada.getByLabel(/New password/).fill('password2026');
	await ada.getByRole('button', { name: 'Set it and sign in' }).click();
	await expect(ada.getByText('do not go together')).toBeVisible();
	await ada.getByLabel('The code').fill(code.toLowerCase());
	await ada.getByRole('button', { name: 'Set it and sign in' }).click();
	await expect(ada.getByText('tried first')).toBeVisible();
	await expectAccessible(ada);
	await ada.getByLabel(/New password/).fill('slip cast twice');
	await ada.getByRole('button', { name: 'Set it and sign in' }).click();
	await ada.waitForURL('/');
	// Her own password, seen and changed by nobody but her; the new one ends every session.
	await ada.getByRole('button', { name: 'Ada Slip' }).click();
	await ada.getByRole('menuitem', { name: 'Your sign-in' }).click();
	await expect(ada.getByText('this one')).toBeVisible();
	await expectAccessible(ada);
	await ada.getByLabel('Your password so far').fill('not that one at all');
	await ada.getByLabel('The new one').fill('slip cast thrice');
	await ada.getByRole('button', { name: 'Change it' }).click();
	await expect(ada.getByText('That is not your password')).toBeVisible();
	await ada.getByLabel('Your password so far').fill('slip cast twice');
	await ada.getByLabel('The new one').fill('slip cast thrice');
	await ada.getByRole('button', { name: 'Change it' }).click();
	await expect(ada.getByText('Your password is changed')).toBeVisible();
	await ada.getByLabel('E-mail address').fill('ada@ashlock-kiln.example');
	await ada.getByLabel('Password').fill('slip cast thrice');
	await ada.getByRole('button', { name: 'Sign in', exact: true }).click();
	await ada.waitForURL('/');
	await page.getByLabel('Role of Ada Slip').selectOption('none');
	await page.locator('tr', { hasText: 'Ada Slip' }).getByRole('button', { name: 'Change' }).click();
	await expect(page.locator('td.line-through', { hasText: 'Ada Slip' })).toBeVisible();
	await ada.goto('/customers');
	expect(ada.url()).toContain('/sign-in');
	// All of it stands at the door.
	await page.getByRole('link', { name: 'Sign-ins' }).click();
	await page.getByLabel('Person').selectOption({ label: 'Ada Slip' });
	await expect(page.getByRole('row', { name: /Ada Slip Signed in/ })).toHaveCount(2);
	await expectAccessible(page);
	await page.getByLabel('Person').selectOption({ label: 'anybody' });
	await expect(page.getByText('Typed a wrong code')).toBeVisible();
	await expect(page.getByText('Typed the password again')).toBeVisible();
	await ada.context().close();
});

test('a session that ends while a page is open leads to signing in, and from there to where one wanted to go', async ({
	page
}) => {
	await page.goto('/sign-in');
	await page.click('button[value=clerk]');
	await page.waitForURL('/');
	await page.waitForLoadState('networkidle');
	await page.context().clearCookies();
	await page.getByRole('link', { name: 'Customers', exact: true }).click();
	await page.waitForURL('/sign-in?to=%2Fcustomers');
	await page.click('button[value=clerk]');
	await page.waitForURL('/customers');
	await expect(page.locator('h1')).toContainText('140 accounts');
});
