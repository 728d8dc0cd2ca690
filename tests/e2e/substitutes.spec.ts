import { expect, open, signIn, test } from './fixtures';

test('the catalogue narrows by muscle and kit, says what a home allows, and leads up the ladder', async ({
	page
}) => {
	await signIn(page);
	await page.getByRole('link', { name: 'Catalogue' }).click();
	await page.getByLabel('Name', { exact: true }).fill('one-leg squat');
	const list = page.getByRole('list', { name: 'Exercises' });
	await expect(list.getByRole('button', { name: /Free one-leg squat/ })).toBeVisible();
	await page.getByLabel('Name', { exact: true }).fill('');
	await page.getByLabel('Muscle', { exact: true }).selectOption({ label: 'hamstrings knee' });
	await page.getByLabel('Home of').selectOption({ label: 'Tomas Brevik’s home' });
	await list
		.getByRole('button', { name: /^Sliding leg curl possible|^Sliding leg curl/ })
		.first()
		.click();
	const detail = page.getByRole('complementary', { name: 'Exercise in hand' });
	await expect(detail).toContainText('Possible there');
	await page.getByLabel('Home of').selectOption({ label: 'Aldo Ferrin’s home' });
	await expect(detail).toContainText('Not there: needs something that slides');
	await page.getByLabel('possible there').check();
	await expect(list.getByRole('button', { name: /^Sliding leg curl/ })).toHaveCount(0);
	await page.getByLabel('possible there').uncheck();
	await list
		.getByRole('button', { name: /^Sliding leg curl/ })
		.first()
		.click();
	await detail.getByRole('button', { name: 'One-leg sliding curl' }).click();
	await expect(detail.getByRole('heading', { name: 'One-leg sliding curl' })).toBeVisible();
	await expect(detail).toContainText('easier by limb');

	// The view is in the address.
	await page.reload();
	await expect(detail.getByRole('heading', { name: 'One-leg sliding curl' })).toBeVisible();
	await expect(page.getByLabel('Muscle', { exact: true })).toHaveValue('hamstringsKnee');
});

test('a line answers why not another, compares two, and a kept line stays when the week is built anew', async ({
	page
}) => {
	await signIn(page);
	await open(page, 'Maren Ostholt', 'Bench');
	const lines = page.locator('[data-line]');
	await lines.nth(1).click();
	const panel = page.getByRole('complementary', { name: 'Line in hand' });
	await panel.getByLabel('and why not…').fill('Standing dumbbell press');
	await panel.getByRole('button', { name: 'ask', exact: true }).click();
	await expect(panel.getByRole('status')).toContainText(/needs 2\.\d+ m of headroom, there is 1\.83/);

	await page.locator('body').click({ position: { x: 780, y: 20 } });
	await page.keyboard.press('c');
	const dialog = page.getByRole('dialog', { name: 'Compare two stand-ins' });
	await expect(dialog.getByRole('table', { name: 'Parts of the fit' })).toContainText('direction');
	const taken = (await dialog.getByRole('heading', { level: 3 }).nth(1).innerText()).trim();
	await dialog.getByRole('button', { name: 'Take this one' }).click();
	await expect(lines.nth(1)).toContainText(taken);
	await expect(lines.nth(1)).toContainText('set by hand');
	await page.keyboard.press('k');
	await expect(lines.nth(1)).toContainText(', kept');
	await page.keyboard.press('w');
	await expect(lines.nth(1)).toContainText(', kept');
	await page.keyboard.press('b');
	await expect(lines.nth(1)).not.toContainText(', kept');
});

test('a school taken on the practice page changes a line and is named there; the client may differ', async ({
	page
}) => {
	await signIn(page);
	await page.goto('/practice');
	const lifting = page.getByRole('group', { name: 'Lifting' });
	// What the other side would change is told of a programme of the practice's own.
	await expect(lifting).toContainText(/moves (\d+ of \d+ lines|no line here)/, { timeout: 60_000 });
	await lifting.getByRole('button', { name: 'fast' }).click();
	await expect(lifting.getByRole('button', { name: 'fast' })).toHaveAttribute('aria-pressed', 'true');
	await expect(page.getByText('saved', { exact: true })).toBeVisible();
	await open(page, 'Maren Ostholt', 'Bench');
	const panel = page.getByRole('complementary', { name: 'Line in hand' });
	await page.keyboard.press('b');
	await expect(panel.getByRole('list', { name: 'Rules and traits that changed it' })).toContainText(
		'House rule, lifting: fast'
	);
	await open(page, 'Maren Ostholt', 'Client');
	await page.getByText('House rules agreed with this client').click();
	await page.getByLabel(/^Lifting/).selectOption({ label: 'evenly' });
	await expect(page.getByText('of their own')).toBeVisible();
	await open(page, 'Maren Ostholt', 'Bench');
	await expect(page.locator('[data-line]').first()).toBeVisible();
	await expect(panel).not.toContainText('House rule, lifting');
	await page.goto('/practice');
	await lifting.getByRole('button', { name: 'evenly' }).click();
	await expect(lifting.getByRole('button', { name: 'evenly' })).toHaveAttribute('aria-pressed', 'true');
	await expect(page.getByText('saved', { exact: true })).toBeVisible();
});

test('the stair of measures is put in another order, and the line it is tried on answers', async ({
	page
}) => {
	await signIn(page);
	await page.goto('/practice');
	const tried = page.getByRole('status', { name: 'Tried on' });
	await expect(tried).toBeVisible();
	await page.getByRole('button', { name: /^one phase slower.*sooner$/ }).click();
	await expect(
		page
			.getByRole('list', { name: /^Measures/ })
			.getByRole('listitem')
			.nth(4)
	).toContainText('one phase slower');
	await expect(page.getByText('saved', { exact: true })).toBeVisible();
	// A zone that is none is refused in words, and what was saved stays.
	await page.getByLabel('6 to 12 written, to').fill('4');
	await page.getByLabel('6 to 12 written, to').press('Tab');
	await expect(page.getByRole('alert')).toContainText('six to twelve');
	await page.reload();
	await expect(page.getByLabel('6 to 12 written, to')).toHaveValue('15');
	await expect(
		page
			.getByRole('list', { name: /^Measures/ })
			.getByRole('listitem')
			.nth(4)
	).toContainText('one phase slower');
	await page.getByRole('button', { name: /^one phase slower.*later$/ }).click();
	await expect(
		page
			.getByRole('list', { name: /^Measures/ })
			.getByRole('listitem')
			.nth(3)
	).toContainText('one phase slower');
	await expect(page.getByText('saved', { exact: true })).toBeVisible();
});

test('a failed screen adds its work to bench and sheet', async ({ page }) => {
	await signIn(page);
	await open(page, 'Gerda Halvorsen', 'Bench');
	await expect(page.locator('[data-line]').first()).toContainText('Deep squat hold');
	await page.getByRole('button', { name: 'Save plan' }).click();
	await expect(page.getByRole('button', { name: 'Saved' })).toBeVisible();
	await page.getByRole('link', { name: 'Sheet' }).click();
	await expect(page.getByRole('article')).toContainText(/Deep squat hold, 3 x 30 s/);
	await expect(page.getByRole('article')).toContainText('Warm-up:');
});
