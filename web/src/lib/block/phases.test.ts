import { expect, test } from 'vitest';
import type { BlockWeek } from '$lib/api/client';
import { easierWeek, firstBlock, nextMonday } from './phases';

// 23 November 2026 is a Monday.
test.each([
	[23, '2026-11-23'],
	[24, '2026-11-30'],
	[28, '2026-11-30'],
	[29, '2026-11-30'],
	[30, '2026-11-30']
])('on the %i. the next Monday is %s', (day, monday) => {
	expect(nextMonday(new Date(2026, 10, day, 23, 30))).toBe(monday);
});

test('a week is made easier and in full again, whichever day of it was kept', () => {
	const block = firstBlock('2026-11-23');
	const week = { starts: '2026-11-30' } as BlockWeek;
	const eased = easierWeek(block, week);
	expect(eased.easier).toEqual(['2026-11-30']);
	expect(easierWeek(eased, week).easier).toEqual([]);
	expect(easierWeek({ ...block, easier: ['2026-12-02'] }, week).easier).toEqual([]);
	expect(easierWeek({ ...block, easier: ['2026-12-07'] }, week).easier).toEqual(['2026-12-07', '2026-11-30']);
	expect(easierWeek(block, { starts: null } as BlockWeek)).toBe(block);
});
