import type { Page } from '@playwright/test';
import { expect, open, signIn, test, savePlan } from './fixtures';

test('what cannot be read is told with its place, and the rest is rebuilt', async ({ page }) => {
	await signIn(page);
	await open(page, 'Tomas Brevik', 'Bench');
	await page.getByRole('button', { name: 'Edit text' }).click();
	const text = page.getByLabel('Gym programme');
	await text.fill('Back squat 4 x 6 @ -60 kg\nFlying dragon 3x8\nBench pres 3 x 8 @ 90 furlongs');
	const problems = page.getByRole('list', { name: 'What could not be read' });
	await expect(problems).toContainText('line 1, column 18');
	await expect(problems).toContainText('A load cannot be negative');
	await expect(problems).toContainText('"Bench pres" is read as barbell bench press');
	await page.getByRole('button', { name: 'Rebuild for this home' }).click();
	await expect(page.locator('[data-line]')).toHaveCount(3);
	await expect(page.locator('[data-line]').nth(1)).toContainText('is not in the catalogue');

	// A slip of the finger is mended, and said.
	await expect(page.locator('[data-line]').nth(2)).not.toContainText('is not in the catalogue');
});

test('200 kB of text gets a plain answer and stays where it was typed', async ({ page }) => {
	await signIn(page);
	await open(page, 'Tomas Brevik', 'Bench');
	await page.getByRole('button', { name: 'Edit text' }).click();
	const text = page.getByLabel('Gym programme');
	// Put in as a paste does it, at once: typing it through the browser's driver takes minutes.
	await text.evaluate((area: HTMLTextAreaElement) => {
		area.value = 'Bench press 3 x 8 @ 60 kg\n'.repeat(8000);
		area.dispatchEvent(new Event('input', { bubbles: true }));
	});
	await expect(page.getByText(/Paste at most 100,000/)).toBeVisible();
	await expect(text).toHaveValue(/Bench press/);
	await text.fill('');
	await expect(page.getByText('Nothing to rebuild yet')).toBeVisible();
});

test('a fixture without a height and a plate of 10 tonnes are refused in words', async ({ page }) => {
	await signIn(page);
	await open(page, 'Tomas Brevik', 'Home');
	await page.getByRole('button', { name: 'New fixture' }).click();
	await page.getByLabel('Name the client uses').fill('Ottoman');
	await page.getByLabel('Height above the floor').fill('');
	await page.getByRole('button', { name: 'Keep it' }).click();
	await expect(page.getByRole('alert')).toContainText('Give the height above the floor');
	await page.getByRole('button', { name: 'Leave as it was' }).click();

	await page.getByLabel('New thing').selectOption('Fixed weights');
	await page.getByLabel(/^Mass 1/).fill('10000');
	await page.getByRole('button', { name: 'Keep it' }).click();
	await expect(page.getByRole('alert')).toContainText('between 1 g and 500 kg');
	await page.getByRole('button', { name: 'Leave as it was' }).click();
	await expect(page.getByText('Dumbbells', { exact: true })).toHaveCount(0);
});

test('two windows on one plan meet on one line at most', async ({ page, context }) => {
	await signIn(page);
	await open(page, 'Tomas Brevik', 'Bench');
	await expect(page.locator('[data-line]')).toHaveCount(6);
	await savePlan(page);
	const other = await context.newPage();
	await other.goto(page.url());
	await expect(other.locator('[data-line]')).toHaveCount(6);
	const nudge = async (window: Page, line: number, rest: string) => {
		await window.locator('[data-line]').nth(line).click();
		await window.getByRole('complementary', { name: 'Line in hand' }).getByLabel(/^rest/).selectOption(rest);
		await expect(window.getByRole('button', { name: 'Save plan' })).toBeEnabled();
	};

	// Each changes a line of its own: both are kept.
	await nudge(other, 0, '105');
	await savePlan(other);
	await nudge(page, 1, '75');
	await savePlan(page);
	await page.reload();
	await expect(page.locator('[data-line]').nth(0)).toContainText('1:45');
	await expect(page.locator('[data-line]').nth(1)).toContainText('1:15');

	// Both change one line: the second is told which, and nothing of it is written.
	await other.reload();
	await expect(other.locator('[data-line]').nth(1)).toContainText('1:15');
	await nudge(other, 1, '150');
	await savePlan(other);
	await nudge(page, 1, '180');
	await page.getByRole('button', { name: 'Save plan' }).click();
	await expect(page.getByRole('alert')).toContainText('changed in another window meanwhile');
	await page.getByRole('button', { name: 'Load the newer one' }).click();
	await expect(page.getByRole('alert')).toHaveCount(0);
	await expect(page.locator('[data-line]').nth(1)).toContainText('2:30');
});
