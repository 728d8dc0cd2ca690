import { expect, open, signIn, test } from './fixtures';

test('a new bag shows its loads at once and goes back by one key', async ({ page }) => {
	await signIn(page);
	await open(page, 'Maren Ostholt', 'Home');
	const things = page.getByRole('region', { name: 'Things that load' });
	await expect(things.getByRole('button', { name: /^Rucksack/ })).toHaveCount(1);
	await page.keyboard.press('r');
	const dialog = page.getByRole('dialog', { name: 'Rucksack' });
	await dialog.getByLabel('Name the client uses').fill('Sail bag');
	await dialog.getByRole('button', { name: 'Add a row' }).click();
	await dialog.getByLabel('Content 2').fill('winch handle');
	await dialog.getByLabel('Mass 2').fill('1,2');
	await dialog.getByLabel('How many of 2').fill('1');

	// Six bottles of 1.53 kg and a handle of 1.2 kg in a bag of 1 kg: by hand, 5.26 kg is 2 bottles and the handle.
	await dialog.getByLabel('Pack it to').fill('5.2');
	await dialog.getByLabel('Pack it to').press('Tab');
	await expect(dialog.getByRole('status').last()).toHaveText('5.26 kg: 2 big bottles + 1 winch handle');
	await dialog.getByRole('button', { name: 'Keep it' }).click();

	// By hand, 11.38 kg when full.
	await expect(things.getByRole('button', { name: /Sail bag\s+[\d.]+ to 11\.4 kg/ })).toBeVisible();
	await page.keyboard.press('z');
	await expect(things.getByText('Sail bag')).toHaveCount(0);
	await page.reload();
	await expect(things.getByRole('button', { name: /^Rucksack/ })).toHaveCount(1);
	await expect(things.getByText('Sail bag')).toHaveCount(0);
});

test('a home of 6 fixtures and 10 things from blank takes at most 80 clicks and keystrokes', async ({
	page
}) => {
	await signIn(page);
	await page.goto('/clients/new');
	await page.getByLabel('Name').fill('Bram Okonkwo');
	await page.getByRole('button', { name: 'Add, then describe the home' }).click();
	await expect(page.getByRole('heading', { name: 'What this place can do' })).toBeVisible();

	let handled = 0;
	const click = async (name: string | RegExp, role: 'button' | 'checkbox' = 'button') => {
		handled++;
		await page.getByRole(role, { name, exact: typeof name === 'string' }).click();
	};
	const type = async (label: string, text: string) => {
		handled += 1 + text.length;
		await page.getByLabel(label, { exact: true }).fill(text);
	};

	handled++;
	await page.keyboard.press('n');
	for (const [fixture, height] of [
		['Kitchen chairs', '46'],
		['Table', '75'],
		['Kitchen counter', ''],
		['Sofa', '40'],
		['Doorstep', '16'],
		['Tree', '']
	] as const) {
		await click(fixture, 'checkbox');
		if (height) await type(`Height of ${fixture}`, height);
	}
	for (const thing of [
		'Rucksack',
		'Water jugs, 5 l',
		'Tins',
		'Shopping bag',
		'Dumbbells',
		'Kettlebell',
		'Light loop band',
		'Straps with handles',
		'Magazines',
		'Bathroom scale'
	])
		await click(thing, 'checkbox');
	await click('Add 16');
	await expect(page.getByText('6 fixtures')).toBeVisible();
	await expect(page.getByRole('region', { name: 'Things that load' }).getByRole('listitem')).toHaveCount(10);
	await type('Headroom, cm', '250');
	await type('Floor, m', '3');
	await click('wood');
	handled++;
	await page.keyboard.press('Tab');
	await expect(page.getByText('slide on wood')).toBeVisible();
	expect(handled).toBeLessThanOrEqual(80);
	await expect(page.getByRole('button', { name: /Horizontal press.*rungs to/ })).toBeVisible();
});

