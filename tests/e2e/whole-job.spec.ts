import { expect, open, signIn, test, savePlan } from './fixtures';

const SESSION = [
	'Tuesday, all of it',
	'Front squat 4 x 6 @ 72.5 kg, rest 3:00',
	'Overhead press 4x6 RPE 8 rest 2:30',
	'B1 Seated cable row 3 x 10 @ 45 kg, rest 0:30',
	'B2 Hammer curl 3 x 12 RPE 8',
	'Plank 3 x 45 s'
].join('\n');

test('from a pasted gym session to next week, and everything is there after a reload', async ({ page }) => {
	await signIn(page);

	// The home kit and every load it makes.
	await open(page, 'Maren Ostholt', 'Home');
	await expect(page.getByText('two handles of 2 kg, plates 4 x 1.25, 8 x 2.5')).toBeVisible();
	await expect(page.getByText('2 to 12 kg in 5 steps')).toBeVisible();

	// Paste one written session.
	await open(page, 'Maren Ostholt', 'Bench');
	await page.getByRole('button', { name: 'Edit text' }).click();
	await page.getByLabel('Gym programme').fill(SESSION);
	await page.getByRole('button', { name: 'Rebuild for this home' }).click();
	await expect(page.getByRole('heading', { name: 'Tuesday, all of it' })).toBeVisible();
	const lines = page.locator('[data-line]');
	await expect(lines).toHaveCount(5);

	// Each line has a stand-in with a reason; what needs nothing goes across.
	for (const i of [0, 1, 2, 3])
		await expect(lines.nth(i)).toContainText(
			/same movement|pattern of|muscles of|movement of|harder variation|same exercise|nearest|Goes across/
		);
	await expect(lines.nth(4)).toContainText('Goes across as it is');

	// Swap in the second candidate by key, then lower the load by a rung, then take one step back.
	const panel = page.getByRole('complementary', { name: 'Line in hand' });
	const second = panel.locator('ol button[aria-pressed]').nth(1);
	const name = await second.locator('b').innerText();
	await page.keyboard.press('2');
	await expect(lines.nth(0)).toContainText(name);
	await expect(lines.nth(0)).toContainText('set by hand');
	const slider = panel.getByRole('slider', { name: 'Load' });
	const before = await slider.getAttribute('aria-valuetext');
	await page.keyboard.press('ArrowLeft');
	await expect(slider).not.toHaveAttribute('aria-valuetext', before ?? '');
	const lowered = await slider.getAttribute('aria-valuetext');
	await page.keyboard.press('ArrowLeft');
	await expect(slider).not.toHaveAttribute('aria-valuetext', lowered ?? '');
	await page.keyboard.press('z');
	await expect(slider).toHaveAttribute('aria-valuetext', lowered ?? '');

	// Save, print.
	await savePlan(page);
	await page.getByRole('link', { name: 'Sheet' }).click();
	await expect(page.getByRole('article')).toContainText(name);
	await expect(page.getByRole('article')).toContainText('Sharp pain stops an exercise');
	await page.emulateMedia({ media: 'print' });
	await expect(page.getByRole('button', { name: 'Print' })).toBeHidden();
	await page.emulateMedia({ media: 'screen' });

	// Enter what was done; next week comes with its reason.
	await page.getByRole('link', { name: 'Log', exact: true }).click();
	const first = page
		.getByRole('group', { name: `${name}, set 1` })
		.locator('xpath=ancestor::div[contains(@class,"grid")][1]');
	await first.getByRole('button', { name: 'done as prescribed' }).click();
	await page.getByRole('button', { name: 'Keep this day' }).click();
	await expect(page.getByText('Kept for 23 Nov.')).toBeVisible();
	await expect(first).toContainText(/Add 1 rep a set|The same again|Take /);
	await first.getByText('the arithmetic').click();
	await expect(first).toContainText('of what the muscles meet');

	// Pain over 5 stops a line.
	const row = page
		.getByRole('group', { name: /Plank, set 1|Seated|row/ })
		.first()
		.locator('xpath=ancestor::div[contains(@class,"grid")][1]');
	await row.getByRole('button', { name: 'done as prescribed' }).click();
	await row.getByRole('textbox', { name: 'pain' }).first().fill('7');
	await row.getByRole('combobox', { name: 'ended by' }).first().selectOption('pain');
	await page.getByRole('button', { name: 'Keep this day' }).click();
	await expect(row).toContainText('pain 7 of 10 on set 1');
	await expect(row).toContainText('physician');
	await expect(row).toContainText('(pain)');

	// Reload: everything is there; the Desk puts the pain first.
	await page.reload();
	await expect(row).toContainText('pain 7 of 10');
	await page.getByRole('link', { name: 'Bench' }).click();
	await expect(lines.nth(0)).toContainText(name);
	await page.goto('/');
	await expect(page.locator('a[data-row]').first()).toContainText('Maren Ostholt');
	await expect(page.locator('[data-proposal]').first()).toContainText('pain 7 of 10');
});

test('an unsaved bench survives a reload and can be dropped', async ({ page }) => {
	await signIn(page);
	await open(page, 'Tomas Brevik', 'Bench');
	await expect(page.locator('[data-line]')).toHaveCount(6);
	await page.keyboard.press('3');
	await expect(page.locator('[data-line]').first()).toContainText('set by hand');
	await page.reload();
	await expect(page.getByText('Unsaved changes from before were kept.')).toBeVisible();
	await expect(page.locator('[data-line]').first()).toContainText('set by hand');
	await page.getByRole('button', { name: 'Drop them' }).click();
	await expect(page.locator('[data-line]').first()).not.toContainText('set by hand');
});
