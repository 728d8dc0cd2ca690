import { expect, signIn, test } from './fixtures';
import { planned } from './phone';

test('the sheet shows how to stand, goes out as a PDF with a code, and the days go to a calendar', async ({
	page
}) => {
	await signIn(page);
	const id = await planned(page.request, 'Wilm Zandstra');
	await page.goto(`/clients/${id}/sheet`);
	const line = page.locator('article section section').first();
	await expect(line.getByRole('img')).toBeVisible();
	await expect(line.locator('h4')).not.toBeEmpty();

	const [file] = await Promise.all([
		page.waitForEvent('download'),
		page.getByRole('button', { name: 'As a PDF' }).click()
	]);
	expect(file.suggestedFilename()).toBe('Wilm Zandstra sheet.pdf');

	await page.goto(`/clients/${id}/profile`);
	await page.getByRole('button', { name: 'Make an address' }).click();
	const address = await page.getByLabel('Address of the calendar').inputValue();
	const days = await page.request.get(new URL(address).pathname + new URL(address).search);
	expect(days.headers()['content-type']).toContain('text/calendar');
	expect(await days.text()).toContain('BEGIN:VCALENDAR');
});

test('a client goes out as a case file, is erased with a receipt, and comes back from the file', async ({
	page
}) => {
	await signIn(page);
	const id = await planned(page.request, 'Wilm Zandstra');
	const out = await page.request.get(`/api/clients/${id}/files/case.json`);
	await page.goto(`/clients/${id}/profile`);
	await page.getByText('Erase everything about this client').click();
	await page.getByLabel('Their whole name').fill('Wilm Zandstra');
	await page.getByRole('button', { name: 'Erase for good' }).click();
	await expect(page.getByText(/^Erased: \d+ entries/)).toBeVisible();
	expect((await page.request.get(`/api/clients/${id}`)).status()).toBe(404);

	await page.goto('/clients/new');
	await page
		.getByLabel('Case file or ZIP')
		.setInputFiles({ name: 'wilm.json', mimeType: 'application/json', buffer: await out.body() });
	await page.getByRole('button', { name: 'Bring Wilm in' }).click();
	await page.waitForURL(/\/clients\/[^/]+\/bench/);
	await expect(page.getByText('Wilm Zandstra').first()).toBeVisible();
	await expect(page.getByRole('button', { name: 'Saved' })).toBeVisible();
});
