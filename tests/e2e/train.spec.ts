import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { expect, signIn, test } from './fixtures';
import { kept, phone, planned, sync, TEXT } from './phone';

/** Sends from the Desk and reads the link out of the outbox. */
async function sendFromDesk(page: Page, name: string): Promise<string> {
	await page.goto('/');
	await page.getByRole('searchbox', { name: 'Find a client' }).fill(name);
	await page.getByRole('button', { name: 'Send it' }).click();
	await expect(page.getByText(`Done, ${name}`)).toBeVisible();
	await page.getByRole('link', { name: 'Outbox' }).click();
	const letter = page.getByRole('article');
	await expect(letter).toContainText('repetitions in all');
	const link = await letter.getByRole('link').getAttribute('href');
	expect(link).toMatch(/^\/train\/[\w-]{22}$/);
	return link ?? '';
}

test('a session trained from a link, with the signal gone and come back, is whole with the coach', async ({
	page,
	browser,
	baseURL
}) => {
	await signIn(page);
	const id = await planned(page.request, 'Wilm Zandstra');
	const link = await sendFromDesk(page, 'Wilm Zandstra');
	const [context, mobile] = await phone(browser, baseURL);
	await mobile.goto(link);
	await expect(mobile.getByRole('heading', { name: 'Hello Wilm' })).toBeVisible();
	await expect(mobile.getByText('works offline')).toBeVisible();
	await mobile.getByRole('button', { name: 'Begin' }).click();

	// The pacer counts three repetitions of three seconds.
	await mobile.getByRole('button', { name: 'Start the pacer' }).click();
	await mobile.clock.runFor(9_300);
	await expect(mobile.locator('[data-count]')).toHaveText('3');
	await mobile.getByRole('button', { name: 'Stop the pacer' }).click();

	// A reload in mid-set, as after a dead battery: the count is still there.
	await mobile.reload();
	await expect(mobile.locator('[data-count]')).toHaveText('3');
	await mobile.getByRole('button', { name: '2', exact: true }).click();
	await kept(mobile, () => mobile.getByRole('button', { name: /^Set done: 3/ }).click());
	await expect(sync(mobile)).toHaveText('All with the coach');

	// Without a signal: the page still starts, the next sets are kept on the phone and it says so.
	await context.setOffline(true);
	await mobile.clock.runFor(61_000);
	await mobile.reload();
	await mobile.getByRole('button', { name: 'Start now' }).click();
	await mobile.getByRole('button', { name: /^Set done/ }).click();
	await expect(sync(mobile)).toContainText('1 entry waits for a signal');
	await mobile.getByRole('button', { name: 'Start now' }).click();
	await mobile.getByRole('button', { name: /^Set done/ }).click();
	await expect(sync(mobile)).toContainText('2 entries wait for a signal');

	// The signal is back.
	await context.setOffline(false);
	await mobile.clock.runFor(21_000);
	await expect(sync(mobile)).toHaveText('All with the coach');

	// One side after the other, logged as one set.
	await mobile.getByRole('button', { name: /^Start/ }).click();
	await mobile.getByRole('button', { name: /^This side done/ }).click();
	await expect(mobile.getByText('Other side, set 1 of 2')).toBeVisible();
	await kept(mobile, () => mobile.getByRole('button', { name: /^Set done/ }).click());
	await expect(sync(mobile)).toHaveText('All with the coach');

	const progress = (await (await page.request.get(`/api/clients/${id}/progress`)).json()) as {
		lines: {
			line: number;
			logs: { setNumber: number; repetitions: number; reserve: number | null; restBefore: number | null }[];
		}[];
	};
	const sets = progress.lines[0]?.logs ?? [];
	expect(sets.map((s) => s.setNumber)).toEqual([1, 2, 3]);
	expect(sets[0]).toMatchObject({ repetitions: 3, reserve: 2, restBefore: null });
	expect(sets[1]?.restBefore).toBeGreaterThanOrEqual(61);
	expect(progress.lines[1]?.logs).toHaveLength(1);
	await context.close();
});

test('pain on the phone leaves out what loads the place, and waits first on the desk', async ({
	page,
	browser,
	baseURL
}) => {
	await signIn(page);
	await planned(page.request, 'Ode Terpstra');
	const link = await sendFromDesk(page, 'Ode Terpstra');
	const [context, mobile] = await phone(browser, baseURL);
	await mobile.goto(link);
	await mobile.getByRole('button', { name: 'Begin' }).click();
	await mobile.getByRole('button', { name: 'It hurts' }).click();
	await mobile.getByRole('button', { name: 'wrist' }).click();
	await mobile.getByRole('button', { name: '7', exact: true }).click();
	await expect(mobile.getByText('see a physician')).toBeVisible();
	await kept(mobile, () => mobile.getByRole('button', { name: 'Stop it' }).click());
	await expect(mobile.getByRole('heading', { name: 'Push-up' })).toBeHidden();
	await expect(sync(mobile)).toHaveText('All with the coach');

	await page.goto('/');
	const first = page.locator('[data-proposal]').first();
	await expect(first).toContainText('pain 7 of 10 at the wrist');
	await page.keyboard.press('ArrowDown');
	await page.keyboard.press('w');
	await expect(first).toContainText('nothing is raised until the coach clears it');
	await page.keyboard.press('l');
	await expect(page.getByText('Put off until tomorrow, Ode Terpstra')).toBeVisible();
	await page.keyboard.press('u');
	await expect(first).toContainText('pain 7 of 10 at the wrist');
	await context.close();
});

