// Twenty at once against the demo grown to many clients: bench/load/run [clients, default 200] [seconds a row, default 8]
// Every row is asked for by twenty connections without a pause, while one more asks for the bare session route twenty times a second;
// that route alone comes first, as the measure of the machine.
import autocannon from 'autocannon';
import { randomUUID } from 'node:crypto';
import { mkdtempSync, readFileSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { grow, signIn, soon, start, stop } from '../server.mjs';

const CLIENTS = Number(process.argv[2] ?? 200);
const SECONDS = Number(process.argv[3] ?? 8);
const ONLY = process.argv[4];
/** Seconds of the same before each row, until the code is compiled and what is kept at hand is there. */
const WARM = 8;
const AT_ONCE = 20;
const base = 'http://127.0.0.1:5394';
const data = mkdtempSync(join(tmpdir(), 'ingegno-load-'));
const json = { 'content-type': 'application/json' };
const memory = (server) => Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${server.pid}/status`, 'utf8'))[1]) / 1024;

/** The value a share of all lie below. */
const quantile = (times, share) => times.toSorted((a, b) => a - b)[Math.min(times.length - 1, Math.floor(times.length * share))] ?? NaN;

/** One row: what `request` makes, by twenty at once, with the bare route asked beside it. */
async function row(name, goal, request, connections = AT_ONCE) {
	if (ONLY && !name.includes(ONLY)) return;
	const took = [];
	const refused = new Map();
	const requests = [{ setupRequest: request }];
	await autocannon({ url: base, connections, duration: WARM, requests });
	const cannon = autocannon({ url: base, connections, duration: SECONDS, requests });
	let bad = 0;
	cannon.on('response', (_, status, __, ms) => {
		took.push(ms);
		if (status >= 300) {
			bad++;
			refused.set(status, (refused.get(status) ?? 0) + 1);
		}
	});
	const bare = [];
	let going = true;
	const beside = (async () => {
		while (going) {
			const from = performance.now();
			await (await fetch(`${base}/api/session`)).text();
			bare.push(performance.now() - from);
			await soon(50);
		}
	})();
	let peak = 0;
	const watch = setInterval(() => (peak = Math.max(peak, memory(server))), 200);
	const result = await cannon;
	clearInterval(watch);
	going = false;
	await beside;
	const line = {
		what: name,
		goal,
		p50: quantile(took, 0.5).toFixed(1),
		p95: quantile(took, 0.95).toFixed(1),
		p99: quantile(took, 0.99).toFixed(1),
		'a second': (took.length / SECONDS).toFixed(0),
		'bare p95': quantile(bare, 0.95).toFixed(1),
		MB: peak.toFixed(0),
		refused: bad ? [...refused].map(([s, n]) => `${n} x ${s}`).join(', ') : result.errors ? `${result.errors} errors` : ''
	};
	console.log(`| ${Object.values(line).join(' | ')} |`);
}

let server = await start(base, data);
await stop(server);
console.log(grow(data, CLIENTS, 0));
server = await start(base, data);
const cookie = await signIn(base);
const ask = async (method, path, body) => {
	const answer = await fetch(base + path, { method, headers: { ...json, cookie }, body: body && JSON.stringify(body) });
	if (!answer.ok) throw new Error(`${method} ${path}: ${answer.status} ${await answer.text()}`);
	return answer.json();
};

// The Desk is worked out by the server itself when it starts; the rows begin when it has done that.
await ask('GET', '/api/desk');
await soon(3000);
const idle = memory(server);

const roster = await ask('GET', '/api/roster');
let sent = 0;
for (const client of roster) {
	const answer = await fetch(`${base}/api/clients/${client.id}/sending`, { method: 'POST', headers: { ...json, cookie }, body: '{}' });
	if (answer.ok) sent++;
	if (sent === 100) break;
}
const tokens = readdirSync(join(data, 'outbox'))
	.filter((f) => f.includes('-'))
	.map((f) => /\/train\/([\w-]+)/.exec(readFileSync(join(data, 'outbox', f), 'utf8'))?.[1])
	.filter(Boolean);
const phones = [];
for (const token of tokens) {
	const view = await (await fetch(`${base}/api/link/${token}`)).json();
	if (!view.programme) continue;
	const lines = view.programme.places[0].sessions.flatMap((s) => s.lines).filter((l) => l.prescription.count === 'repetitions');
	if (lines.length) phones.push({ token, lines, today: view.today, done: 0 });
}
const benches = [];
for (const client of roster.filter((c) => c.isSaved).slice(0, 20)) {
	const { plan } = await ask('GET', `/api/clients/${client.id}/plan`);
	const told = await ask('POST', `/api/clients/${client.id}/bench`, { text: plan.text, choices: plan.choices, ask: null, block: plan.block, seen: null });
	const rows = told.sessions.flatMap((s) => s.lines).filter((l) => l.chosen?.ladder.length > 1);
	if (rows.length) benches.push({ id: client.id, plan, rows });
}
console.log(`${roster.length} clients, ${phones.length} phones with a link, ${benches.length} benches; idle ${idle.toFixed(0)} MB`);
console.log('| what | goal | p50 ms | p95 ms | p99 ms | a second | bare p95 ms | MB | refused |');
console.log('| --- | --- | --- | --- | --- | --- | --- | --- | --- |');

let turn = 0;
const next = (all) => all[turn++ % all.length];
await row('the bare session route', '', (r) => ({ ...r, method: 'GET', path: '/api/session' }));
await row('a set logged on a phone', 'p95 < 25, > 1,000 a second', (r) => {
	const phone = next(phones);
	const line = phone.lines[phone.done % phone.lines.length];
	const setNumber = 1 + (Math.floor(phone.done / phone.lines.length) % 50);
	phone.done++;
	const set = {
		id: randomUUID(),
		line: line.line,
		exercise: line.prescription.exercise,
		on: phone.today,
		setNumber,
		load: line.prescription.load,
		repetitions: line.prescription.counts[0],
		reserve: 2,
		at: new Date().toISOString()
	};
	return { ...r, method: 'POST', path: `/api/link/${phone.token}/log`, headers: json, body: JSON.stringify({ phoneNow: new Date().toISOString(), sets: [set], notes: [] }) };
});
if (!ONLY) {
	// Hundreds of sets a day that nobody trains: they are learned from once, and the rows after this are about opening.
	const from = performance.now();
	for (const phone of phones) await (await fetch(`${base}/api/link/${phone.token}`)).text();
	const each = Math.round(phones.reduce((n, p) => n + p.done, 0) / phones.length);
	console.log(`| ${phones.length} days of ${each} sets learned from, one after the other | | ${((performance.now() - from) / phones.length).toFixed(0)} each | | | | | | |`);
}
await row('a link opened', 'p95 < 30', (r) => ({ ...r, method: 'GET', path: `/api/link/${next(phones).token}` }));
await row('a nudge on the bench', 'p95 < 60', (r) => {
	const bench = next(benches);
	const line = bench.rows[turn % bench.rows.length];
	const rung = line.chosen.ladder[turn % line.chosen.ladder.length];
	const choice = { line: line.written.number, text: line.written.text, exercise: line.chosen.prescription.exercise, load: rung.load };
	return {
		...r,
		method: 'POST',
		path: `/api/clients/${bench.id}/bench`,
		headers: { ...json, cookie },
		body: JSON.stringify({ text: bench.plan.text, choices: [choice], ask: null, block: bench.plan.block, seen: null })
	};
});
// As a browser asks.
const asBrowser = { cookie, 'accept-encoding': 'gzip, deflate, br' };
await row('the Desk', 'p95 < 20', (r) => ({ ...r, method: 'GET', path: '/api/desk', headers: asBrowser }));
await row('the Desk, one coach alone', 'p95 < 20', (r) => ({ ...r, method: 'GET', path: '/api/desk', headers: asBrowser }), 1);

await stop(server);
rmSync(data, { recursive: true, force: true });
