import type { Outbox } from './outbox.svelte';
import type { Waiting } from './store';

/** What an entry is, to be recognised by who made it. */
export function entryWords(w: Waiting): string {
	if (w.set) {
		const left = w.set.reserve === null ? '' : `, ${w.set.reserve} left`;
		return `${day(w.set.on)}: ${w.set.exercise.replaceAll('-', ' ')}, set ${w.set.setNumber}, ${w.set.repetitions}${left}${w.set.pain > 0 ? `, pain ${w.set.pain}` : ''}`;
	}
	if (w.note)
		return `${day(w.note.on)}: how ${w.note.session ? `"${w.note.session.slice(0, 60)}"` : 'the session'} felt`;
	return `${w.check ? day(w.check.report.on) : ''}: a check of ${w.check?.report.fixture ?? 'something at home'}${w.check?.photo ? ', with its photo' : ''}`;
}

export function day(iso: string): string {
	const date = new Date(`${iso}T12:00:00`);
	return Number.isNaN(date.getTime())
		? iso
		: date.toLocaleDateString('en-GB', { weekday: 'short', day: 'numeric', month: 'short' });
}

export function dayBefore(iso: string): string {
	const date = new Date(`${iso}T12:00:00Z`);
	date.setUTCDate(date.getUTCDate() - 1);
	return date.toISOString().slice(0, 10);
}

export function entries(n: number): string {
	return `${n} ${n === 1 ? 'entry' : 'entries'}`;
}

/** One line that is true: with the coach, on this phone and why. */
export function syncWords(outbox: Outbox): string {
	const waiting = outbox.toSend.length;
	const wait = waiting === 1 ? 'waits' : 'wait';
	if (waiting === 0) {
		if (outbox.questions.length > 0) return 'A day has to be said before all is sent';
		if (outbox.refused.length > 0)
			return `${entries(outbox.refused.length)} not taken; all else is with the coach`;
		return 'All with the coach';
	}
	if (outbox.state === 'closed') return `On this phone: ${entries(waiting)} not sent. ${outbox.word}`;
	if (outbox.state === 'troubled')
		return `${kept(outbox)}, ${entries(waiting)}: the server cannot take them just now and is asked again. ${outbox.word}`.trim();
	return `${kept(outbox)}, ${entries(waiting)} ${wait} for a signal`;
}

function kept(outbox: Outbox): string {
	return outbox.forgets ? 'Only on this page' : 'Saved on the phone';
}

/** The file a client can hand to the coach: everything that waits, as it would have been sent. */
export function phoneFile(client: string, list: Waiting[]): string {
	return JSON.stringify(
		{
			format: 'ingegno-phone-log',
			version: 1,
			client,
			savedAt: new Date().toISOString(),
			sets: list.map((w) => w.set).filter((s) => s !== null),
			notes: list.map((w) => w.note).filter((n) => n !== null),
			checks: list.map((w) => w.check).filter((c) => c !== null),
			refused: list.filter((w) => w.refused !== null).map((w) => ({ id: w.id, reason: w.refused }))
		},
		null,
		1
	);
}

export function saveFile(name: string, text: string) {
	const link = document.createElement('a');
	link.href = URL.createObjectURL(new Blob([text], { type: 'application/json' }));
	link.download = name;
	link.click();
	setTimeout(() => URL.revokeObjectURL(link.href), 60_000);
}
