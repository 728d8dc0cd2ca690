import { test as base, expect, type Page } from '@playwright/test';
import { Servers, type Demo } from './server';

/**
 * Every test talks to its file's own server, and fails on a request outside the application's own origin, on an error in
 * the console, and on an uncaught exception in the page.
 */
export const test = base.extend<{ demo: Demo; watched: void }, { servers: Servers }>({
	demo: ['members', { option: true }],
	servers: [
		// Playwright reads what a fixture needs from the first parameter's pattern.
		// eslint-disable-next-line no-empty-pattern
		async ({}, use, info) => {
			const servers = new Servers(info.workerIndex);
			await use(servers);
			await servers.stop();
		},
		{ scope: 'worker', timeout: 180_000 }
	],
	baseURL: async ({ servers, demo }, use, info) => use((await servers.of(info.file, demo)).address),
	watched: [
		async ({ page, baseURL }, use) => {
			const wrong: string[] = [];
			const own = new URL(baseURL ?? '');
			page.on('request', (request) => {
				const url = new URL(request.url());
				if (url.hostname !== own.hostname && url.protocol !== 'data:' && url.protocol !== 'blob:')
					wrong.push(`request to ${url.origin}`);
			});
			page.on('pageerror', (error) => wrong.push(`uncaught: ${error.message}`));
			page.on('console', (message) => {
				// A refused request is the application's answer, tested where it matters.
				if (message.type() === 'error' && !message.text().startsWith('Failed to load resource'))
					wrong.push(message.text());
			});
			await use();
			expect(wrong).toEqual([]);
		},
		{ auto: true }
	]
});

export { expect };

export async function signIn(page: Page, theme: 'day' | 'night' = 'day') {
	await page.addInitScript((chosen) => localStorage.setItem('ingegno-theme', chosen), theme);
	await page.goto('/sign-in');
	await page.getByLabel('Address').fill('coach@lockside.example');
	await page.getByLabel('Password').fill('floor-torn-up');
	await page.getByRole('button', { name: 'Sign in' }).click();
	await expect(page.getByRole('heading', { name: 'Desk' })).toBeVisible();
}

/** Opens a view of a demo client from the Desk. */
export async function open(
	page: Page,
	client: string,
	view: 'Client' | 'Home' | 'Bench' | 'Block' | 'Set lab' | 'Log' | 'Sheet'
) {
	await page.goto('/');
	await page.getByRole('link', { name: client }).click();
	await page.getByRole('navigation', { name: 'Client' }).getByRole('link', { name: view }).click();
	await expect(page.getByRole('link', { name: view, exact: true })).toHaveAttribute('aria-current', 'page');
	await page.waitForLoadState('networkidle');
}

/** Saves the plan on the screen; lines that go with it are let go. */
export async function savePlan(page: Page) {
	await page.getByRole('button', { name: 'Save plan' }).click();
	const saved = page.getByRole('button', { name: 'Saved' });
	const allTheSame = page.getByRole('button', { name: 'Save all the same' });
	await expect(saved.or(allTheSame)).toBeVisible();
	if (await allTheSame.isVisible()) await allTheSame.click();
	await expect(saved).toBeVisible();
}
