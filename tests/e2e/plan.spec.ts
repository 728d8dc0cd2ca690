import type { Page } from '@playwright/test';
import { expect, open, savePlan, signIn, test } from './fixtures';
import { bare, readPdf, type PrintedPage } from './printed';
import type { components } from '../../web/src/lib/api/schema';

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

type SheetView = components['schemas']['SheetView'];
type SheetLine = components['schemas']['SheetLine'];

test('the sheet the server writes and the page the browser prints are the same sheet', async ({ page }) => {
	await signIn(page);
	const clients = (await (await page.request.get('/api/roster')).json()) as { id: string; name: string }[];
	// Six exercises on a page, and six that take two on the shorter paper.
	for (const { id, name } of clients.filter((c) => /^(Maren|Tomas)/.test(c.name))) {
		const view = (await (await page.request.get(`/api/clients/${id}/sheet`)).json()) as SheetView;
		await page.goto(`/clients/${id}/sheet`);
		for (const [paper, format] of [
			['a4', 'A4'],
			['letter', 'Letter']
		] as const) {
			await page.getByLabel('Paper').selectOption(paper);
			await expect(page.locator('article > section')).toHaveCount(view[paper].length);
			const printed = await readPdf(await page.pdf({ format }));
			const written = await readPdf(
				await (await page.request.post(`/api/clients/${id}/sheet.pdf?paper=${paper}`)).body()
			);
			expect(printed.length, `${name}, ${paper}`).toBe(view[paper].length);
			expect(written.length, `${name}, ${paper}`).toBe(view[paper].length);
			for (const [at, laid] of view[paper].entries()) {
				const session = view.sheet.sessions[laid.session]!;
				const lines = session.lines.slice(laid.from, laid.from + laid.count);
				const [theirs, ours] = [printed[at]!, written[at]!];
				for (const side of [theirs, ours]) {
					const text = bare(side.text);
					for (const said of [
						session.title,
						view.sheet.caution,
						...session.care,
						...lines.flatMap((l) =>
							l.leftOut
								? [l.name, l.leftOut]
								: [l.name, l.dose, l.how, l.with, ...l.setUp, l.cues[0] ?? '', l.gym, ...l.behind]
						)
					])
						expect(text.toLowerCase(), `${name}, ${paper}, page ${at + 1}`).toContain(
							bare(said).toLowerCase()
						);
					// A quarter of an inch is what most printers leave white (common practice).
					for (const edge of [
						[0, 0, side.width, 18],
						[0, side.height - 18, side.width, side.height],
						[0, 0, 18, side.height],
						[side.width - 18, 0, side.width, side.height]
					] as const)
						expect(side.ink(...edge), `${name}, ${paper}, page ${at + 1}`).toBe(0);
				}
				// All the same words; of the cues of a full page one more may stand in a line.
				const [much, more] = [bare(theirs.text).length, bare(ours.text).length];
				if (laid.full) expect(Math.abs(much - more)).toBeLessThan(40);
				else expect(more).toBe(much);
				for (const line of lines.filter((l) => !l.leftOut)) {
					const [there, here] = [look(theirs, line), look(ours, line)];
					expect(there.name).toBeCloseTo(here.name, 0);
					expect(there.dose).toBeCloseTo(here.dose, 0);
					expect(Math.abs(there.y - here.y) / ours.height, `${name}, ${line.name}`).toBeLessThan(0.08);
					// A figure beside it, about as dark.
					expect(there.figure, line.name).toBeGreaterThan(0.02);
					expect(here.figure / there.figure, line.name).toBeGreaterThan(0.5);
					expect(here.figure / there.figure, line.name).toBeLessThan(2);
				}
			}
		}
	}
});

/** Sizes of a line's name and dose in points, where it stands, and how dark the column of figures is beside it. */
function look(page: PrintedPage, line: SheetLine) {
	const name = page.pieces.find((p) => bare(p.text).endsWith(bare(line.name)))!;
	const dose = page.pieces.find((p) => p.y > name.y && bare(line.dose).startsWith(bare(p.text)))!;
	return { name: name.size, dose: dose.size, y: name.y, figure: page.ink(36, name.y - 8, 148, name.y + 60) };
}
