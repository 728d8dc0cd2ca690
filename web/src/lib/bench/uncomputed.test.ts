import { describe, expect, it } from 'vitest';
import type { RebuiltLine } from '$lib/api/client';
import { ofUncomputed } from './uncomputed';

const line = (outcome: string, kind: string, planned: number[], count: string, counts: number[]) =>
	({
		outcome,
		written: { sets: planned.map((n) => ({ kind, planned: [n] })) },
		chosen: { prescription: { count, counts } }
	}) as unknown as RebuiltLine;

describe('a line whose effort is not computed', () => {
	it('stays', () =>
		expect(ofUncomputed(line('unchanged', 'seconds', [30, 30], 'seconds', [30, 30]))).toBe('unchanged'));
	it('keeps its count in another exercise', () =>
		expect(ofUncomputed(line('swapped', 'seconds', [30, 30], 'seconds', [30, 30]))).toBe('same count'));
	it('is counted in steps where metres cannot be walked', () =>
		expect(ofUncomputed(line('swapped', 'metres', [20, 20], 'steps', [20, 20]))).toBe('counted its own way'));
	it('is done for more where it is easier', () =>
		expect(ofUncomputed(line('swapped', 'repetitions', [5], 'repetitions', [12]))).toBe(
			'counted its own way'
		));
});
