import { expect, test, type Page } from '@playwright/test';
import { complaints, expectAccessible, signIn } from './helpers';
import { ownBooks } from './own-books';

ownBooks('fresh');

// A day of chasing. Each goes on from the one before.
test.describe.configure({ mode: 'serial' });

const station = (page: Page, name: string) =>
	page.getByRole('navigation', { name: 'Stations' }).getByRole('link', { name });
const tab = (page: Page, name: string) =>
	page.getByRole('navigation', { name: 'Kinds of letters' }).getByRole('link', { name, exact: true });

async function letters(page: Page, name: string): Promise<void> {
	await station(page, 'Letters').click();
	await tab(page, name).click();
	await page.waitForLoadState('networkidle');
}

test('what a reminder says is changed: a wrong placeholder is named, and what is pasted is cleaned', async ({
	page
}) => {
	const heard = complaints(page);
	await signIn(page, 'supervisor');
	await letters(page, 'Wording');
	await expectAccessible(page);
	await page.getByRole('link', { name: 'First reminder in English' }).click();
	await page.waitForURL('**/letters/wordings/reminder?language=en');
	const text = page.getByRole('textbox', { name: 'Text of the letter' });
	await expect(text).toContainText('is overdue on your account');
	await expect(
		page.getByRole('region', { name: 'The letter with these words' }).locator('canvas').first()
	).toBeVisible();
	await expectAccessible(page);
	await page.getByLabel('Subject of the message').fill('Please pay {amuont}');
	await expect(page.getByText('{amuont} stands for nothing here: did you mean {amount}?')).toBeVisible();
	await expect(page.getByRole('button', { name: 'Keep', exact: true })).toBeDisabled();
	await page.getByLabel('Subject of the message').fill('Please pay {amount}');
	await text.click();
	await page.keyboard.press('Control+Home');
	await page.evaluate(() => {
		const data = new DataTransfer();
		const html =
			'<p onclick="alert(1)">A <b>friendly</b> note.<script>alert(2)</' +
			'script><img src=x onerror=alert(3)></p>';
		data.setData('text/html', html);
		document.activeElement!.dispatchEvent(
			new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true })
		);
	});
	await expect(text).toContainText('A friendly note.');
	await expect(text.locator('strong')).toHaveText('friendly');
	await expect(text.locator('img, script')).toHaveCount(0);
	// What may be filled in is put in where one wrote last.
	await page.getByLabel('Greeting').fill('Hello ');
	await page.getByLabel('Greeting').press('End');
	await page
		.getByLabel('Put in what is filled in for each customer')
		.selectOption({ label: 'name of the contact, or of the customer {contact}' });
	await expect(page.getByLabel('Greeting')).toHaveValue('Hello {contact}');
	await page.getByRole('button', { name: 'Keep', exact: true }).click();
	await expect(page.getByText('your own words, version 1')).toBeVisible();
	await expect(page.getByRole('row', { name: /^1 Hollis Greaves/ })).toBeVisible();
	await tab(page, 'Wording')
		.or(page.getByRole('link', { name: 'What letters say' }))
		.first()
		.click();
	await expect(page.getByRole('link', { name: 'First reminder in English' })).toHaveText('your own');
	expect(heard).toEqual([]);
});

test('the steps of chasing are set, and a mistake is told at its field', async ({ page }) => {
	const heard = complaints(page);
	await signIn(page, 'supervisor');
	await letters(page, 'Chasing');
	await expectAccessible(page);
	await page.getByRole('button', { name: 'Change Usual' }).click();
	const dialog = page.getByRole('dialog');
	const first = dialog.getByRole('group', { name: 'Step 1' });
	await first.getByLabel('Days').fill('soon');
	await dialog.getByRole('button', { name: 'Keep' }).click();
	await expect(first.getByLabel('Days')).toHaveAttribute('aria-invalid', 'true');
	await first.getByLabel('Days').fill('6');
	await dialog.getByRole('button', { name: 'Keep' }).click();
	await expect(dialog).toBeHidden();
	await expect(page.getByRole('row', { name: 'First reminder 6 days after the due day' })).toBeVisible();
	expect(heard).toEqual([]);
});

