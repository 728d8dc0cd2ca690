// What a nudge on the bench costs: node bench/nudge.mjs ADDRESS [ADDRESS of another version]
// Each member of the demo, the load of each line moved by a rung and back, the whole week told again; the addresses by turns, so that the
// machine's mood falls on both.
const addresses = process.argv.slice(2);
const ROUNDS = 12;

async function signedIn(base) {
	const answer = await fetch(`${base}/api/session`, {
		method: 'POST',
		headers: { 'content-type': 'application/json' },
		body: JSON.stringify({ email: 'coach@lockside.example', password: 'floor-torn-up' })
	});
	const cookie = answer.headers.getSetCookie().map((c) => c.split(';')[0]).join('; ');
	return async (method, path, body) => {
		const said = await fetch(base + path, {
			method,
			headers: { 'content-type': 'application/json', cookie },
			body: body ? JSON.stringify(body) : undefined
		});
		if (!said.ok) throw new Error(`${path}: ${said.status} ${await said.text()}`);
		return said.json();
	};
}

const median = (times) => times.toSorted((a, b) => a - b)[Math.floor(times.length / 2)];
const asks = await Promise.all(addresses.map(signedIn));
const names = (await asks[0]('GET', '/api/roster')).filter((c) => c.isSaved).map((c) => c.name);
for (const name of names) {
	const results = addresses.map(() => []);
	let lines = 0;
	const works = await Promise.all(
		asks.map(async (ask) => {
			const id = (await ask('GET', '/api/roster')).find((c) => c.name === name).id;
			const { plan } = await ask('GET', `/api/clients/${id}/plan`);
			const post = (choices) =>
				ask('POST', `/api/clients/${id}/bench`, { text: plan.text, choices, ask: null, block: plan.block, seen: null });
			const rows = (await post(plan.choices)).sessions.flatMap((s) => s.lines).filter((l) => l.chosen?.ladder.length > 1);
			lines = (await post(plan.choices)).sessions.flatMap((s) => s.lines).length;
			return { post, rows };
		})
	);
	for (let round = 0; round < ROUNDS; round++) {
		for (const [i, { post, rows }] of works.entries()) {
			const row = rows[round % rows.length];
			const at = row.chosen.ladder.findIndex((r) => r.load === row.chosen.prescription.load);
			const rung = row.chosen.ladder[(at + 1 + round) % row.chosen.ladder.length];
			const choice = { line: row.written.number, text: row.written.text, exercise: row.chosen.prescription.exercise, load: rung.load };
			const begin = performance.now();
			await post([choice]);
			results[i].push(performance.now() - begin);
		}
	}
	console.log(`${name}, ${lines} lines: ${results.map((r) => `${median(r).toFixed(0)} ms (worst ${Math.max(...r).toFixed(0)})`).join(' against ')}`);
}
