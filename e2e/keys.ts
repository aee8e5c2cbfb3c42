import { expect, type Page } from '@playwright/test';

/** The keyboard, which counts. */
export class Keys {
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
		const marked = this.page.getByRole('dialog').getByRole('option', { selected: true });
		await expect(marked).toContainText(new RegExp(name, 'i'));
		await this.press('Enter');
		await this.page.waitForURL(url, { timeout: 20_000 });
		await this.page.waitForLoadState('networkidle');
	}
}
