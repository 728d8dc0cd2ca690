// Makes docs/screenshots anew from the demo data: npm run screenshots (after ./test or ./demo has built everything).
import { spawn } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { chromium } from '@playwright/test';

const root = fileURLToPath(new URL('../../', import.meta.url));
const port = await new Promise((resolve) => {
	const probe = createServer().listen(0, '127.0.0.1', () => {
		const { port } = probe.address();
		probe.close(() => resolve(port));
	});
});
const base = `http://127.0.0.1:${port}`;
const server = spawn('dotnet', [join(root, 'artifacts/bin/Ingegno.Server/release/Ingegno.Server.dll'), '--urls', base], {
	env: {
		...process.env,
		INGEGNO_DATA: mkdtempSync(join(tmpdir(), 'ingegno-pictures-')),
		INGEGNO_DEMO: '1',
		INGEGNO_NOW: '2026-11-23T09:00:00Z',
		ASPNETCORE_WEBROOT: join(root, 'web/build')
	},
	stdio: 'ignore'
});

const browser = await chromium.launch({
	executablePath: '/usr/bin/chromium',
	args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking', '--disable-component-update', '--disable-sync']
});
try {
	for (let tries = 0; tries < 400 && !(await fetch(`${base}/api/session`).catch(() => null))?.ok; tries++) {
		await new Promise((resolve) => setTimeout(resolve, 200));
	}
	const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, locale: 'en-GB', timezoneId: 'UTC' });
	await page.goto(`${base}/sign-in`);
	await page.evaluate(() => localStorage.setItem('ingegno-theme', 'day'));
	await page.getByLabel('Address').fill('coach@lockside.example');
	await page.getByLabel('Password').fill('floor-torn-up');
	await page.getByRole('button', { name: 'Sign in' }).click();
	await page.getByRole('heading', { name: 'Desk' }).waitFor();
	const rows = await (await page.request.get(`${base}/api/desk`)).json();
	const at = (name, view) => `${base}/clients/${rows.find((row) => row.name.startsWith(name)).id}/${view}`;

	await picture('desk', `${base}/`);
	await picture('log', at('Maren', 'log'));
	await picture('continuity', at('Maren', 'log?see=continuity'));
	await phone();
	await picture('client', at('Maren', 'profile'));
	await picture('practice', `${base}/practice`);
	await picture('catalogue', `${base}/catalogue?client=${rows.find((row) => row.name.startsWith('Joost')).id}&pattern=verticalPress&exercise=pike-push-up`);
	await picture('compare', at('Runa', 'bench'), async () => {
		await page.locator('[data-line]').first().waitFor();
		await page.keyboard.press('c');
		await page.getByRole('dialog').waitFor();
	});
	await picture('home', at('Maren', 'home'));
	await picture('surfaces', at('Maren', 'home'), () => page.keyboard.press('l'));
	await picture('bench', at('Maren', 'bench'), async () => {
		await page.locator('[data-line]').nth(1).click();
	});
	await picture('sheet', at('Maren', 'sheet'));
	await picture('block', at('Joost', 'block'), async () => {
		await page.keyboard.press('w');
		await page.getByRole('region', { name: 'The week as a whole' }).waitFor();
	});
	await picture('weeks', at('Runa', 'block?see=weeks'), async () => {
		await page.locator('tbody button').nth(14).click();
	});
	await picture('roster', `${base}/roster`, async () => {
		await page.keyboard.press('m');
		await page.getByText('7 moved').waitFor();
	});
	await picture('lab', at('Maren', 'bench'), async () => {
		await page.locator('[data-line]').nth(0).click();
		await page.getByRole('link', { name: 'Try this set in the lab' }).click();
		await page.getByRole('heading', { name: 'Set lab' }).waitFor();
		await page.getByRole('button', { name: 'effective reps' }).first().click();
	});
	await page.evaluate(() => localStorage.setItem('ingegno-theme', 'night'));
	await picture('bench-night', at('Tomas', 'bench'));

	/** The client's page in mid-set, on a phone whose clock is the server's. */
	async function phone() {
		const letters = await (await page.request.get(`${base}/api/outbox`)).json();
		const link = letters.find((letter) => letter.to.startsWith('Maren')).text.match(/\/train\/[\w-]+/)[0];
		const mobile = await browser.newPage({ viewport: { width: 390, height: 844 }, locale: 'en-GB', timezoneId: 'UTC' });
		await mobile.clock.install({ time: new Date('2026-11-23T17:30:00Z') });
		await mobile.goto(base + link);
		await mobile.getByRole('button', { name: 'Begin' }).click();
		await mobile.getByRole('button', { name: 'Start the pacer' }).click();
		await mobile.clock.runFor(16_300);
		await mobile.evaluate(() => document.fonts.ready);
		await mobile.screenshot({ path: join(root, 'docs/screenshots', 'phone.png'), animations: 'disabled' });
		await mobile.close();
	}

	async function picture(name, url, prepare = async () => {}) {
		await page.goto(url);
		await page.waitForLoadState('networkidle');
		await prepare();
		await page.waitForLoadState('networkidle');
		await page.evaluate(() => document.fonts.ready);
		await page.screenshot({ path: join(root, 'docs/screenshots', `${name}.png`), animations: 'disabled' });
	}
} finally {
	await browser.close();
	server.kill();
}