test('a band is calibrated from the luggage scale and its rungs reach the chart', async ({ page }) => {
	await signIn(page);
	await open(page, 'Tomas Brevik', 'Home');
	const black = page.getByRole('button', { name: /Wide black loop/ });
	await expect(black).toContainText('rough');
	await black.click();
	const dialog = page.getByRole('dialog', { name: 'Wide black loop' });
	await expect(dialog.getByText('From one pull this is rough')).toBeVisible();
	await dialog.getByRole('button', { name: 'Another pull' }).click();
	await dialog.getByRole('button', { name: 'read scale' }).first().click();
	await expect(dialog.getByRole('button', { name: 'hold it' })).toBeVisible();
	await expect(dialog.getByRole('button', { name: 'hold it' })).toHaveCount(0);
	await dialog.getByRole('button', { name: 'read scale' }).last().click();
	await expect(dialog.getByRole('button', { name: 'hold it' })).toBeVisible();
	await expect(dialog.getByRole('button', { name: 'hold it' })).toHaveCount(0);
	const first = Number(await dialog.getByLabel('Force of pull 1').inputValue());
	const second = Number(await dialog.getByLabel('Force of pull 2').inputValue());
	expect(second).toBeGreaterThan(first * 1.4);
	await expect(dialog.getByText('that difference is why two are asked for')).toBeVisible();
	await dialog.getByRole('button', { name: 'Keep it' }).click();
	await expect(black).not.toContainText('rough');
	await page.getByRole('button', { name: /^Elbow flexion/ }).click();
	await expect(page.getByText(/curl.*: .*\d kg.*Wide black loop/).first()).toBeVisible();

	// The inverse: a wanted pull in, bands and their setting out.
	await black.click();
	await dialog.getByLabel('Mean pull').fill('12');
	await dialog.getByLabel('Mean pull').press('Tab');
	await expect(
		dialog.getByRole('region', { name: 'Which band, set how' }).getByRole('listitem').first()
	).toContainText(/mean 1[12]/);
	await dialog.getByRole('button', { name: 'Leave as it was' }).click();
	await page.keyboard.press('l');
	await page.getByRole('button', { name: 'Phone along the body' }).click();
	await expect(page.getByText(/degrees the hands hold/)).toBeVisible();

	// Pulls that contradict each other are refused where they are typed, and nothing is lost.
	await black.click();
	await dialog.getByLabel('Force of pull 2').fill('10');
	await dialog.getByLabel('Force of pull 2').press('Tab');
	await expect(dialog.getByRole('alert')).toContainText('contradict');
	await dialog.getByRole('button', { name: 'Keep it' }).click();
	await expect(dialog.getByRole('alert').last()).toContainText('A longer pull must read more');
	await dialog.getByRole('button', { name: 'Leave as it was' }).click();
	await expect(black).toContainText(`${Math.round(second)} N`);
});

test('a rail is checked step by step, a mass in pounds is asked about, a second place has its own home', async ({
	page
}) => {
	await signIn(page);
	await open(page, 'Maren Ostholt', 'Home');
	const galley = page.getByRole('button', { name: /92 Galley top/ });
	await expect(galley).toHaveAccessibleName(/not checked/);
	await galley.click();
	await expect(page.getByText('Not passed: Galley top was never checked').first()).toBeVisible();
	const pass = page.getByRole('button', { name: /to a pass|pass it/ });
	await expect(pass).toBeDisabled();
	for (const step of await page.getByRole('group', { name: 'Check' }).getByRole('checkbox').all())
		await step.check();
	await pass.click();
	await page.getByRole('button', { name: 'Keep it' }).click();
	await expect(galley).toHaveAccessibleName(/92 Galley top passed/);

	await page.keyboard.press('w');
	await page.getByLabel(/^Mass 1/).fill('70');
	await page.getByRole('button', { name: 'Keep it' }).click();
	await page.getByRole('button', { name: 'Make it 31.8 kg' }).click();
	await expect(page.getByRole('button', { name: /^Dumbbells/ })).toContainText('2 x 31.8 kg');
	for (const left of ['70 kg', '31.8 kg']) {
		await page.keyboard.press('z');
		await expect(page.getByText(`2 x ${left}`)).toHaveCount(left === '70 kg' ? 1 : 0);
	}
	await page.keyboard.press('z');
	await expect(galley).toHaveAccessibleName(/not checked/);

	await page.getByRole('button', { name: 'another place' }).click();
	await page.getByLabel('Name of the new place').fill('Slipway shed');
	await page.getByRole('button', { name: 'Add', exact: true }).click();
	await expect(page.getByText('0 fixtures')).toBeVisible();
	await page.getByRole('button', { name: 'trains here now' }).click();
	await expect(page.getByRole('link', { name: 'Slipway shed, now' })).toBeVisible();
	await page.getByRole('button', { name: 'take this place out' }).click();
	await expect(page.getByRole('navigation', { name: 'Places' }).getByRole('link')).toHaveText([
		'On the boat'
	]);
	await expect(page.getByText('6 fixtures')).toBeVisible();
});

