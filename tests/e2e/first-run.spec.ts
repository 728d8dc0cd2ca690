import { expect, test } from './fixtures';

test.use({ demo: 'empty' });

test('an empty start leads to the first account, a first client and a first home', async ({ page }) => {
	await page.goto('/');
	await expect(page.getByRole('heading', { name: 'Make the first account' })).toBeVisible();
	await page.getByLabel('Your name').fill('Odile Marchetti');
	await page.getByLabel('Address').fill('odile@example.org');
	await page.getByLabel('Password').fill('short');
	await page.getByRole('button', { name: 'Make it and start' }).click();
	await expect(page.getByRole('alert')).toContainText('at least 10 characters');
	await page.getByLabel('Password').fill('long enough to keep');
	await page.getByRole('button', { name: 'Make it and start' }).click();

	await page.getByRole('link', { name: 'Add the first client' }).click();
	await page.getByLabel('Name').fill('Bram Okonkwo');
	await page.getByLabel('Level').selectOption('intermediate');
	await page.getByLabel('Segment table').selectOption('male');
	await page.getByRole('button', { name: 'Add, then describe the home' }).click();
	await page.getByRole('button', { name: 'Tick common things' }).click();
	await page.getByRole('checkbox', { name: 'Two handles with plates' }).check();
	await page.getByRole('checkbox', { name: 'Table', exact: true }).check();
	await page.getByRole('button', { name: 'Add 2' }).click();
	await expect(page.getByRole('button', { name: /Two handles with plates\s+2 to \d/ })).toBeVisible();

	// No lift is known: the bench says so and still rebuilds.
	await page.getByRole('link', { name: 'Bench' }).click();
	await page.getByLabel('Gym programme').fill('Goblet squat 3 x 10\nInverted row 3 x 8');
	await page.getByRole('button', { name: 'Rebuild for this home' }).click();
	await expect(page.getByText('No lift of this client is known')).toBeVisible();
	await expect(page.locator('[data-line]')).toHaveCount(2);

	// Nothing is prescribed on the table before it passes; what that would open is told, and the check starts from there.
	const waiting = page.getByRole('region', { name: 'Waiting for a check' });
	await expect(waiting).toContainText(/Table: .*row/);
	await waiting.getByRole('link', { name: 'Table' }).click();
	await expect(page.getByRole('group', { name: 'Check' })).toBeVisible();
});
