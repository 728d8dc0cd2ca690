// Kills the server while sets stream in from a phone and looks for every acknowledged one afterwards: node bench/kill.mjs [kills, default 50].
// Ends with an error when one is missing or doubled.
import { spawn } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const KILLS = Number(process.argv[2] ?? 50);
const root = new URL('..', import.meta.url).pathname;
const data = mkdtempSync(join(tmpdir(), 'ingegno-kill-'));
const port = await new Promise((found) => {
	const probe = createServer().listen(0, '127.0.0.1', () => {
		const { port } = probe.address();
		probe.close(() => found(port));
	});
});
const base = `http://127.0.0.1:${port}`;
const json = { 'content-type': 'application/json' };

async function start() {
	const server = spawn('dotnet', [`${root}artifacts/bin/Ingegno.Server/release/Ingegno.Server.dll`, '--urls', base], {
		env: { ...process.env, INGEGNO_DATA: data, INGEGNO_DEMO: 'members' },
		stdio: 'ignore'
	});
	for (let i = 0; i < 1200; i++) {
		try {
			await fetch(`${base}/api/session`);
			return server;
		} catch {
			await new Promise((done) => setTimeout(done, 50));
		}
	}
	throw new Error('The server did not start.');
}

async function call(method, path, body, cookie) {
	const answer = await fetch(base + path, { method, headers: { ...json, ...(cookie && { cookie }) }, body: body && JSON.stringify(body) });
	if (!answer.ok) throw new Error(`${method} ${path}: ${answer.status} ${await answer.text()}`);
	return answer.status === 204 ? null : answer.json();
}

async function signIn() {
	const answer = await fetch(`${base}/api/session`, {
		method: 'POST',
		headers: json,
		body: JSON.stringify({ email: 'coach@lockside.example', password: 'floor-torn-up' })
	});
	return answer.headers.getSetCookie().map((c) => c.split(';')[0]).join('; ');
}

let server = await start();
const cookie = await signIn();
const questions = ['heart', 'bloodPressure', 'chestPain', 'dizziness', 'pregnancy', 'recentSurgery', 'unexplainedJointPain'];
const { id } = await call(
	'POST',
	'/api/clients',
	{
		profile: { name: 'Stream', bodyMass: 70, stature: 1.7, health: { answers: questions.map((question) => ({ question, applies: false })) } },
		home: { name: 'Loft', fixtures: [{ id: 'chair', name: 'Chair', kind: 'chair', height: 0.45 }] }
	},
	cookie
);
await call('PUT', `/api/clients/${id}/plan`, { text: 'Push-up 3 x 8', choices: [], version: 0 }, cookie);
await call('POST', `/api/clients/${id}/sending`, {}, cookie);
const token = (await call('GET', '/api/outbox', undefined, cookie))[0].text.match(/\/train\/([\w-]+)/)[1];

const { exercise, load } = (await call('GET', `/api/link/${token}`)).programme.places[0].sessions[0].lines[0].prescription;
const acknowledged = new Set();
let number = 0;
let running = true;

/** A phone that logs a set after the other, and each again until it is acknowledged. */
async function stream() {
	let set = null;
	while (running) {
		number += set ? 0 : 1;
		const day = new Date(Date.now() - (Math.floor(number / 50) % 90) * 86_400_000).toISOString().slice(0, 10);
		set ??= {
			id: randomUUID(), line: 1, exercise, on: day, setNumber: 1 + (number % 50), load,
			repetitions: 1 + (number % 30), at: new Date().toISOString()
		};
		try {
			const answer = await call('POST', `/api/link/${token}/log`, { phoneNow: new Date().toISOString(), sets: [set], notes: [] });
			for (const kept of answer.kept) acknowledged.add(kept);
			set = null;
		} catch {
			await new Promise((done) => setTimeout(done, 20));
		}
	}
}

const streaming = stream();
for (let kill = 0; kill < KILLS; kill++) {
	// Some sets in, at a moment of its own each time: in the middle of a request as often as not.
	const before = acknowledged.size;
	while (acknowledged.size < before + 3) await new Promise((done) => setTimeout(done, 10));
	await new Promise((done) => setTimeout(done, (kill * 37) % 90));
	const gone = new Promise((done) => server.once('exit', done));
	server.kill('SIGKILL');
	await gone;
	server = await start();
}
await new Promise((done) => setTimeout(done, 300));
running = false;
await streaming;
const sets = (await call('GET', `/api/clients/${id}/progress`, undefined, await signIn())).lines.flatMap((l) => l.logs);
const all = new Set(sets.map((s) => s.id));
const missing = [...acknowledged].filter((kept) => !all.has(kept)).length;
const doubled = sets.length - new Set(sets.map((s) => `${s.on} ${s.line} ${s.setNumber}`)).size;
console.log(`${KILLS} kills, ${acknowledged.size} sets acknowledged, ${missing} missing, ${doubled} doubled`);
server.kill();
rmSync(data, { recursive: true, force: true });
process.exit(missing === 0 && doubled === 0 && acknowledged.size > KILLS ? 0 : 1);
