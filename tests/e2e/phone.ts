import type { APIRequestContext, Browser, BrowserContext, Page } from '@playwright/test';
import { expect, signIn } from './fixtures';

const PHONE = { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true };
export const MONDAY = '2026-11-23T09:05:00Z';
export const TEXT = [
	'Monday, upper',
	'Push-up 3 x 8 RPE 8, rest 1:30',
	'Dead bug 2 x 6 a side, rest 1:00',
	'Goblet squat 3 x 10 RPE 8, rest 1:30'
].join('\n');

export const HEALTH = {
	answers: [
		'heart',
		'bloodPressure',
		'chestPain',
		'dizziness',
		'pregnancy',
		'recentSurgery',
		'unexplainedJointPain'
	].map((question) => ({ question, applies: false }))
};

export const LOFT = {
	name: 'Loft',
	fixtures: [{ id: 'chair', name: 'Kitchen chair', kind: 'chair', height: 0.45 }],
	kit: [
		{
			kind: 'fixedWeights',
			id: 'bells',
			name: 'Bells',
			shape: 'dumbbell',
			weights: [{ mass: 12, count: 2 }]
		}
	]
};

/** A client of the test's own, with a plan saved and nothing sent yet. */
export async function planned(
	request: APIRequestContext,
	name: string,
	text: string | null = TEXT,
	home: object = LOFT
): Promise<string> {
	const made = await request.post('/api/clients', {
		data: {
			profile: {
				name,
				bodyMass: 70,
				stature: 1.7,
				sex: 'male',
				lifts: [{ exercise: 'push-up', load: 0, repetitions: 20 }],
				health: HEALTH
			},
			home
		}
	});
	expect(made.ok()).toBe(true);
	const { id } = (await made.json()) as { id: string };
	if (text !== null) await savedAs(request, id, text);
	return id;
}

export async function savedAs(request: APIRequestContext, id: string, text: string) {
	const { version } = (await (await request.get(`/api/clients/${id}/plan`)).json()) as { version: number };
	const saved = await request.put(`/api/clients/${id}/plan`, { data: { text, choices: [], version } });
	expect(saved.ok()).toBe(true);
}

/** Sends and reads the link out of the outbox; null where it is refused. */
export async function sent(request: APIRequestContext, id: string): Promise<string | null> {
	if (!(await request.post(`/api/clients/${id}/sending`)).ok()) return null;
	const [letter] = (await (await request.get('/api/outbox')).json()) as { text: string }[];
	return letter?.text.match(/\/train\/[\w-]{22}/)?.[0] ?? null;
}

export async function phone(
	browser: Browser,
	baseURL: string | undefined,
	time = MONDAY
): Promise<[BrowserContext, Page]> {
	const context = await browser.newContext({ ...PHONE, baseURL });
	const page = await context.newPage();
	await page.clock.install({ time: new Date(time) });
	return [context, page];
}

/** Somebody whose plan was sent and is open on their phone. */
export async function trainee(
	page: Page,
	browser: Browser,
	baseURL: string | undefined,
	name: string,
	time = MONDAY
) {
	await signIn(page);
	const id = await planned(page.request, name);
	const link = (await sent(page.request, id)) ?? '';
	const [context, mobile] = await phone(browser, baseURL, time);
	await mobile.goto(link);
	return { id, link, context, mobile };
}

/** Does something the server then acknowledges. */
export async function kept(page: Page, act: () => Promise<void>) {
	const answer = page.waitForResponse((response) => response.url().endsWith('/log') && response.ok());
	await act();
	await answer;
}

export const sync = (page: Page) => page.locator('[data-sync]');

/** Sets of a client as the coach's log has them: "line set repetitions". */
export async function storedSets(request: APIRequestContext, id: string): Promise<string[]> {
	const progress = (await (await request.get(`/api/clients/${id}/progress`)).json()) as {
		lines: { line: number; logs: { setNumber: number; repetitions: number }[] }[];
	};
	return progress.lines.flatMap((l) => l.logs.map((s) => `${l.line} ${s.setNumber} ${s.repetitions}`)).sort();
}

/** Sets as the phone shows them, in the order of the session: the repetitions of each. */
export async function shownSets(page: Page): Promise<string[]> {
	const list = page.locator('details', { hasText: 'Logged today' });
	if (!(await list.getAttribute('open').then((open) => open !== null))) await list.locator('summary').click();
	return list.locator('li b').allInnerTexts();
}
