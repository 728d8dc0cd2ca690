import { expect, open, savePlan, signIn, test } from './fixtures';

/** Every view and document on which a caution must stand, and the words that must be on it. A new view is added here. */
const CLIENT_VIEWS = [
	{ view: 'Client', words: /physician or physiotherapist\s+first.*local rules/s },
	{ view: 'Home', words: /Not passed, never prescribed/ },
	{ view: 'Bench', words: /not a medical opinion|Sharp pain/i },
	{ view: 'Log', words: /Pain over 5 stops|Sharp pain|physician/i },
	{ view: 'Sheet', words: /Sharp pain stops an exercise.*physician/s }
] as const;

test('every view and document that needs a caution has it', async ({ page }) => {
	await signIn(page);
	await expect(page.getByText('Advice for a coach, not a medical opinion.')).toBeVisible();
	await page.goto('/practice');
	await expect(
		page.getByText('Rules do not replace physicians, physiotherapists or local rules.')
	).toBeVisible();
	await page.goto('/catalogue');
	await expect(page.getByText('Advice for a coach, not a medical opinion.')).toBeVisible();
	await open(page, 'Tomas Brevik', 'Bench');
	await page.getByRole('button', { name: /Save plan|Saved/ }).click();
	await expect(page.getByRole('button', { name: 'Saved' })).toBeVisible();
	for (const { view, words } of CLIENT_VIEWS) {
		await open(page, 'Tomas Brevik', view);
		await expect(page.locator('body')).toContainText(words);
	}

	await open(page, 'Tomas Brevik', 'Home');
	await page.getByRole('button', { name: /Wide black loop/ }).click();
	await expect(page.getByRole('dialog')).toContainText('Inspect the band first');
	await page.getByRole('button', { name: 'Leave as it was' }).click();
	await page.getByRole('button', { name: /75 Kitchen table/ }).click();
	await expect(page.getByRole('dialog')).toContainText('A thing that was not passed is never prescribed');
});

test('nothing is handed out before the health screen is answered and cleared', async ({ page }) => {
	await signIn(page);
	await open(page, 'Maren Ostholt', 'Bench');
	await savePlan(page);
	await open(page, 'Maren Ostholt', 'Client');
	await page
		.getByRole('group', { name: /Dizzy spells/ })
		.getByRole('button', { name: 'yes' })
		.click();
	await expect(
		page.getByText(/Named on the health screen: dizziness\. Refer to a physician or physiotherapist/)
	).toBeVisible();
	await open(page, 'Maren Ostholt', 'Sheet');
	await expect(page.getByRole('heading', { name: 'Not to be handed out yet' })).toBeVisible();
	await expect(page.getByRole('button', { name: 'Print' })).toBeDisabled();
	await expect(page.getByRole('article')).toHaveCount(0);
	await page.getByRole('link', { name: 'To the health screen' }).click();
	await page.getByLabel(/Cleared by/).fill('Dr Bell, canal practice');
	await page.getByLabel(/Cleared by/).press('Tab');
	await expect(page.getByText('Asked and clear')).toBeVisible();
	await open(page, 'Maren Ostholt', 'Sheet');
	await expect(page.getByRole('article')).toBeVisible();
	await open(page, 'Maren Ostholt', 'Client');
	await page
		.getByRole('group', { name: /Dizzy spells/ })
		.getByRole('button', { name: 'no' })
		.click();
	await expect(page.getByText('Asked and clear')).toBeVisible();
});

test('what is said of a client and of the practice changes the bench', async ({ page }) => {
	await signIn(page);
	await open(page, 'Tomas Brevik', 'Client');
	await page.getByLabel('Reason of the next ban').fill('elbow grumbles');
	await page.getByLabel('Ban a kind of exercise').selectOption('bands');
	await expect(page.getByText('elbow grumbles')).toBeVisible();
	await open(page, 'Tomas Brevik', 'Bench');
	await expect(page.locator('[data-line]').first()).toBeVisible();
	// A line in force stays until the coach gives it up, and says that it may not be trained.
	await page.keyboard.press('Shift+B');
	await expect(page.locator('[data-line]').filter({ hasText: /Band |band / })).toHaveCount(0);
	await page.keyboard.press('z');
	await open(page, 'Tomas Brevik', 'Client');
	await page.getByRole('button', { name: 'lift', exact: true }).click();
	await expect(page.getByText('elbow grumbles')).toHaveCount(0);

	await page.goto('/practice');
	await page.getByText('House numbers').click();
	await page.getByText('Their numbers').click();
	await page.getByLabel('Most repetitions of a set').fill('20');
	await page.getByLabel('Most repetitions of a set').press('Tab');
	await expect(page.getByText('saved', { exact: true })).toBeVisible();
	await page.getByLabel('muscles, main').fill('-1');
	await page.getByLabel('muscles, main').press('Tab');
	await expect(page.getByRole('alert')).toContainText('A weight lies between 0 and 100');
	await page.reload();
	await page.getByText('House numbers').click();
	await page.getByText('Their numbers').click();
	await expect(page.getByLabel('Most repetitions of a set')).toHaveValue('20');
	await expect(page.getByLabel('muscles, main')).toHaveValue('0.25');
	await page.getByLabel('Most repetitions of a set').fill('30');
	await page.getByLabel('Most repetitions of a set').press('Tab');
	await expect(page.getByText('saved', { exact: true })).toBeVisible();
});
