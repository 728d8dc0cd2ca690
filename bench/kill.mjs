// Kills the server while a phone and a coach write, and looks afterwards for everything it said it kept:
//   node bench/kill.mjs [kills, default 50]
// A phone logs sets, corrections, notes and checks with photos; a coach saves plans, answers the Desk and sends. After every kill the file is
// checked as SQLite checks it. Ends with an error where anything acknowledged is missing, doubled or half there.
import { randomUUID } from 'node:crypto';
import { mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { signIn, soon, start } from './server.mjs';

const KILLS = Number(process.argv[2] ?? 50);
const data = mkdtempSync(join(tmpdir(), 'ingegno-kill-'));
const port = await new Promise((found) => {
	const probe = createServer().listen(0, '127.0.0.1', () => {
		const { port } = probe.address();
		probe.close(() => found(port));
	});
});
const base = `http://127.0.0.1:${port}`;
const json = { 'content-type': 'application/json' };
const QUESTIONS = ['heart', 'bloodPressure', 'chestPain', 'dizziness', 'pregnancy', 'recentSurgery', 'unexplainedJointPain'];
/** The smallest picture that is one. */
const PHOTO = Buffer.from([0xff, 0xd8, 0xff, 0xda, 0, 4, 1, 2, 9, 9, 0xff, 0xd9]).toString('base64');

async function ask(method, path, body, cookie) {
	const answer = await fetch(base + path, { method, headers: { ...json, ...(cookie && { cookie }) }, body: body && JSON.stringify(body) });
	return { status: answer.status, body: answer.status === 204 ? null : await answer.json() };
}

async function call(method, path, body, cookie) {
	const answer = await ask(method, path, body, cookie);
	if (answer.status >= 300) throw new Error(`${method} ${path}: ${answer.status} ${JSON.stringify(answer.body)}`);
	return answer.body;
}

const restart = () => start(base, data, { INGEGNO_DEMO: 'members', INGEGNO_CHECK_FILE: '1' });
let server = await restart();
let cookie = await signIn(base);

async function client(name) {
	const { id } = await call(
		'POST',
		'/api/clients',
		{
			profile: {
				name, bodyMass: 70, stature: 1.7, lifts: [{ exercise: 'push-up', load: 0, repetitions: 20 }],
				health: { answers: QUESTIONS.map((question) => ({ question, applies: false })) }
			},
			home: { name: 'Flat', fixtures: [{ id: 'chair', name: 'Chair', kind: 'chair', height: 0.45 }], kit: [] }
		},
		cookie
	);
	await call('PUT', `/api/clients/${id}/plan`, { text: 'Push-up 3 x 8', choices: [], version: 0 }, cookie);
	return id;
}

const letters = (mail) => mail.map((m) => m.text.match(/\/train\/([\w-]+)/)[1]);
const trainee = await client('Stream');
await call('POST', `/api/clients/${trainee}/sending`, {}, cookie);
const [token] = letters(await call('GET', '/api/outbox', undefined, cookie));
const opened = await call('GET', `/api/link/${token}`);
const place = opened.programme.places[0].id;
const { exercise, load } = opened.programme.places[0].sessions[0].lines[0].prescription;
const planned = await client('Planned');
const sent = await client('Sent');
const asked = await client('Asked');

const sets = new Map(), notes = new Map(), checks = new Set(), answered = new Set();
let saves = 0, sendings = 0, wrong = [];
let running = true;
/** How often each stream was acknowledged. */
const acts = [];

/** Does one thing until it is acknowledged, then the next. */
async function stream(next, number) {
	let act = null;
	acts[number] = 0;
	while (running) {
		try {
			act ??= next();
			await act();
			act = null;
			acts[number]++;
		} catch {
			await soon(20);
			if (running) cookie = await signIn(base).catch(() => cookie);
		}
	}
}

let number = 0;
const day = (n) => new Date(Date.now() - (Math.floor(n / 50) % 90) * 86_400_000).toISOString().slice(0, 10);

/** Sets, and every fourth corrected by the version it was kept at. */
function phone() {
	number++;
	const old = number % 4 === 0 && [...sets.values()].at(-1);
	const set = old
		? { ...old, repetitions: (old.repetitions % 30) + 1 }
		: { id: randomUUID(), line: 1, exercise, on: day(number), at: null, setNumber: 1 + (number % 50), load, repetitions: 1 + (number % 30), version: 0 };
	const note = { id: randomUUID(), session: `Session ${number}`, on: day(number), felt: 'muscle', sore: null, at: null };
	return async () => {
		const { kept } = await call('POST', `/api/link/${token}/log`, { phoneNow: new Date().toISOString(), sets: [set], notes: [note] });
		const mine = kept.find((k) => k.id === set.id);
		if (mine && !mine.conflict) sets.set(set.id, { ...set, version: mine.version });
		if (mine?.conflict) wrong.push(`a set of one phone alone came into conflict: ${JSON.stringify(set)}`);
		if (kept.some((k) => k.id === note.id)) notes.set(note.session, note.on);
	};
}

function checking() {
	const id = randomUUID();
	const form = { id, place, report: { fixture: 'chair', on: day(0), steps: [{ step: 'Push', held: true }], force: null, remark: '' }, photo: PHOTO };
	return async () => {
		await call('POST', `/api/link/${token}/check`, form);
		checks.add(id);
		await soon(150);
	};
}

/** A plan of so many sets as it was saved times: the last acknowledged must be what is there, or one later that was not acknowledged. */
function planning() {
	const wanted = saves + 1;
	return async () => {
		const { version } = await call('GET', `/api/clients/${planned}/plan`, undefined, cookie);
		await call('PUT', `/api/clients/${planned}/plan`, { text: `Session ${wanted}\nPush-up ${1 + (wanted % 5)} x 8`, choices: [], version }, cookie);
		saves = wanted;
		await soon(60);
	};
}

function sending() {
	return async () => {
		await call('POST', `/api/clients/${sent}/sending`, {}, cookie);
		sendings++;
		await soon(60);
	};
}

/** Each decision is of a check of its own. */
function deciding() {
	return async () => {
		const row = await call('GET', `/api/clients/${asked}/desk`, undefined, cookie);
		const proposal = row.proposals.find((p) => p.take);
		if (proposal) {
			const { status, body } = await ask('POST', `/api/clients/${asked}/decisions`, { subject: proposal.subject, answer: 'refused' }, cookie);
			if (status === 200) answered.add(body.undo.id);
		} else await call('PUT', `/api/clients/${asked}/plan`, { text: `Push-up 3 x ${5 + (answered.size % 9)}`, choices: [], version: (await call('GET', `/api/clients/${asked}/plan`, undefined, cookie)).version }, cookie);
		await soon(40);
	};
}

const streams = [phone, checking, planning, sending, deciding].map(stream);
for (let kill = 0; kill < KILLS; kill++) {
	// When each stream in its turn was acknowledged twice, however slow the machine; at a moment of its own each time, in the middle of a
	// request as often as not.
	const waited = kill % streams.length, before = acts[waited];
	while (acts[waited] < before + 2) await soon(10);
	await soon((kill * 37) % 90);
	const gone = new Promise((done) => server.once('exit', done));
	server.kill('SIGKILL');
	await gone;
	server = await restart();
}
await soon(300);
running = false;
await Promise.all(streams);

cookie = await signIn(base);
const progress = await call('GET', `/api/clients/${trainee}/progress`, undefined, cookie);
const stored = new Map(progress.lines.flatMap((l) => l.logs).map((s) => [s.id, s]));
for (const set of sets.values()) {
	const there = stored.get(set.id);
	if (!there) wrong.push(`set ${set.id} is missing`);
	// A correction that was written but not acknowledged may stand one version higher.
	else if (there.version === set.version ? there.repetitions !== set.repetitions : there.version !== set.version + 1) wrong.push(`set ${set.id} is not as it was kept`);
}
const shown = new Map((await call('GET', `/api/link/${token}`)).done.map((s) => [s.id, s.repetitions]));
for (const [id, repetitions] of shown) if (stored.get(id)?.repetitions !== repetitions) wrong.push(`set ${id} is shown otherwise than kept`);
if (new Set([...stored.values()].map((s) => `${s.on} ${s.line} ${s.setNumber}`)).size !== stored.size) wrong.push('a set is there twice');
for (const [session, on] of notes) if (!progress.notes.some((n) => n.session === session && n.on === on)) wrong.push(`note of ${session} is missing`);
const reports = await call('GET', `/api/clients/${trainee}/reports`, undefined, cookie);
for (const id of checks) {
	const report = reports.find((r) => r.id === id);
	if (!report) wrong.push(`check ${id} is missing`);
	else if (!(await fetch(`${base}/api/clients/${trainee}/reports/${id}/photo`, { headers: { cookie } })).ok) wrong.push(`photo of ${id} is missing`);
}
const { plan } = await call('GET', `/api/clients/${planned}/plan`, undefined, cookie);
const last = Number(plan.text.match(/Session (\d+)/)?.[1] ?? 0);
if (last !== saves && last !== saves + 1) wrong.push(`the plan is of save ${last}, acknowledged were ${saves}`);
const changes = await call('GET', `/api/clients/${planned}/plan/changes`, undefined, cookie);
if (changes.length === 0) wrong.push('the plan has no history');
const mail = (await call('GET', '/api/outbox', undefined, cookie)).filter((m) => m.to === 'Sent');
for (const one of letters(mail)) if ((await ask('GET', `/api/link/${one}`)).status !== 200) wrong.push(`a letter went out whose link opens nothing`);
if (mail.length < sendings) wrong.push(`${sendings} sendings acknowledged, ${mail.length} letters`);
const { openLinks } = await call('GET', `/api/clients/${sent}/sending`, undefined, cookie);
if (openLinks !== mail.length) wrong.push(`${openLinks} links and ${mail.length} letters`);
if (readdirSync(join(data, 'outbox')).some((f) => f.endsWith('.part'))) wrong.push('half a letter lies in the outbox');
const decisions = new Set((await call('GET', `/api/clients/${asked}/decisions`, undefined, cookie)).map((d) => d.id));
for (const id of answered) if (!decisions.has(id)) wrong.push(`decision ${id} is missing`);
console.log(
	`${KILLS} kills; acknowledged and there: ${sets.size} sets, ${notes.size} notes, ${checks.size} checks with photos, ${saves} plan saves, ${sendings} sendings, ${answered.size} decisions; ${wrong.length} wrong`
);
for (const word of wrong.slice(0, 20)) console.log(word);
server.kill();
rmSync(data, { recursive: true, force: true });
const done = acts.every((count) => count >= 2 * Math.floor(KILLS / streams.length));
process.exit(wrong.length === 0 && done ? 0 : 1);
