import { expect, open, signIn, test } from './fixtures';

test('a name nobody knows becomes an exercise of the coach’s own, is given, changed and retired', async ({
	page
}) => {
	await signIn(page);
	await open(page, 'Maren Ostholt', 'Bench');
	await expect(page.locator('[data-line]').first()).toBeVisible();
	await page.getByRole('button', { name: 'Edit text' }).click();
	await page.getByLabel('Gym programme').fill('Day\nCorridor dip-squat 3x8 RPE 8');
	await page.getByRole('link', { name: /add it as your own/ }).click();

	// Name and what it is like are enough; the rest is there to be differed from.
	const form = page.getByRole('form', { name: 'Exercise of your own' });
	await expect(form.getByLabel('Name')).toHaveValue('Corridor dip-squat');
	await expect(form.getByRole('button', { name: 'Add it' })).toBeDisabled();
	await form.getByLabel('Like which exercise').fill('Goblet squat');
	await form.getByRole('button', { name: 'how heavy differs' }).click();
	await form.getByLabel('Percent of what is lifted in the other').fill('900');
	await form.getByRole('button', { name: 'Add it' }).click();
	await expect(form.getByRole('alert')).toContainText('between 20 and 200 percent');
	await form.getByLabel('Percent of what is lifted in the other').fill('85');
	await form.getByRole('button', { name: 'Add it' }).click();
	const hand = page.getByLabel('Exercise in hand');
	await expect(hand).toContainText('Yours, like the goblet squat; other are how heavy');

	// What was typed on the bench is still there, and is read now.
	await open(page, 'Maren Ostholt', 'Bench');
	const row = page.locator('[data-line]').first();
	await expect(row).toContainText('Corridor dip-squat');
	await expect(row).toContainText('3 x ');
	await expect(row).not.toContainText('is not in the catalogue');

	await page.goto('/catalogue?name=corridor');
	await hand.getByRole('button', { name: 'Retire it' }).click();
	await expect(page.getByText('Yours, retired: 1')).toBeVisible();
	await page.getByText('Yours, retired: 1').click();
	await page.getByRole('button', { name: 'Give it again' }).click();
	await expect(hand.getByRole('heading', { name: 'Corridor dip-squat' })).toBeVisible();
});
