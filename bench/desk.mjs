// The Desk of 200 clients with two years of log behind them: node bench/desk.mjs (after dotnet build -c Release).
// Makes a demo database in a folder of its own, grows it to about two million sets, and asks for the Desk.
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { grow, signIn, start, stop } from './server.mjs';

const base = 'http://127.0.0.1:5391';
const data = mkdtempSync(join(tmpdir(), 'ingegno-desk-'));
let server = await start(base, data);
await stop(server);
console.log(grow(data, 200, 10_000));
server = await start(base, data);
const cookie = await signIn(base);

async function desk() {
	const from = performance.now();
	const answer = await fetch(`${base}/api/desk`, { headers: { cookie } });
	const rows = await answer.json();
	return { took: performance.now() - from, rows };
}

const cold = await desk();
const warm = [];
for (let i = 0; i < 30; i++) warm.push((await desk()).took);
warm.sort((a, b) => a - b);
const row = cold.rows[0];
const changed = [];
for (let i = 0; i < 10; i++) {
	const p = row.proposals[0];
	await fetch(`${base}/api/clients/${row.id}/decisions`, {
		method: 'POST',
		headers: { cookie, 'content-type': 'application/json' },
		body: JSON.stringify({ subject: p?.subject ?? '', answer: 'later' })
	});
	changed.push((await desk()).took);
}
changed.sort((a, b) => a - b);
console.log(
	`${cold.rows.length} clients: asked right after the start, none worked out yet, ${cold.took.toFixed(0)} ms, then ${warm[15].toFixed(0)} ms (median of 30, at worst ${warm.at(-1).toFixed(0)}), after a change ${changed[5].toFixed(0)} ms`
);
const progress = `${base}/api/clients/${row.id}/progress`;
const from = performance.now();
const log = await (await fetch(progress, { headers: { cookie } })).json();
const opened = performance.now() - from;
const again = performance.now();
await (await fetch(progress, { headers: { cookie } })).json();
const reopened = performance.now() - again;
const line = log.lines.find((l) => l.prescription);
const logged = [];
for (let i = 0; i < 10; i++) {
	const set = {
		id: crypto.randomUUID(),
		line: line.line,
		exercise: line.prescription.exercise,
		on: log.today,
		setNumber: i + 1,
		load: line.prescription.load,
		repetitions: 8,
		reserve: 2
	};
	const at = performance.now();
	const answer = await fetch(`${base}/api/clients/${row.id}/log`, {
		method: 'POST',
		headers: { cookie, 'content-type': 'application/json' },
		body: JSON.stringify({ sets: [set] })
	});
	if (!answer.ok) throw new Error(await answer.text());
	logged.push(performance.now() - at);
}
logged.sort((a, b) => a - b);
console.log(
	`the log of one with two years behind: opened in ${opened.toFixed(0)} ms, again in ${reopened.toFixed(0)} ms, a set logged and learned from in ${logged[5].toFixed(0)} ms`
);
await stop(server);
rmSync(data, { recursive: true, force: true });
