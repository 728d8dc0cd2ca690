// Times the reach chart in the browser: from a change in the home to the chart drawn anew. Goal: under 100 ms.
// node reach-speed.mjs ADDRESS, against a running demo; prints the median of eleven changes and its parts.
import { chromium } from '@playwright/test';

const base = process.argv[2] ?? 'http://127.0.0.1:5080';
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu'] });
try {
	const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
	await page.goto(`${base}/sign-in`);
	await page.getByLabel('Address').fill('coach@lockside.example');
	await page.getByLabel('Password').fill('floor-torn-up');
	await page.getByRole('button', { name: 'Sign in' }).click();
	await page.getByRole('heading', { name: 'Desk' }).waitFor();
	const rows = await (await page.request.get(`${base}/api/desk`)).json();
	await page.goto(`${base}/clients/${rows.find((row) => row.name.startsWith('Maren')).id}/home`);
	await page.getByRole('list', { name: 'Reach by strength family' }).waitFor();
	const times = await page.evaluate(async () => {
		const button = [...document.querySelectorAll('button')].find((b) => b.textContent === 'ground outdoors');
		const list = document.querySelector('[aria-label="Reach by strength family"]');
		const times = [];
		for (let i = 0; i < 12; i++) {
			const from = performance.now();
			await new Promise((resolve) => {
				new MutationObserver((_, observer) => {
					observer.disconnect();
					requestAnimationFrame(() => requestAnimationFrame(resolve));
				}).observe(list, { subtree: true, childList: true, characterData: true, attributes: true });
				button.click();
			});
			const last = performance.getEntriesByType('resource').filter((e) => e.name.includes('/places/')).at(-1);
			times.push({ whole: performance.now() - from, answer: last.responseEnd - last.startTime });
			await new Promise((resolve) => requestIdleCallback(resolve));
		}
		return times.slice(1);
	});
	const median = (list) => list.sort((a, b) => a - b)[Math.floor(list.length / 2)].toFixed(0);
	console.log(`change to drawn: ${median(times.map((t) => t.whole))} ms, of it the answer: ${median(times.map((t) => t.answer))} ms`);
} finally {
	await browser.close();
}
