// How long files take, in and out: node bench/files.mjs (after dotnet build -c Release).
// A log of 5,000 rows, the heading among them, a practice of 50 clients out and in again, a week as a sheet for paper; on a server with the demo of its own.
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { grow, signIn, start, stop } from './server.mjs';

const base = 'http://127.0.0.1:5395';
const data = mkdtempSync(join(tmpdir(), 'ingegno-files-'));
let server = await start(base, data);
await stop(server);
grow(data, 50, 0);
server = await start(base, data);
const cookie = await signIn(base);

async function timed(what, goal, ask, times = 1) {
	const took = [];
	let answer;
	for (let i = 0; i < times; i++) {
		const from = performance.now();
		answer = await ask(i);
		took.push(performance.now() - from);
	}
	took.sort((a, b) => a - b);
	const words = typeof answer === 'string' ? answer : '';
	console.log(`| ${what} | ${goal} | ${(took[Math.floor(times / 2)] / 1000).toFixed(2)} s${times > 1 ? `, median of ${times}` : ''} | ${words} |`);
}

async function send(method, path, body, type = 'application/octet-stream') {
	const answer = await fetch(base + path, { method, headers: { cookie, 'content-type': type }, body });
	if (!answer.ok) throw new Error(`${method} ${path}: ${answer.status} ${await answer.text()}`);
	return answer;
}

const roster = await (await send('GET', '/api/roster')).json();
const client = roster.find((c) => c.isSaved).id;
const day = (back) => new Date(Date.now() - back * 86_400_000).toISOString().slice(0, 10);
const log = ['date,exercise,set,kg,reps,rpe'];
const names = ['Goblet squat', 'Push-up', 'One-arm row', 'Romanian deadlift', 'Plank'];
for (let i = 0; log.length <= 5000; i++) {
	for (const [n, name] of names.entries()) for (let set = 1; set <= 4; set++) log.push(`${day(600 - 2 * i)},${name},${set},${n === 1 ? 0 : 20},${8 + ((i + set) % 4)},8`);
}
const csv = log.slice(0, 5000).join('\n');
console.log('| what | goal | took | |\n| --- | --- | --- | --- |');
const file = `/api/clients/${client}/log-file`;
await timed('a log of 5,000 rows looked at', '', async () => `${(await (await send('POST', file, csv)).json()).sets} sets read`, 3);
await timed('the same kept', 'under 2 s', async () => `${(await (await send('POST', `${file}?keep=true`, csv)).json()).sets} sets kept`);
await timed('its lessons, for whoever opens the log next', '', async () => void (await (await send('GET', `/api/clients/${client}/progress`)).json()));
let zip;
await timed('a practice of 50 clients given out', 'out and in under 10 s', async () => {
	zip = Buffer.from(await (await send('GET', '/api/files/practice.zip')).arrayBuffer());
	return `${(zip.length / 1e6).toFixed(1)} MB`;
});
await timed('the same brought in', '', async () => {
	const brought = await (await send('POST', '/api/case-files?keep=true', zip)).json();
	return brought.kept ? `${brought.clients?.length ?? brought.cases?.length ?? ''} clients` : `not kept: ${JSON.stringify(brought.problems).slice(0, 200)}`;
});
await timed(
	'a week as a sheet for paper',
	'under 1 s',
	async () => `${((await (await send('POST', `/api/clients/${roster.filter((c) => c.isSaved)[2].id}/sheet.pdf?paper=a4`)).arrayBuffer()).byteLength / 1000).toFixed(0)} KB`,
	5
);
await stop(server);
rmSync(data, { recursive: true, force: true });