test('a table that fails its check stops the saved line on log, sheet and desk, and frees it again', async ({
	page
}) => {
	await signIn(page);
	await open(page, 'Tomas Brevik', 'Bench');
	const underTheTable = page
		.locator('[data-line]')
		.filter({ hasText: /row under a table\s*(, set by hand|\d x)/ });
	await page.locator('[data-line]').nth(1).click();
	const panel = page.getByRole('complementary', { name: 'Line in hand' });
	await panel.getByLabel('and why not…').fill('Bent-knee row under a table');
	await panel.getByRole('button', { name: 'ask', exact: true }).click();
	await panel.getByRole('button', { name: 'take it' }).click();
	await expect(underTheTable).toHaveCount(1);
	await page.locator('body').click({ position: { x: 780, y: 20 } });
	await page.keyboard.press('s');
	await expect(page.getByRole('button', { name: 'Saved' })).toBeVisible();

	await page.getByRole('link', { name: 'Home' }).click();
	await page.getByRole('button', { name: /75 Kitchen table/ }).click();
	await page.getByLabel('Verdict').selectOption('notPassed');
	await page.getByLabel('Why').fill('a leg is loose');
	await page.getByRole('button', { name: 'Keep it' }).click();
	await expect(page.getByRole('button', { name: /75 Kitchen table not passed/ })).toBeVisible();

	await page.getByRole('link', { name: 'Log', exact: true }).click();
	await expect(page.getByText(/Do not train .*row under a table as planned: .*a leg is loose/)).toBeVisible();
	await page.getByRole('link', { name: 'Sheet' }).click();
	await expect(page.getByRole('article')).toContainText(/Not now: left out until the coach/);
	await page.goto('/');
	await expect(page.locator('[data-proposal]').filter({ hasText: 'a leg is loose' })).toHaveCount(1);

	// The line in force stays on the bench and says why it may not be trained; afresh it is never proposed.
	await open(page, 'Tomas Brevik', 'Bench');
	await expect(page.locator('[data-line]')).toHaveCount(6);
	const row = page.locator('[data-line]').nth(1);
	await expect(row).toContainText(/Not as it stands: .*a leg is loose/);
	await row.click();
	await page.keyboard.press('b');
	await expect(row).toContainText('leave it as it was in force');
	await expect(underTheTable).toHaveCount(0);
	await page.keyboard.press('z');
	await expect(underTheTable).toHaveCount(1);

	await page.getByRole('link', { name: 'Home' }).click();
	await page.getByRole('button', { name: /75 Kitchen table/ }).click();
	await page.getByLabel('Verdict').selectOption('passed');
	await page.getByRole('button', { name: 'Keep it' }).click();
	await page.getByRole('link', { name: 'Sheet' }).click();
	await expect(page.getByRole('article')).not.toContainText('Not now:');
});

test('the bench is worked by keyboard alone', async ({ page }) => {
	await signIn(page);
	await open(page, 'Maren Ostholt', 'Bench');
	const panel = page.getByRole('complementary', { name: 'Line in hand' });
	await expect(panel.getByRole('heading')).toHaveText('Front squat');
	await page.keyboard.press('ArrowDown');
	await expect(panel.getByRole('heading')).toHaveText('Push press');
	await panel.getByRole('spinbutton', { name: 'down', exact: true }).focus();
	await page.keyboard.press('ArrowUp');
	await expect(page.locator('[data-line]').nth(1)).toContainText('3-0-1-0');
	await page.keyboard.press('b');
	await expect(page.locator('[data-line]').nth(1)).toContainText('2-0-1-0');
	await expect(page.locator('[data-line]').nth(1)).not.toContainText('set by hand');
	await page.keyboard.press('?');
	await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
	await page.keyboard.press('Escape');
	await panel.getByText('How these figures came about').click();
	await expect(panel).toContainText('carried over from');
});