test('a chair that wobbles is swapped at once, and a checked one is passed by the coach', async ({
	page,
	browser,
	baseURL
}) => {
	await signIn(page);
	const id = await planned(page.request, 'Lieke Hofstra');
	const link = await sendFromDesk(page, 'Lieke Hofstra');
	const [context, mobile] = await phone(browser, baseURL);
	await mobile.goto(link);
	await mobile.getByRole('button', { name: 'Kitchen chair' }).click();
	for (let step = 0; step < 4; step++) await mobile.getByRole('button', { name: 'It held' }).click();
	await mobile.getByRole('button', { name: 'Send it to the coach' }).click();
	await expect(mobile.getByText('until it is passed, leave it out')).toBeVisible();
	await mobile.getByRole('button', { name: 'Back' }).click();
	await mobile.getByRole('button', { name: 'Begin' }).click();
	const before = await mobile.getByRole('heading', { level: 1 }).innerText();
	await mobile.getByRole('button', { name: 'This set-up wobbles' }).click();
	await expect(mobile.getByRole('heading', { level: 1 })).not.toHaveText(before);

	await page.goto('/');
	await page.getByRole('searchbox', { name: 'Find a client' }).fill('Lieke');
	await page.getByRole('button', { name: 'Pass it' }).click();
	await expect(page.getByText('Done, Lieke Hofstra')).toBeVisible();
	const places = (await (await page.request.get(`/api/clients/${id}/places`)).json()) as { id: string }[];
	const place = await (await page.request.get(`/api/clients/${id}/places/${places[0]?.id}`)).text();
	expect(place).toContain('"passed"');
	await context.close();
});

test('whoever trains in two places picks by where they are, and what is there decides', async ({
	page,
	browser,
	baseURL
}) => {
	await signIn(page);
	const id = await planned(page.request, 'Two Places');
	const added = await page.request.post(`/api/clients/${id}/places`, {
		data: { name: 'Rest room', kit: [], fixtures: [] }
	});
	expect(added.ok()).toBe(true);
	const plan = (await (await page.request.get(`/api/clients/${id}/plan`)).json()) as { version: number };
	await page.request.put(`/api/clients/${id}/plan`, {
		data: { text: TEXT, choices: [], version: plan.version }
	});
	const link = await sendFromDesk(page, 'Two Places');
	const [context, client] = await phone(browser, baseURL);
	await client.goto(link);
	const places = client.getByRole('group', { name: 'I am at' });
	await expect(places.getByRole('button', { name: 'Loft' })).toHaveAttribute('aria-pressed', 'true');
	await expect(client.getByText('Bells')).toBeVisible();
	await places.getByRole('button', { name: 'Rest room' }).click();
	await expect(client.getByText('Bells')).toHaveCount(0);
	await client.reload();
	await expect(places.getByRole('button', { name: 'Rest room' })).toHaveAttribute('aria-pressed', 'true');
	await context.close();
});

test('the page on the phone is accessible by day and by night, and a closed link says what to do', async ({
	page,
	browser,
	baseURL
}) => {
	await signIn(page);
	const id = await planned(page.request, 'Bas Wiersma');
	const link = await sendFromDesk(page, 'Bas Wiersma');
	const [context, mobile] = await phone(browser, baseURL);
	for (const theme of ['day', 'night']) {
		await mobile.addInitScript((chosen) => localStorage.setItem('ingegno-theme', chosen), theme);
		await mobile.goto(link);
		await expect(mobile.getByRole('button', { name: /Begin|Set done|Start/ }).first()).toBeVisible();
		expect((await new AxeBuilder({ page: mobile }).analyze()).violations).toEqual([]);
		if (theme === 'day') await mobile.getByRole('button', { name: 'Begin' }).click();
		expect((await new AxeBuilder({ page: mobile }).analyze()).violations).toEqual([]);
	}
	await page.request.delete(`/api/clients/${id}/links`);
	await mobile.getByRole('button', { name: /^Set done/ }).click();
	await expect(sync(mobile)).toContainText('The coach has closed this link');
	await expect(sync(mobile)).toContainText('1 entry not sent');
	await context.close();
});
