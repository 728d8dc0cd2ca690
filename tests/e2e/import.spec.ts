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

const WEEKS = [
	',,Week 1,,Week 2,',
	'Day,Exercise,Sets,Reps,Sets,Reps',
	'Monday,Goblet squat,3,8,4,6',
	'Friday,Push-up,3,10,3,12'
].join('\n');

test('a file of weeks: the first is trained, the next takes its place when the coach goes on, and one step back is a step back', async ({
	page
}) => {
	await signIn(page);
	const id = await planned(page.request, 'Evert Lindqvist');
	await page.goto(`/clients/${id}/bench`);
	await page.getByRole('button', { name: 'Edit text' }).click();
	await page
		.getByLabel('From a file')
		.setInputFiles({ name: 'weeks.csv', mimeType: 'text/csv', buffer: Buffer.from(WEEKS) });
	const taken = page.getByRole('dialog', { name: 'A programme from a file' });
	await expect(taken).toContainText('Week 1 comes first; what stands behind it waits in the text');
	await taken.getByRole('button', { name: 'Put it in place of the text' }).click();
	await expect(page.getByRole('region', { name: 'Read as' })).toContainText(
		'Week 2: waits as typed, 5 lines'
	);
	await page.getByRole('button', { name: 'Rebuild for this home' }).click();
	const goOn = page.getByRole('button', { name: 'Go on to week 2' });
	await expect(page.getByText('Week 1', { exact: true })).toBeVisible();
	await goOn.click();
	await expect(page.getByText('Week 2', { exact: true })).toBeVisible();
	await expect(page.locator('[data-line]').first()).toContainText('4 x 6');
	await expect(goOn).toBeHidden();
	await page.keyboard.press('z');
	await expect(goOn).toBeVisible();
	await expect(page.locator('[data-line]').first()).toContainText('3 x 8');
});
