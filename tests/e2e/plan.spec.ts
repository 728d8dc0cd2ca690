import type { Page } from '@playwright/test';
import { expect, open, savePlan, signIn, test } from './fixtures';

/** The demo with its weeks of training behind it. */
test.use({ demo: 'trained' });

/** Every row of the bench in words, session by session. */
async function bench(page: Page): Promise<string[]> {
	const rows: string[] = [];
	const sessions = page.getByRole('group', { name: 'Session' }).getByRole('button');
	await expect(sessions.first()).toBeVisible();
	for (let i = 0; i < (await sessions.count()); i++) {
		await sessions.nth(i).click();
		await expect(sessions.nth(i)).toHaveAttribute('aria-pressed', 'true');
		await expect(page.locator('[data-line]').first()).toBeVisible();
		rows.push(...(await page.locator('[data-line] > div:nth-child(3)').allInnerTexts()));
	}
	return rows;
}

/** Exercise, dose and rest of every line somebody's phone was sent last. */
async function phone(page: Page, client: string): Promise<string[]> {
	const letters = (await (await page.request.get('/api/outbox')).json()) as { to: string; text: string }[];
	const token = /\/train\/([A-Za-z0-9_-]{22})/.exec(letters.find((l) => l.to === client)?.text ?? '')?.[1];
	const view = await (await page.request.get(`/api/link/${token}`)).json();
	return view.programme.places[0].sessions.flatMap(
		(s: { lines: { prescription: Record<string, unknown> }[] }) =>
			s.lines.map((l) => {
				const { name, countInWords, loadInWords, tempo, rest } = l.prescription;
				return `${name}: ${countInWords}, ${loadInWords}, ${tempo}, rest ${rest}`;
			})
	);
}

test('weeks into training one rest is changed, and every other line stands on every view', async ({
	page
}) => {
	await signIn(page);
	await open(page, 'Runa Castellane', 'Sheet');
	const sheet = await page.getByRole('article').innerText();
	await open(page, 'Runa Castellane', 'Bench');
	await expect(page.getByRole('button', { name: 'Saved' })).toBeVisible();
	const before = await bench(page);
	expect(before).toHaveLength(7);
	expect(before.filter((row) => row.includes('afresh:')).length).toBeGreaterThan(3);

	await page.getByRole('button', { name: 'Edit text' }).click();
	const text = page.getByLabel('Gym programme');
	await text.fill(
		(await text.inputValue()).replace(
			'Barbell row 4 x 8 RPE 8, rest 2:00',
			'Barbell row 4 x 8 RPE 8, rest 2:30'
		)
	);
	await page.getByRole('button', { name: 'Rebuild for this home' }).click();
	await expect(page.locator('[data-line]').nth(2)).toContainText('2:30');
	await savePlan(page);
	await page.reload();
	const after = await bench(page);
	expect(after.filter((row, i) => row !== before[i])).toHaveLength(1);
	expect(after[2]).toContain('2:30');
	expect(after[2]?.replace('2:30', '2:00').split('\n')[0]).toBe(before[2]?.split('\n')[0]);

	// The log asks what it asked, and the list says what became of the line.
	await open(page, 'Runa Castellane', 'Log');
	const history = page.getByRole('region', { name: 'History of Barbell row' });
	await history.getByRole('button', { name: 'How it came here' }).click();
	await expect(history).toContainText(/The text was changed: 1 line/);

	// The sheet differs in that rest alone, and in the day it was saved.
	await open(page, 'Runa Castellane', 'Sheet');
	const said = (text: string) =>
		text
			.replaceAll('2:30', '2:00')
			.replaceAll(/\d+ min/g, '')
			.replaceAll(/\d+ Nov/g, '');
	expect(said(await page.getByRole('article').innerText())).toBe(said(sheet));

	// What the phone has stays until it is sent anew; then that rest is new, and what training brought before.
	await page.goto('/');
	await page.getByRole('button', { name: 'Send it' }).first().click();
	// That very line: others rest 150 s as they are, also in what was sent before.
	await expect
		.poll(async () => (await phone(page, 'Runa Castellane')).find((l) => l.startsWith('Barbell row')))
		.toContain('rest 150');
	const phones = await phone(page, 'Runa Castellane');
	for (const row of after)
		expect(phones.some((l) => row.includes(l.split(': ')[1]?.split(',')[0] ?? '?'))).toBe(true);
});

test('what is taken afresh is taken back from the list', async ({ page }) => {
	await signIn(page);
	await open(page, 'Maren Ostholt', 'Bench');
	const row = page.locator('[data-line]').first();
	const was = (await row.locator('> div:nth-child(3)').innerText()).split('\n').slice(0, 2).join(' ');
	await row.getByRole('button', { name: /^Take afresh/ }).click();
	await expect(row).toContainText('leave it as it was in force');
	await savePlan(page);
	await page.keyboard.press('h');
	const history = page.getByRole('region', { name: /^History of/ });
	await expect(history.getByRole('listitem').first()).toContainText('Taken afresh');
	await history
		.getByRole('listitem')
		.first()
		.getByRole('button', { name: /^Take back/ })
		.click();
	await expect(history.getByRole('listitem').first()).toContainText('taken back');
	await expect
		.poll(async () => (await row.locator('> div:nth-child(3)').innerText()).split('\n').slice(0, 2).join(' '))
		.toBe(was);
});
