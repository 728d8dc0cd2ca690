import { expect, open, signIn, test } from './fixtures';

/** As it comes out of a message: bullets, shorthand, slips, two lines nobody can read. */
const MESSY = [
	'Full body',
	'- [x] Push-ups 3x12',
	'• DB bnech press 3 sets of 10 @ 2x12 kg',
	'SL RDL 3x8/side, 3 s down',
	'Paused goblet squat 3x8 + 5 pulses',
	'Power thing 3x8',
	'Plank x 3'
].join('\n');

test('a messy programme is read word by word, and what was not is mended from the keyboard', async ({
	page
}) => {
	await signIn(page);
	await open(page, 'Maren Ostholt', 'Bench');
	await page.keyboard.press('e');
	const text = page.getByLabel('Gym programme, as you would type it');
	await text.fill(MESSY);
	const problems = page.getByRole('list', { name: 'What could not be read' });
	await expect(problems).toContainText('"DB bnech press" is read as dumbbell bench press');
	await expect(problems).toContainText('paused beside it');
	await expect(problems).toContainText('Plank is held: write seconds');
	const readings = page.getByRole('region', { name: 'Read as' });
	await expect(readings).toContainText('One-leg Romanian deadlift 3 x 8, a side, tempo 3-0-1-0');
	await expect(readings).toContainText('Goblet squat 3 x 8, tempo 2-2-1-0, 5 pulses');
	await expect(readings).toContainText('Power thing 3 x 8: no exercise of this name');

	// What a name means is answered from the line by one key, once for all.
	await text.press('Control+Home');
	for (let i = 0; i < 5; i++) await text.press('ArrowDown');
	const options = problems.getByRole('listitem').filter({ hasText: 'Power thing' });
	await expect(options.getByRole('button', { name: /^1/ })).toBeVisible();
	const meant = (await options.getByRole('button', { name: /^1/ }).innerText()).replace(/^1\s*/, '');
	await text.press('Alt+Shift+Digit1');
	await expect(readings).toContainText(`${meant} 3 x 8`);
	await expect(problems).not.toContainText('Power thing');
	await expect(text).toHaveValue(MESSY);

	await text.fill(
		MESSY.replace('Power thing', 'Pendlay row').replace('Plank x 3', 'Plank 3x30s').replace('bnech', 'bench')
	);
	await expect(problems).not.toContainText('Plank is held');
	await page.keyboard.press('Control+Enter');
	for (const name of [
		'Push-up',
		'Dumbbell bench press',
		'One-leg Romanian deadlift',
		'Goblet squat',
		'Dead-stop barbell row'
	])
		await expect(page.getByText(name).first()).toBeVisible();

	// The practice remembers it, and may forget it.
	await page.getByRole('link', { name: 'Practice' }).click();
	await expect(page.getByText(`is the ${meant}`)).toBeVisible();
	await page.getByRole('button', { name: 'Forget Power thing' }).click();
	await expect(page.getByText(`is the ${meant}`)).toHaveCount(0);
});
