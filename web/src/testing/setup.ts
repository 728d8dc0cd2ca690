import 'fake-indexeddb/auto';
import { afterEach, beforeEach, vi } from 'vitest';

/** Monday morning, by the phone's own clock. */
export const MONDAY = new Date(2026, 10, 23, 9, 0, 0);

beforeEach(() => {
	vi.useFakeTimers({
		now: MONDAY,
		toFake: [
			'Date',
			'setInterval',
			'clearInterval',
			'performance',
			'requestAnimationFrame',
			'cancelAnimationFrame'
		]
	});
	localStorage.clear();
});

afterEach(() => {
	vi.useRealTimers();
	vi.restoreAllMocks();
	vi.unstubAllGlobals();
});
