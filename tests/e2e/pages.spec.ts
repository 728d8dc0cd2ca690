import { expect, signIn, test } from './fixtures';
import { LOFT, phone, planned, sent } from './phone';

/** Two of everything, all called the same. */
const LIKE = {
	name: 'Flat',
	fixtures: [1, 2, 3].map((n) => ({ id: `chair${n}`, name: 'Chair', kind: 'chair', height: 0.45 })),
	kit: [1, 2].map((n) => ({
		kind: 'fixedWeights',
		id: `bells${n}`,
		name: 'Bells',
		shape: 'dumbbell',
		weights: [
			{ mass: 8, count: 2 },
			{ mass: 12, count: 2 }
		]
	}))
};
const LINES = [
	'Push-up 3x8',
	'Goblet squat 3x10',
	'Dead bug 3x6 a side',
	'Bench press 4x8 60 kg',
	'Barbell row 4x8'
];
const written: { name: string; home: object; text: string | null; sends: boolean }[] = [
	{
		name: 'Like Names',
		home: LIKE,
		text: [
			'Full body',
			'Push-up 3x8',
			'Push-up 3x8',
			'',
			'Full body',
			'Push-up 3x8',
			'Goblet squat 3x8'
		].join('\n'),
		sends: true
	},
	{ name: 'No Headings', home: { name: 'x' }, text: 'Push-up 3x8\nGlute bridge 3x8', sends: true },
	{
		name: 'Three Hundred',
		home: LIKE,
		text: Array.from(
			{ length: 6 },
			() => `Day\n${Array.from({ length: 50 }, (_, i) => LINES[i % 5]).join('\n')}`
		).join('\n\n'),
		sends: true
	},
	{ name: 'Long Heading', home: LOFT, text: `${'x'.repeat(10_000)}\nPush-up 3x8`, sends: true },
	{ name: 'Headings Only', home: LOFT, text: 'Monday\n\nTuesday', sends: false },
	{ name: 'No Plan', home: LIKE, text: null, sends: false }
];
const views = [
	'profile',
	'home',
	'bench',
	'block',
	'block?see=weeks',
	'lab',
	'log',
	'log?see=continuity',
	'log?see=return',
	'sheet'
];

/** Pages that go on asking after they are drawn. */
const IDLE = new Set(['home', 'bench', 'block', 'lab']);

for (const { name, home, text, sends } of written)
	test(`every page and the phone's are drawn: ${name.toLowerCase()}`, async ({ page, browser, baseURL }) => {
		await signIn(page);
		const id = await planned(page.request, name, text, home);
		for (const view of views) {
			await page.goto(`/clients/${id}/${view}`);
			await expect(page.getByRole('heading').first(), view).toBeAttached();
			await expect(page.getByText('This page did not open.'), view).toHaveCount(0);
			if (IDLE.has(view)) await page.waitForLoadState('networkidle');
			expect(
				await page.evaluate(() => document.documentElement.scrollWidth - innerWidth),
				view
			).toBeLessThanOrEqual(1);
		}
		for (const path of ['/', '/roster', '/outbox']) {
			await page.goto(path);
			await expect(page.getByRole('heading').first(), path).toBeAttached();
		}
		const link = await sent(page.request, id);
		expect(link !== null).toBe(sends);
		if (!link) return;
		const [context, mobile] = await phone(browser, baseURL);
		const wrong: string[] = [];
		mobile.on('pageerror', (error) => wrong.push(error.message));
		await mobile.goto(link);
		await mobile.getByRole('button', { name: 'Begin' }).click();
		await mobile.getByRole('button', { name: /^(Set|This side) done/ }).click();
		await expect(mobile.locator('[data-sync]')).toHaveText('All with the coach');
		expect(
			await mobile.evaluate(() => document.documentElement.scrollWidth - innerWidth)
		).toBeLessThanOrEqual(1);
		expect(wrong).toEqual([]);
		await context.close();
	});
