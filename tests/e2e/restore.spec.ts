import { expect, signIn, test } from './fixtures';

test('a backup is looked into before it is restored, and what came after it is gone', async ({ page }) => {
	await signIn(page);
	await page.goto('/practice');
	await page.getByText('Backups and files').click();
	await page.getByRole('button', { name: 'Take a backup now' }).click();
	await expect(page.getByText('Taken and read through.')).toBeVisible();

	const made = await page.request.post('/api/clients', { data: { profile: { name: 'Late Comer' } } });
	expect(made.ok()).toBe(true);
	await page.getByRole('button', { name: 'Look into it' }).first().click();
	await expect(
		page.getByText('Restoring would lose: Late Comer: the whole client came after it.')
	).toBeVisible();
	await page.getByRole('button', { name: 'Restore this one' }).click();
	await page.waitForURL((url) => url.pathname === '/');
	await expect(page.getByText('Maren Ostholt').first()).toBeVisible();
	await expect(page.getByText('Late Comer')).toHaveCount(0);

	// What was there before is the newest backup: the way back is open.
	const backups = (await (await page.request.get('/api/backups')).json()) as { name: string }[];
	expect(backups).toHaveLength(2);
});
