// Moves a roster of 50 through the API while something else is asked all the time: node bench/roster.mjs ADDRESS (of a running ./demo --fresh).
// The members of the demo are copied until there are 50; the copies stay in that database.
const base = process.argv[2] ?? 'http://127.0.0.1:5080';
const WANTED = 50;

const signedIn = await fetch(`${base}/api/session`, {
	method: 'POST',
	headers: { 'content-type': 'application/json' },
	body: JSON.stringify({ email: 'coach@lockside.example', password: 'floor-torn-up' })
});
const cookie = signedIn.headers.getSetCookie().map((c) => c.split(';')[0]).join('; ');

async function call(method, path, body) {
	const answer = await fetch(base + path, {
		method,
		headers: { cookie, 'content-type': 'application/json' },
		body: body && JSON.stringify(body)
	});
	if (!answer.ok) throw new Error(`${method} ${path}: ${answer.status} ${await answer.text()}`);
	return answer.status === 204 ? null : answer.json();
}

const members = await call('GET', '/api/roster');
for (let i = members.length; i < WANTED; i++) {
	const from = members[i % members.length];
	const [client, place, plan] = await Promise.all([
		call('GET', `/api/clients/${from.id}`),
		call('GET', `/api/clients/${from.id}/places/now`),
		call('GET', `/api/clients/${from.id}/plan`)
	]);
	const { id } = await call('POST', '/api/clients', { profile: { ...client.profile, name: `${from.name} ${i}` }, home: place.home });
	await call('PUT', `/api/clients/${id}/plan`, { text: plan.plan.text, choices: [], version: 0 });
}

const roster = await call('GET', '/api/roster');
let moving = true;
const waits = [];
const asking = (async () => {
	while (moving) {
		const from = performance.now();
		await call('GET', `/api/clients/${roster[0].id}`);
		waits.push(performance.now() - from);
		await new Promise((done) => setTimeout(done, 50));
	}
})();

const start = performance.now();
let lines = 0;
for (const { id } of roster) {
	lines += (await call('POST', `/api/clients/${id}/move`, { wholeWeek: true, fitMinutes: false, save: false })).moved.lines.length;
}
const took = performance.now() - start;
moving = false;
await asking;
waits.sort((a, b) => a - b);
console.log(
	`${roster.length} clients, ${lines} lines: ${(took / 1000).toFixed(1)} s; meanwhile a client was answered in ${waits[Math.floor(waits.length / 2)].toFixed(0)} ms (median of ${waits.length}), at worst ${waits.at(-1).toFixed(0)} ms`
);
