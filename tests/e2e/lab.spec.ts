import { expect, open, signIn, test } from './fixtures';

test('a line goes to the lab, its tempo and rest are turned, and the forecast and the link follow', async ({
	page
}) => {
	await signIn(page);
	await open(page, 'Maren Ostholt', 'Bench');
	await page.locator('[data-line]').nth(0).click();
	await page
		.getByRole('complementary', { name: 'Line in hand' })
		.getByRole('link', { name: 'Try this set in the lab' })
		.click();
	const a = page.getByRole('region', { name: 'Set A' });
	const b = page.getByRole('region', { name: 'Set B' });
	await expect(a.getByRole('heading', { level: 2 })).toHaveText('Front squat');
	const table = page.getByRole('table', { name: 'Both sets compared' });
	const repeated = table.getByRole('row', { name: /^to failure, rested/ }).getByRole('cell');
	const rested = async () => Number((await repeated.nth(2).innerText()).split('\n')[0]);
	await expect.poll(rested).toBeGreaterThan(1);
	const before = await rested();

	// Slower lowering: fewer repetitions, never more.
	const down = b.getByRole('spinbutton', { name: 'down' });
	await down.focus();
	for (let i = 0; i < 3; i++) await page.keyboard.press('ArrowUp');
	await expect(down).toHaveText('5');
	await expect.poll(rested).toBeLessThan(before);

	// A figure opens to its formula and source.
	await table.getByRole('button', { name: 'effective reps' }).click();
	await expect(page.getByRole('region', { name: 'How effective reps came about' })).toContainText('Zourdos');

	// The address keeps both sets.
	await expect(page).toHaveURL(/5-0-1-0/);
	await page.reload();
	await expect(b.getByRole('spinbutton', { name: 'down' })).toHaveText('5');

	// Too heavy is told in words, at its set; the other one stands.
	await a.getByLabel('load, kg').fill('400');
	await a.getByLabel('load, kg').press('Tab');
	await expect(a.getByRole('alert')).toContainText('Heavier than the estimated maximum');
	await expect(b.getByRole('alert')).toHaveCount(0);
});

test('techniques are taken on the bench by hand, drawn in the bridge, and refused with a reason', async ({
	page
}) => {
	await signIn(page);
	await open(page, 'Maren Ostholt', 'Bench');
	const line = page.locator('[data-line]').nth(0);
	await line.click();
	const panel = page.getByRole('complementary', { name: 'Line in hand' });
	await panel.getByLabel('pulses').selectOption('3');
	await expect(line).toContainText('3 pulses');
	await expect(line).toContainText('set by hand');
	await page.keyboard.press('z');
	await expect(line).not.toContainText('3 pulses');

	// A beginner is not given them.
	await open(page, 'Gerda Halvorsen', 'Bench');
	await page.locator('[data-line]').nth(0).click();
	await expect(
		panel.getByRole('combobox', { name: /^sets/ }).getByRole('option', { name: /^rest-pause: ./ })
	).toBeDisabled();
});

test('a set finished on an easier variation is told on the bench and on the sheet', async ({ page }) => {
	await signIn(page);
	await open(page, 'Runa Castellane', 'Bench');
	await page.getByRole('button', { name: 'Edit text' }).click();
	await page.getByLabel('Gym programme').fill('Monday\nPush-up 3 x 10 RPE 8, rest 90 s');
	await page.getByRole('button', { name: 'Rebuild for this home' }).click();
	const line = page.locator('[data-line]');
	await expect(line).toHaveCount(1);
	await page.getByLabel('finish each set on an easier variation').check();
	await expect(line).toContainText('finish on');
	await page.getByRole('button', { name: 'Save plan' }).click();
	await expect(page.getByRole('button', { name: 'Saved' })).toBeVisible();
	await page.getByRole('link', { name: 'Sheet' }).click();
	await expect(page.getByRole('article')).toContainText(/then .+, about \d+; write both down/);
	// Seven full, four kneeling: logged apart, and there after a reload.
	await page.getByRole('link', { name: 'Log', exact: true }).click();
	const set = page.getByRole('group', { name: /, set 1$/ }).first();
	await set.getByLabel('done').fill('7');
	await set.getByLabel('on the easier variation').fill('4');
	await page.getByRole('button', { name: 'Keep this day' }).click();
	await expect(page.getByText('Kept for')).toBeVisible();
	await page.reload();
	await expect(page.getByText(/last .*: 7\+4/)).toBeVisible();
});
