import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { expect, open, signIn, test } from './fixtures';

// A colour on its way to another is neither; who asks for less motion sees only where it ends.
test.use({ contextOptions: { reducedMotion: 'reduce' } });

// Reading a whole page by every rule is the longest thing done here: the two halves run beside each other.
test.describe.configure({ mode: 'parallel', timeout: 480_000 });

test('axe finds nothing on any view, by day and by night', async ({ page }) => {
	await page.goto('/sign-in');
	await expect(page.getByRole('button', { name: 'Sign in' })).toBeVisible();
	expect(await faults(page, 'sign-in')).toEqual([]);
	await signIn(page);
	expect(await faults(page, 'desk')).toEqual([]);
	await page.goto('/clients/new');
	await expect(page.getByRole('heading', { name: 'New client' })).toBeVisible();
	expect(await faults(page, 'new client')).toEqual([]);
	await page.goto('/practice');
	await expect(page.getByRole('heading', { name: 'By which rules we work' })).toBeVisible();
	expect(await faults(page, 'practice')).toEqual([]);
	await page.goto('/catalogue');
	await expect(page.getByRole('heading', { name: 'Catalogue' })).toBeVisible();
	expect(await faults(page, 'catalogue')).toEqual([]);
	for (const view of ['Client', 'Home', 'Bench', 'Block', 'Set lab', 'Log', 'Sheet'] as const) {
		await open(page, 'Tomas Brevik', view);
		await page.waitForLoadState('networkidle');
		expect(await faults(page, view)).toEqual([]);
	}
});

test('axe finds nothing on what opens over the views, by day and by night', async ({ page }) => {
	await signIn(page);
	await open(page, 'Runa Castellane', 'Block');
	await page.getByRole('button', { name: 'Weeks ahead' }).click();
	await expect(page.getByRole('columnheader', { name: /week 2/ })).toBeVisible();
	expect(await faults(page, 'weeks ahead')).toEqual([]);
	await page.goto('/roster');
	await page.getByRole('button', { name: 'Move everybody' }).click();
	await expect(page.getByRole('button', { name: /^Save the/ })).toBeVisible();
	expect(await faults(page, 'roster')).toEqual([]);

	await open(page, 'Runa Castellane', 'Bench');
	await page.getByRole('button', { name: 'Edit text' }).click();
	await page.getByText('Take a template instead').click();
	await expect(
		page.getByRole('complementary', { name: 'Templates' }).getByRole('listitem').first()
	).toBeVisible();
	await page.waitForLoadState('networkidle');
	await expect(page.getByRole('button', { name: /^Save/ })).toBeEnabled();
	expect(await faults(page, 'templates')).toEqual([]);
	await page.getByRole('button', { name: 'Back to the lines' }).click();
	await expect(page.locator('[data-line]').first()).toBeVisible();
	await page.keyboard.press('c');
	await expect(page.getByRole('dialog', { name: 'Compare two stand-ins' })).toBeVisible();
	expect(await faults(page, 'comparison')).toEqual([]);

	await open(page, 'Tomas Brevik', 'Home');
	await page.getByRole('button', { name: /Rucksack/ }).click();
	expect(await faults(page, 'bag dialog')).toEqual([]);
	for (const [button, dialog] of [
		[/Wide black loop/, 'band dialog'],
		[/75 Kitchen table/, 'fixture dialog'],
		[/Tick common things/, 'common things']
	] as const) {
		await page.getByRole('button', { name: 'Leave as it was' }).click();
		await page.getByRole('button', { name: button }).click();
		expect(await faults(page, dialog)).toEqual([]);
	}

	await page.getByRole('button', { name: 'Leave as it was' }).click();
	await page.keyboard.press('l');
	expect(await faults(page, 'surfaces')).toEqual([]);
});

/** Everything by day; by night the colours alone are others. */
async function faults(page: Page, view: string): Promise<string[]> {
	// There are no frames to put together.
	const axe = () => new AxeBuilder({ page }).setLegacyMode(true);
	const byDay = await axe().withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa']).analyze();
	await page.evaluate(() => (document.documentElement.dataset.theme = 'night'));
	const byNight = await axe().withRules(['color-contrast']).analyze();
	await page.evaluate(() => (document.documentElement.dataset.theme = 'day'));
	return [...byDay.violations, ...byNight.violations].map(
		(v) => `${view}: ${v.id} at ${v.nodes.map((n) => n.target.join(' ')).join(', ')}`
	);
}
