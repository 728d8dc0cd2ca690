import type { Joint, LinkLine, LinkSession, LinkView, SetLog } from '$lib/api/client';

/** A line as a link brings it; only what a session is run by is filled in. */
export function line(
	number: number,
	exercise: string,
	joints: Joint[] = [],
	instead: LinkLine[] = []
): LinkLine {
	return {
		line: number,
		tag: '',
		prescription: { exercise, name: exercise, load: 10 } as LinkLine['prescription'],
		pace: [],
		joints,
		lighter: 2,
		easier: 1,
		instead,
		uses: [],
		behind: [],
		leavesOut: []
	};
}

/** Three sets a line, one line after the other, 90 s of rest. */
export function session(title: string, lines: LinkLine[]): LinkSession {
	return {
		title,
		key: title,
		length: 1800,
		layOut: [],
		warmUp: [],
		coolDown: [],
		lines,
		steps: lines.flatMap((l) =>
			[1, 2, 3].map((set) => ({ line: l.line, set, count: 8, rest: 90, lasts: 120 }))
		)
	};
}

export function view(sessions: LinkSession[], more: Partial<LinkView> = {}): LinkView {
	return {
		clientId: 'somebody',
		programme: {
			client: 'Somebody',
			unit: 'kilogram',
			places: [{ id: 'home', name: 'Home', sessions } as LinkView['programme']['places'][number]],
			weeks: [],
			cautions: []
		},
		sentAt: '2026-11-22T09:00:00Z',
		today: '2026-11-23',
		expires: '2026-12-23T09:00:00Z',
		done: [],
		notes: [],
		toLimit: null,
		calibrates: [],
		heldBack: [],
		...more
	};
}

export function set(line: number, setNumber: number, on = '2026-11-23', more: Partial<SetLog> = {}): SetLog {
	return {
		id: crypto.randomUUID(),
		line,
		exercise: 'goblet-squat',
		on,
		setNumber,
		load: 10,
		repetitions: 8,
		reserve: 2,
		pain: 0,
		finished: 0,
		stopped: null,
		painAt: null,
		restBefore: null,
		toLimit: false,
		otherSide: null,
		at: null,
		version: 0,
		...more
	};
}
