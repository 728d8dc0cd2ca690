// What the scripts here share: a server on a data folder of its own, grown as large as is asked for, and a coach signed in to it.
import { execFileSync, spawn } from 'node:child_process';

const root = new URL('..', import.meta.url).pathname;
const built = (name) => `${root}artifacts/bin/${name}/release/${name}.dll`;

export const soon = (ms) => new Promise((done) => setTimeout(done, ms));

/** Started and answering. */
export async function start(base, data, environment = {}) {
	const server = spawn('dotnet', [built('Ingegno.Server'), '--urls', base], {
		env: { ...process.env, INGEGNO_DATA: data, INGEGNO_DEMO: '1', ASPNETCORE_WEBROOT: `${root}web/build`, ...environment },
		stdio: 'ignore'
	});
	for (let i = 0; i < 2400; i++) {
		if (server.exitCode !== null) throw new Error('The server did not start.');
		try {
			await fetch(`${base}/api/session`);
			return server;
		} catch {
			await soon(50);
		}
	}
	throw new Error('The server did not answer.');
}

export const stop = (server) => new Promise((done) => (server.once('exit', done), server.kill()));

/** The demo copied until there are so many clients, their log repeated back until each has so many sets; the server stopped. */
export const grow = (data, clients, sets) =>
	execFileSync('dotnet', [built('Ingegno.Benchmarks'), 'desk-data', data, `${clients}`, `${sets}`])
		.toString()
		.trim();

/** The demo coach's cookie. */
export async function signIn(base) {
	const answer = await fetch(`${base}/api/session`, {
		method: 'POST',
		headers: { 'content-type': 'application/json' },
		body: JSON.stringify({ email: 'coach@lockside.example', password: 'floor-torn-up' })
	});
	return answer.headers
		.getSetCookie()
		.map((c) => c.split(';')[0])
		.join('; ');
}
