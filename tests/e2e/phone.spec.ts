import type { Page, Route } from '@playwright/test';
import { expect, open, test } from './fixtures';
import { kept, savedAs, sent, shownSets, storedSets, sync, TEXT, trainee } from './phone';

const next = (mobile: Page) =>
	mobile.getByRole('button', { name: /^(Begin|Start now|Start the set|This side done.*|Set done.*)$/ });

/** Taps what is next in a session; false when there is nothing more. */
async function tapOn(mobile: Page): Promise<boolean> {
	const end = mobile.getByRole('heading', { name: /^Done: / });
	await expect(next(mobile).or(end).first()).toBeVisible();
	if (await end.isVisible()) return false;
	const words = await next(mobile).first().innerText();
	await next(mobile).first().click();
	await expect(next(mobile).or(end).first()).not.toHaveText(words);
	return true;
}

/** What a set is logged as is told by its button; tapping it logs one. */
async function logOne(mobile: Page) {
	for (let taps = 0; taps < 4; taps++) {
		await expect(next(mobile).first()).toBeVisible();
		const logs = (await next(mobile).first().innerText()).startsWith('Set done');
		await tapOn(mobile);
		if (logs) return;
	}
}

/** Every way an answer can fail; each keeps the set on the phone. */
const failures: [string, (route: Route) => Promise<void>][] = [
	['no signal', (route) => route.abort('internetdisconnected')],
	['500', (route) => route.fulfill({ status: 500, json: { title: 'Something went wrong here.' } })],
	[
		'503 of a proxy, in no JSON',
		(route) => route.fulfill({ status: 503, body: '<h1>busy</h1>', contentType: 'text/html' })
	],
	['409', (route) => route.fulfill({ status: 409, json: { title: 'In the meantime.' } })],
	['429', (route) => route.fulfill({ status: 429, body: '' })],
	[
		'half an answer',
		(route) => route.fulfill({ status: 200, body: '{"kept":[', contentType: 'application/json' })
	],
	[
		'an answer about nothing',
		(route) => route.fulfill({ json: { kept: [], refused: [], asked: [], today: '2026-11-23' } })
	],
	[
		'kept, and the answer lost on its way',
		async (route) => {
			await route.fetch();
			await route.abort('connectionreset');
		}
	]
];

test('a server that fails in every way loses no set and doubles none', async ({ page, browser, baseURL }) => {
	const { id, link, context, mobile } = await trainee(page, browser, baseURL, 'Fails Often');
	for (const [how, fails] of failures) {
		const log = `**/api${link.replace('train', 'link')}/log`;
		await mobile.route(log, fails);
		await logOne(mobile);
		await expect(sync(mobile), how).toHaveText(/^Saved on the phone, \d+ entr/);
		await mobile.unrouteAll({ behavior: 'wait' });
	}
	await mobile.clock.runFor(21_000);
	await expect(sync(mobile)).toHaveText('All with the coach');
	const stored = await storedSets(page.request, id);
	expect(stored.map((s) => s.split(' ').slice(0, 2).join(' '))).toEqual([
		'2 1',
		'2 2',
		'2 3',
		'3 1',
		'3 2',
		'4 1',
		'4 2',
		'4 3'
	]);
	expect((await shownSets(mobile)).map((s) => s.split(',')[0]?.split(' ')[0]).sort()).toEqual(
		stored.map((s) => s.split(' ')[2]).sort()
	);
	await context.close();
});

test('the network cut and the page reloaded at every step of a session changes nothing of it', async ({
	page,
	browser,
	baseURL
}) => {
	const { id, context, mobile } = await trainee(page, browser, baseURL, 'Cut Often');
	await expect(mobile.getByText('works offline')).toBeVisible();
	let step = 0;
	while (await tapOn(mobile)) {
		step++;
		await context.setOffline(step % 3 !== 0);
		if (step % 2 === 0) await mobile.reload();
		if (step % 3 === 0) await mobile.clock.runFor(21_000);
	}
	await context.setOffline(false);
	await mobile.clock.runFor(21_000);
	await expect(sync(mobile)).toHaveText('All with the coach');
	await expect(mobile.getByRole('heading', { name: 'Done: 8 sets' })).toBeVisible();
	expect(await storedSets(page.request, id)).toHaveLength(8);
	await context.close();
});

