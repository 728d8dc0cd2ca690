import { expect, open, signIn, test } from './fixtures';

test('the week is weighed, a remedy is taken by one key, undone, taken again and saved', async ({ page }) => {
	await signIn(page);
	await open(page, 'Aldo Ferrin', 'Block');
	const findings = page.getByRole('list', { name: 'Findings' }).getByRole('listitem');
	const lost = findings.filter({ hasText: 'No hinge is left in the week.' });
	await expect(lost).toHaveCount(1);
	await expect(page.getByRole('img', { name: /^Effective sets a week/ })).toBeVisible();
	const movement = page
		.getByRole('table', { name: 'Movements of the week' })
		.getByRole('row', { name: /^hinge/ });
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
	await open(page, 'Aldo Ferrin', 'Bench');
	await expect(page.locator('[data-line]').filter({ hasText: 'set by hand' })).toHaveCount(1);
});

test('the week is fitted as a whole, told in words, and one key takes it all back', async ({ page }) => {
	await signIn(page);
	await open(page, 'Runa Castellane', 'Block');
	await expect(page.getByRole('list', { name: 'Findings' })).toBeVisible();
	await page.keyboard.press('w');
	const told = page.getByRole('region', { name: 'The week as a whole' });
	await expect(told).toContainText(/instead of|already is the best/);
	await expect(told).toContainText(/Worth \d+/);
	await page.keyboard.press('z');
	await expect(told).toHaveCount(0);
	await expect(page.getByRole('button', { name: 'Back a step' })).toBeDisabled();
});

test('what one thing more would unlock is tried one after the other and can be stopped', async ({ page }) => {
	await signIn(page);
	await open(page, 'Tomas Brevik', 'Block');
	const unlocks = page.getByRole('region', { name: 'What one purchase would unlock' });
	const look = unlocks.getByRole('button', { name: 'Try the price list and the unchecked' });
	await look.click();
	await expect(unlocks.getByRole('listitem').filter({ hasText: 'check the bedroom door' })).toContainText(
		'free'
	);
	await unlocks.getByRole('button', { name: 'Stop' }).click();
	await expect(look).toBeVisible();
});
