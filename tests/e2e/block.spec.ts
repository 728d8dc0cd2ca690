import { expect, open, signIn, test } from './fixtures';

test('the week is weighed, a remedy is taken by one key, undone, taken again and saved', async ({ page }) => {
	await signIn(page);
	await open(page, 'Joost Aalders', 'Block');
	const findings = page.getByRole('list', { name: 'Findings' }).getByRole('listitem');
	const lost = findings.filter({ hasText: 'No hip thrust is left in the week.' });
	await expect(lost).toHaveCount(1);
	await expect(page.getByRole('img', { name: /^Effective sets a week/ })).toBeVisible();
	const movement = page
		.getByRole('table', { name: 'Movements of the week' })
		.getByRole('row', { name: /^hip thrust/ });
	await expect(movement).toContainText('lost');

	await lost.getByRole('button').first().click();
	await page.keyboard.press('r');
	await expect(lost).toHaveCount(0);
	await expect(movement).not.toContainText('lost');
	await page.keyboard.press('z');
	await expect(lost).toHaveCount(1);
	await lost.getByRole('button').last().click();
	await expect(lost).toHaveCount(0);
	await page.keyboard.press('s');
	await expect(page.getByRole('button', { name: 'Saved' })).toBeVisible();

	// The bench shows the same choice, and a reload keeps it.
	await open(page, 'Joost Aalders', 'Bench');
	await page.getByRole('button', { name: 'Push and legs' }).click();
	await expect(page.locator('[data-line]').filter({ hasText: 'set by hand' })).toHaveCount(1);
});