test('what an old link left on the phone is delivered by the new one', async ({ page, browser, baseURL }) => {
	const { id, link: old, context, mobile } = await trainee(page, browser, baseURL, 'New Link');
	await logOne(mobile);
	await expect(sync(mobile)).toHaveText('All with the coach');
	await page.request.delete(`/api/clients/${id}/links`);
	await logOne(mobile);
	await expect(sync(mobile)).toContainText('1 entry not sent. The coach has closed this link.');
	expect(await storedSets(page.request, id)).toHaveLength(1);
	await mobile.goto((await sent(page.request, id)) ?? '');
	await expect(sync(mobile)).toHaveText('All with the coach');
	expect(await storedSets(page.request, id)).toHaveLength(2);
	// The old address, opened again without a signal, sends by the new one too.
	await mobile.goto(old);
	await logOne(mobile);
	await expect(sync(mobile)).toHaveText('All with the coach');
	expect(await storedSets(page.request, id)).toHaveLength(3);
	await context.close();
});

test('a plan made shorter under way goes on with what is left of it', async ({ page, browser, baseURL }) => {
	const { id, context, mobile } = await trainee(page, browser, baseURL, 'Shorter Plan');
	for (let set = 0; set < 3; set++) await logOne(mobile);
	await savedAs(page.request, id, TEXT.split('\n').slice(0, 1).concat('Goblet squat 2 x 10').join('\n'));
	await sent(page.request, id);
	await mobile.reload();
	await expect(mobile.getByText(/[1-9]\d* min to go/)).toBeVisible();
	await logOne(mobile);
	await expect(sync(mobile)).toHaveText('All with the coach');
	await savedAs(page.request, id, 'Another day\nDead bug 2 x 6 a side');
	await sent(page.request, id);
	await mobile.reload();
	await expect(mobile.getByText(/1 exercise, about [1-9]\d* minutes?/)).toBeVisible();
	await open(page, 'Shorter Plan', 'Log');
	const gone = page.getByRole('region', { name: 'Not in the plan any more' });
	await expect(gone).toContainText('Push-up');
	await expect(gone.getByRole('listitem')).toHaveCount(2);
	await context.close();
});

test('a clock 400 days ahead is asked about once, and the coach may still correct', async ({
	page,
	browser,
	baseURL
}) => {
	const { id, context, mobile } = await trainee(
		page,
		browser,
		baseURL,
		'Clock Ahead',
		'2027-12-28T09:05:00Z'
	);
	await logOne(mobile);
	await expect(
		mobile.getByText('The clock of this phone is 400 days ahead. Which day was it?')
	).toBeVisible();
	await mobile.getByRole('button', { name: 'Mon 23 Nov' }).click();
	await expect(sync(mobile)).toHaveText('All with the coach');
	await logOne(mobile);
	await expect(sync(mobile)).toHaveText('All with the coach');
	await mobile.reload();
	await expect(mobile.getByText('Logged today: 2')).toBeVisible();
	await open(page, 'Clock Ahead', 'Log');
	const set = page.getByRole('group', { name: 'Push-up, set 1' });
	await set.getByLabel('done').fill('5');
	await set.getByLabel('left').fill('5-6');
	await page.getByRole('button', { name: 'Keep this day' }).click();
	await expect(page.getByText('Kept for')).toBeVisible();
	await page.reload();
	await expect(set.getByLabel('done')).toHaveValue('5');
	await expect(set.getByLabel('left')).toHaveValue('5-6');
	await context.close();
});

