import { expect, signIn, test } from './fixtures';
import { planned } from './phone';

const BLOCK = [
	'Block two;;;;;;',
	'Day;Order;Exercise;Sets;Reps;Weight (kg);Breather',
	'Monday;A1;Front squat;4;6;72,5;3',
	';A2;Push press;5;4;40;3',
	'Thursday;;Romanian deadlift;4;8 smooth;80;2'
].join('\r\n');

test('a programme from a file, a wrong guess mended, is read in the editor, and what is in force comes out as files', async ({
	page
}) => {
	await signIn(page);
	const id = await planned(page.request, 'Wilm Zandstra');
	await page.goto(`/clients/${id}/bench`);
	await page.getByRole('button', { name: 'Edit text' }).click();
	await page
		.getByLabel('From a file')
		.setInputFiles({ name: 'block two.csv', mimeType: 'text/csv', buffer: Buffer.from(BLOCK) });
	const taken = page.getByRole('dialog', { name: 'A programme from a file' });
	await expect(taken).toContainText('A1 Front squat 4 x 6 @ 72.5 kg');
	await expect(taken).toContainText('Passed over: Breather.');
	const preview = taken.getByRole('region', { name: 'As the editor will read it' });
	await expect(preview.locator('.unread')).toHaveText('smooth');
	await expect(preview).toContainText('Not understood and left out.');
	await taken.getByLabel('Column 7 holds').selectOption('rest');
	await expect(taken).toContainText('A1 Front squat 4 x 6 @ 72.5 kg, rest 180 s');
	await expect(taken).not.toContainText('Passed over');
	await taken.getByRole('button', { name: 'Put it in place of the text' }).click();
	await expect(page.getByLabel('Gym programme, as you would type it')).toHaveValue(
		/# Monday\nA1 Front squat 4 x 6/
	);
	await expect(page.getByText('Front squat 4 x 6, 72.5 kg, rest 180 s')).toBeVisible();

	// A file that is none says so, and the text stays.
	await page.getByLabel('From a file').setInputFiles({
		name: 'old.xls',
		mimeType: 'application/x',
		buffer: Buffer.from([0xd0, 0xcf, 0x11, 0xe0, 0])
	});
	await expect(taken.getByRole('alert')).toContainText('Save it as .xlsx or .csv');
	await taken.getByRole('button', { name: 'Leave it' }).click();

	const book = await page.request.get(`/api/clients/${id}/files/programme.xlsx`);
	expect(book.headers()['content-disposition']).toContain('Wilm Zandstra programme.xlsx');
	expect((await book.body()).subarray(0, 2).toString()).toBe('PK');
	const log = await page.request.get(`/api/clients/${id}/files/log.csv`);
	expect(await log.text()).toContain('Date,Exercise,Set,Load kg');
});
