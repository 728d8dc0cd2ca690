import { expect, signIn, test } from './fixtures';

test("another coach is invited, sees nobody else's clients, and is taken out again", async ({
	page,
	browser
}) => {
	await signIn(page);
	await page.goto('/practice');
	await page.getByText('Accounts and passwords').click();
	await page.getByRole('button', { name: 'Invite a coach' }).click();
	const address = new URL((await page.getByLabel('Invitation').innerText()).trim());

	const there = await browser.newContext({ baseURL: new URL(page.url()).origin });
	const other = await there.newPage();
	await other.goto(address.pathname);
	await other.getByLabel('Your name').fill('Ottoline Brask');
	await other.getByLabel('Address').fill('brask@lockside.example');
	await other.getByLabel(/^Password/).fill('password123');
	await other.getByRole('button', { name: 'Make it and start' }).click();
	await expect(other.getByRole('alert')).toContainText('one of the first that would be guessed');
	await other.getByLabel(/^Password/).fill('seven-herons-waiting');
	await other.getByRole('button', { name: 'Make it and start' }).click();
	await other.waitForURL((url) => url.pathname === '/');
	await expect(other.getByText('Maren Ostholt')).toHaveCount(0);

	await other.goto('/practice');
	await other.getByText('Accounts and passwords').click();
	await other.getByLabel('Password now').fill('seven-herons-waiting');
	await other.getByLabel('New one').fill('nine-quiet-otters');
	await other.getByRole('button', { name: 'Change it' }).click();
	await expect(other.getByText('Wherever else you were signed in, you are out.')).toBeVisible();
	await expect(other.getByRole('button', { name: 'Invite a coach' })).toHaveCount(0);

	await page.reload();
	await page.getByText('Accounts and passwords').click();
	await page.getByRole('button', { name: 'Who changed what' }).click();
	await expect(page.getByText('Ottoline Brask: changed the own password')).toBeVisible();
	await page.getByRole('button', { name: 'Remove' }).last().click();
	await expect(page.getByText('Ottoline Brask is removed.')).toBeVisible();
	expect((await other.request.get('/api/desk')).status()).toBe(401);
	await there.close();
});
