import { expect, test } from '@playwright/test';
import { ownBooks } from './own-books';

ownBooks('with-files');

test('who tries passwords is stopped after ten', async ({ page }) => {
	await page.goto('/sign-in');
	const origin = new URL(page.url()).origin;
	const answers: string[] = [];
	for (let n = 0; n < 13; n++) {
		const response = await page.request.post('/sign-in?/person', {
			form: { email: 'wren@ashlock-kiln.example', password: `guess ${n} and on` },
			headers: { origin, accept: 'application/json' }
		});
		answers.push(await response.text());
	}
	expect(answers[0]).toContain('do not go together');
	expect(answers.at(-1)).toContain('Too many attempts');
});
