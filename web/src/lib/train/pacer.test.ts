import { expect, test, vi } from 'vitest';
import { Pacer } from './pacer.svelte';

const SLOW = [
	{ word: 'down', seconds: 3 },
	{ word: 'hold', seconds: 1 },
	{ word: 'up', seconds: 1 }
];

function pacer(phases = SLOW) {
	const told: number[] = [];
	const one = new Pacer(phases, (count) => told.push(count));
	one.sound = false;
	return { one, told };
}

test('counts a repetition every five seconds of 3-1-1-0 and says where in it one is', () => {
	const { one, told } = pacer();
	one.start();
	vi.advanceTimersByTime(3_500);
	expect([one.count, one.phase]).toEqual([0, 1]);
	expect(one.part).toBeCloseTo(0.5, 1);
	vi.advanceTimersByTime(1_000);
	expect(one.phase).toBe(2);
	vi.advanceTimersByTime(11_000);
	expect(one.count).toBe(3);
	expect(told).toEqual([1, 2, 3]);
});

test('a hold counts seconds', () => {
	const { one } = pacer([]);
	one.start();
	vi.advanceTimersByTime(7_200);
	expect(one.count).toBe(7);
});

test('a count put right goes on from there', () => {
	const { one, told } = pacer();
	one.start();
	vi.advanceTimersByTime(12_000);
	one.correct(5);
	vi.advanceTimersByTime(5_100);
	expect(one.count).toBe(6);
	expect(told).toEqual([1, 2, 5, 6]);
	one.correct(-3);
	expect(one.count).toBe(0);
});

test('stopped it counts no more, and a set found again starts at its count', () => {
	const { one } = pacer();
	one.start();
	vi.advanceTimersByTime(5_100);
	one.stop();
	vi.advanceTimersByTime(60_000);
	expect(one.count).toBe(1);
	one.set(SLOW, 4);
	one.start();
	vi.advanceTimersByTime(5_100);
	expect(one.count).toBe(5);
});