test('an edit made without a signal does not undo what the coach corrected since: the desk asks', async ({
	page,
	browser,
	baseURL
}) => {
	const { id, context, mobile } = await trainee(page, browser, baseURL, 'Told Twice');
	await logOne(mobile);
	await expect(sync(mobile)).toHaveText('All with the coach');
	await context.setOffline(true);
	await mobile.getByText('Logged today: 1').click();
	await mobile.getByRole('button', { name: 'Correct Push-up, set 1' }).click();
	await mobile.getByRole('button', { name: 'One less', exact: true }).click();
	await mobile.getByRole('button', { name: '7+', exact: true }).click();
	await mobile.getByRole('button', { name: 'Keep this' }).click();
	await expect(sync(mobile)).toContainText('1 entry waits for a signal');
	await open(page, 'Told Twice', 'Log');
	await page.getByRole('group', { name: 'Push-up, set 1' }).getByLabel('done').fill('4');
	await page.getByRole('button', { name: 'Keep this day' }).click();
	await expect(page.getByText('Kept for')).toBeVisible();
	await context.setOffline(false);
	await mobile.clock.runFor(21_000);
	await expect(mobile.getByText('the coach says which holds')).toBeVisible();
	expect(await storedSets(page.request, id)).toEqual(['2 1 4']);
	await page.goto('/');
	await page.getByRole('searchbox', { name: 'Find a client' }).fill('Told Twice');
	await expect(page.getByText('was told twice: 4, from')).toBeVisible();
	await page.getByRole('button', { name: 'Take that of the phone' }).click();
	await expect(page.getByText('Done, Told Twice')).toBeVisible();
	expect((await storedSets(page.request, id))[0]).not.toBe('2 1 4');
	await page.keyboard.press('u');
	await expect(page.getByText('was told twice: 4, from')).toBeVisible();
	await expect.poll(() => storedSets(page.request, id)).toEqual(['2 1 4']);
	await context.close();
});

test('a page that fails says what waits, saves it to a file, and opens again', async ({
	page,
	browser,
	baseURL
}) => {
	const { id, link, context, mobile } = await trainee(page, browser, baseURL, 'Plain Screen');
	await expect(mobile.getByRole('button', { name: 'Begin' })).toBeVisible();
	await context.setOffline(true);
	await logOne(mobile);
	await expect(sync(mobile)).toContainText('1 entry waits');
	await mobile.route('**/log', (route) => route.abort());
	await context.setOffline(false);
	const opening = `**/api${link.replace('train', 'link')}`;
	await mobile.route(opening, async (route) => {
		const view = (await (await route.fetch()).json()) as { programme: { places: unknown[] } };
		await route.fulfill({ json: { ...view, programme: { ...view.programme, places: [null] } } });
	});
	await mobile.reload();
	await expect(mobile.getByRole('heading', { name: 'This page could not be shown' })).toBeVisible();
	await expect(mobile.getByRole('list', { name: 'Not with the coach yet' })).toContainText('push up, set 1');
	const saving = mobile.waitForEvent('download');
	await mobile.getByRole('button', { name: 'Save them to a file' }).click();
	const file = await (await saving).path();
	await mobile.unroute(opening);
	await mobile.reload();
	await expect(sync(mobile)).toContainText('1 entry waits');
	// The coach takes the file in; what the phone sends later is the same set.
	await open(page, 'Plain Screen', 'Log');
	await page.getByLabel('From a file').setInputFiles(file);
	await expect(page.getByText('are in the log')).toBeVisible();
	expect(await storedSets(page.request, id)).toHaveLength(1);
	await mobile.unroute('**/log');
	await mobile.clock.runFor(21_000);
	await expect(sync(mobile)).toHaveText('All with the coach');
	expect(await storedSets(page.request, id)).toHaveLength(1);
	await context.close();
});

test('who cannot do one says so, and the coach is told to rebuild the line', async ({
	page,
	browser,
	baseURL
}) => {
	const { id, context, mobile } = await trainee(page, browser, baseURL, 'Not Yet');
	await mobile.getByRole('button', { name: 'Begin' }).click();
	const notOne = mobile.getByRole('button', { name: 'Not one would go' });
	for (let set = 1; set <= 3; set++) {
		await expect(mobile.getByRole('heading', { level: 1 })).toHaveText('Push-up');
		await kept(mobile, () => notOne.click());
		if (set < 3) await mobile.getByRole('button', { name: /^Start/ }).click();
	}

	expect(await storedSets(page.request, id)).toEqual(['2 1 0', '2 2 0', '2 3 0']);
	await open(page, 'Not Yet', 'Log');
	await expect(
		page.getByText('Rebuild this line with an easier variation: not one repetition of push-up was done.')
	).toBeVisible();
	await context.close();
});