test('one reminder is written by hand, with words of its own, and is kept as it was changed', async ({
	page
}) => {
	const heard = complaints(page);
	await signIn(page);
	await letters(page, 'Reminders');
	await expect(page.getByText(/First reminder, \d+ items?/).first()).toBeVisible();
	await page.getByRole('link', { name: 'Change the words' }).click();
	await page.waitForURL('**/letters/write?**');
	await expectAccessible(page);
	await expect(page.getByText('It is their next step: First reminder.')).toBeVisible();
	// Words that are none are refused where the letter is shown, however they are sent.
	const shown = page.url().replace('/letters/write', '/letters/preview');
	const deep: unknown = JSON.parse('['.repeat(200) + ']'.repeat(200));
	for (const [data, status] of [
		[{ words: deep }, 400],
		[{ words: { title: 'x' } }, 400],
		[{}, 400]
	] as const)
		expect((await page.request.post(shown, { data })).status()).toBe(status);
	const who = await page.getByRole('heading', { level: 1 }).innerText();
	const name = who.replace('A reminder to ', '');
	await page.getByLabel('Greeting').fill('Dear all at the kiln,');
	await page.getByRole('button', { name: /^Send it/ }).click();
	await page.waitForURL('**/letters/runs/*');
	await expect(page.getByRole('heading', { level: 1 })).toContainText('Reminders');
	await page.getByRole('link', { name }).click();
	await page.waitForURL('**/letters/outbox/*');
	await expect(page.getByText('Dear all at the kiln,').first()).toBeVisible();
	// The step was taken: they are on today's run no more.
	await letters(page, 'Reminders');
	await expect(page.getByRole('button', { name, exact: true })).toHaveCount(0);
	expect(heard).toEqual([]);
});

test('customers are called in their order, and what came of it is typed in a line', async ({ page }) => {
	const heard = complaints(page);
	await signIn(page);
	await page.getByRole('link', { name: 'Call', exact: true }).click();
	await page.waitForURL('**/letters/calls');
	await page.waitForLoadState('networkidle');
	await expectAccessible(page);
	const before = Number.parseInt(await page.getByRole('heading', { level: 1 }).innerText(), 10);
	expect(before).toBeGreaterThan(2);
	const panel = page.getByRole('region', { name: 'Who is called' });
	const first = await panel.getByRole('heading', { level: 2 }).innerText();
	await page.keyboard.press('n');
	await expect(panel.getByRole('heading', { level: 2 })).not.toHaveText(first);
	await page.keyboard.press('b');
	await expect(panel.getByRole('heading', { level: 2 })).toHaveText(first);
	await page.keyboard.press('c');
	await page.keyboard.type('promises 10.00 by 6 Nov');
	await expect(page.getByText('A promise of £10.00 by 6 Nov.')).toBeVisible();
	await page.keyboard.press('Enter');
	await expect(page.getByText(`Recorded: ${first}.`)).toBeVisible();
	await expect(page.getByRole('heading', { level: 1 })).toHaveText(new RegExp(`^${before - 1} customers?`));
	// A promise may be for one item: its number in the line is enough.
	const third = await panel.getByRole('heading', { level: 2 }).innerText();
	const number = await panel.getByRole('table').getByRole('link').first().innerText();
	await page.keyboard.type(`pays ${number} by 6 Nov`);
	await expect(page.getByText(`by 6 Nov for ${number}.`)).toBeVisible();
	await page.keyboard.press('Enter');
	await expect(page.getByText(`Recorded: ${third}.`)).toBeVisible();
	// The next one is there once the page shows the books as they are now.
	await expect(panel.getByRole('heading', { level: 2 })).not.toHaveText(third);
	// What is disputed moves to a claim, without a payment.
	const second = await panel.getByRole('heading', { level: 2 }).innerText();
	const item = await panel.getByRole('table').getByRole('link').first().innerText();
	// The line is empty again, and one goes on typing.
	await page.keyboard.type(`disputes ${item} 1.00 two vases broken`);
	await expect(page.getByText(/^A claim: /)).toBeVisible();
	await page.keyboard.press('Enter');
	await expect(page.getByText(`Recorded: ${second}.`)).toBeVisible();
	await page
		.getByRole('button', { name: /: done$/ })
		.first()
		.click();
	await expect(page.getByText('Done.', { exact: true })).toBeVisible();
	await station(page, 'Odd pennies').click();
	await expect(page.getByText(second).first()).toBeVisible();
	expect(heard).toEqual([]);
});
